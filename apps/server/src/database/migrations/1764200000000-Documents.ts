import type { MigrationInterface, QueryRunner } from 'typeorm';

type Row = Record<string, unknown>;

/** The tables of before, by the kind of entity they held; their columns were named as fields, with underscores. */
const TABLES = {
  system: 'guard_system',
  reaction: 'reaction',
  position: 'position',
  move: 'move',
  exchange: 'exchange',
  chain: 'chain',
  opponent: 'opponent',
  scenario: 'scenario',
} as const;
/** Columns that held plain text; in every other text column stood JSON. */
const PLAIN = new Set(
  'id name note group feel script lead_side apparel level position look kind house_variant window move variant basis alias rules opponent'.split(
    ' ',
  ),
);

const camel = (column: string): string =>
  column.replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase());

/**
 * One store for documents of every kind: a head, entities as JSON, changes with keys. Maps, their histories and
 * classes are carried over; the tables of before go.
 */
export class Documents1764200000000 implements MigrationInterface {
  name = 'Documents1764200000000';

  async up(runner: QueryRunner): Promise<void> {
    await createTables(runner);
    for (const map of (await runner.query('SELECT * FROM map')) as Row[]) await carryMap(runner, map);
    for (const plan of (await runner.query('SELECT * FROM class')) as Row[]) await carryClass(runner, plan);
    for (const table of [
      'class',
      'scenario',
      'opponent',
      'chain',
      'exchange',
      'move',
      'position',
      'reaction',
    ])
      await runner.query(`DROP TABLE ${table}`);
    for (const table of ['guard_system', 'map_change', 'map']) await runner.query(`DROP TABLE ${table}`);
  }

  down(): Promise<void> {
    throw new Error(
      'Changes made since could not be told in the tables of before: put back a copy of the file.',
    );
  }
}

async function createTables(runner: QueryRunner): Promise<void> {
  await runner.query(`CREATE TABLE document (
    key TEXT PRIMARY KEY, kind TEXT NOT NULL, id TEXT NOT NULL, head TEXT NOT NULL,
    revision INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, removed_at TEXT
  )`);
  await runner.query(`CREATE TABLE entity (
    document TEXT NOT NULL REFERENCES document (key) ON DELETE CASCADE,
    kind TEXT NOT NULL, id TEXT NOT NULL, ord REAL NOT NULL, body TEXT NOT NULL,
    PRIMARY KEY (document, kind, id)
  ) WITHOUT ROWID`);
  await runner.query(`CREATE TABLE change (
    document TEXT NOT NULL REFERENCES document (key) ON DELETE CASCADE,
    revision INTEGER NOT NULL, key TEXT NOT NULL, command TEXT NOT NULL, inverse TEXT NOT NULL,
    at TEXT NOT NULL, who TEXT NOT NULL,
    PRIMARY KEY (document, revision), UNIQUE (document, key)
  )`);
}

async function insertDocument(runner: QueryRunner, kind: string, row: Row, head: Row): Promise<string> {
  const key = `${kind}/${row.id}`;
  await runner.query('INSERT INTO document VALUES (?, ?, ?, ?, ?, ?, ?, ?)', [
    key,
    kind,
    row.id,
    JSON.stringify(head),
    row.revision,
    row.created_at,
    row.updated_at,
    row.removed_at ?? null,
  ]);
  return key;
}

const insertEntity = (runner: QueryRunner, key: string, kind: string, ord: number, body: Row) =>
  runner.query('INSERT INTO entity VALUES (?, ?, ?, ?, ?)', [key, kind, body.id, ord, JSON.stringify(body)]);

async function carryMap(runner: QueryRunner, row: Row): Promise<void> {
  const { name, note, settings } = row;
  const key = await insertDocument(runner, 'map', row, {
    name,
    note,
    settings: JSON.parse(String(settings)),
  });
  for (const [kind, table] of Object.entries(TABLES)) {
    const rows: Row[] = await runner.query(`SELECT * FROM ${table} WHERE map_id = ? ORDER BY ord`, [row.id]);
    for (const [ord, entity] of rows.entries()) {
      const fields = fieldsOf(entity);
      await insertEntity(runner, key, kind, ord, kind === 'exchange' ? exchangeOf(fields) : fields);
    }
  }
  const changes: Row[] = await runner.query('SELECT * FROM map_change WHERE map_id = ?', [row.id]);
  for (const { revision, command, inverse, at, who } of changes) {
    await runner.query('INSERT INTO change VALUES (?, ?, ?, ?, ?, ?, ?)', [
      key,
      revision,
      `before-documents-${revision}`,
      JSON.stringify(commandOf(JSON.parse(String(command)))),
      JSON.stringify(commandOf(JSON.parse(String(inverse)))),
      at,
      who,
    ]);
  }
}

async function carryClass(runner: QueryRunner, row: Row): Promise<void> {
  const head = {
    name: row.name,
    map: row.map,
    minutes: row.minutes,
    people: row.people,
    apparel: row.apparel,
    changeOverSeconds: row.change_over_seconds,
    leftOver: JSON.parse(String(row.left_over)),
  };
  const key = await insertDocument(runner, 'class', row, head);
  const blocks: Row[] = JSON.parse(String(row.blocks));
  for (const [ord, block] of blocks.entries()) await insertEntity(runner, key, 'block', ord, block);
  // Its changes before were not kept.
  await runner.query('UPDATE document SET revision = 1 WHERE key = ?', [key]);
}

/** A row as the model has it: what was null is absent. */
function fieldsOf(row: Row): Row {
  const { map_id: _, ord: __, ...columns } = row;
  return Object.fromEntries(
    Object.entries(columns)
      .filter(([, value]) => value !== null)
      .map(([column, value]) => [
        camel(column),
        typeof value === 'string' && !PLAIN.has(column) && !/_(position|outcome)$|^reaction$/.test(column)
          ? JSON.parse(value)
          : value,
      ]),
  );
}

/** An exchange, whose reaction and landings were spread over columns. */
function exchangeOf(fields: Row): Row {
  const {
    reaction,
    reactionMirrored,
    toPosition,
    toMirrored,
    toOutcome,
    otherwisePosition,
    otherwiseMirrored,
    otherwiseOutcome,
    ...rest
  } = fields;
  const landing = (position: unknown, mirrored: unknown, outcome: unknown) =>
    position ? { position, ...(mirrored ? { mirrored: true } : {}) } : outcome ? { outcome } : undefined;
  const otherwise = landing(otherwisePosition, otherwiseMirrored, otherwiseOutcome);
  return {
    ...rest,
    reaction: reaction ? { id: reaction, ...(reactionMirrored ? { mirrored: true } : {}) } : 'none',
    to: landing(toPosition, toMirrored, toOutcome),
    ...(otherwise && { otherwise }),
  };
}

/** A command of before: removals took nothing along, and heads were described whole. */
function commandOf(command: Row): Row {
  if (command.do === 'batch') return { ...command, commands: (command.commands as Row[]).map(commandOf) };
  if (command.do === 'remove') return { ...command, alone: true };
  if (command.do !== 'describe') return command;
  const { do: _, ...fields } = command;
  return {
    do: 'describe',
    changes: Object.entries(fields).map(([field, value]) => ({ path: [field], value })),
  };
}
