import Papa from 'papaparse';
import { answerName } from '../body/answerName.ts';
import { reactionName } from '../body/landingWords.ts';
import { seedOf } from '../game/seeded.ts';
import { RESISTANCES } from '../model/blocks/defineBlock.ts';
import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { type PracticeRecord, PracticeRecordSchema, recordsOf, standing } from '../model/practiceRecord.ts';

const COLUMNS = [
  'date',
  'position',
  'move',
  'meets',
  'athlete',
  'worked',
  'resistance',
  'count',
  'exchange',
] as const;
type Row = Record<(typeof COLUMNS)[number], string>;

/** Tries as CSV (RFC 4180), oldest first. Cells that a spreadsheet would take for formulas are made text. */
export function printTrials(records: readonly PracticeRecord[]): string {
  const trials = recordsOf(standing(records), 'trial').sort((a, b) => (a.at < b.at ? -1 : 1));
  const data = trials.map(({ date, position, move, meets, athlete, worked, resistance, count, exchange }) => [
    date,
    position,
    move,
    meets,
    athlete?.alias ?? '',
    worked ? 'yes' : 'no',
    resistance,
    count,
    exchange,
  ]);
  return Papa.unparse({ fields: [...COLUMNS], data }, { escapeFormulae: true });
}

export interface ReadTrials {
  records: PracticeRecord[];
  /** What is wrong, by the line of the file. Nothing should be kept while there is any of it. */
  issues: { line: number; message: string }[];
}

/** A cell as it was before it was made text. */
const plain = (cell: string | undefined): string => (cell ?? '').trim().replace(/^'(?=[=+\-@])/, '');

/**
 * Reads tries from CSV. Columns are found by their names; an exchange by its id, or by move and what it meets. Read twice,
 * the same lines make the same records.
 * @param athletes those of the club, by whom an alias is known
 */
export function readTrials(
  map: GuardMap,
  athletes: readonly { id: string; alias: string }[],
  text: string,
): ReadTrials {
  const issues: ReadTrials['issues'] = [];
  const { data, meta, errors } = Papa.parse<Row>(text, { header: true, skipEmptyLines: 'greedy' });
  const missing = ['date', 'worked', 'resistance'].filter((name) => !meta.fields?.includes(name));
  if (!meta.fields?.includes('exchange') && !meta.fields?.includes('move')) missing.push('exchange or move');
  if (missing.length > 0)
    return {
      records: [],
      issues: [{ line: 1, message: `there is no column ${missing.join(', no column ')}` }],
    };
  for (const { row, message } of errors) issues.push({ line: (row ?? 0) + 2, message });
  const seen = new Map<string, number>();
  const records = data.flatMap((row, i): PracticeRecord[] => {
    const line = i + 2;
    const cells = Object.fromEntries(COLUMNS.map((name) => [name, plain(row[name])])) as Row;
    const wrong = (message: string): [] => {
      issues.push({ line, message });
      return [];
    };
    const formula = COLUMNS.find((name) => /^[=+\-@]/.test((row[name] ?? '').trim()));
    if (formula)
      return wrong(
        `"${row[formula]}" in ${formula} looks like a formula; put ' in front of it if it is a name`,
      );
    const exchange = findExchange(map, cells);
    if (!exchange)
      return wrong(`the map has no answer "${cells.exchange || `${cells.move} · ${cells.meets}`}"`);
    if (!/^(yes|no|1|0|true|false)$/i.test(cells.worked))
      return wrong(`"${cells.worked}" in worked; expected yes or no`);
    const someone =
      cells.athlete && athletes.find(({ alias }) => alias.toLowerCase() === cells.athlete.toLowerCase());
    if (cells.athlete && !someone) return wrong(`nobody in the club is called "${cells.athlete}"`);
    const same = JSON.stringify(cells);
    const times = (seen.get(same) ?? 0) + 1;
    seen.set(same, times);
    const parsed = PracticeRecordSchema.safeParse({
      kind: 'trial',
      key: `csv-${seedOf(`${same} ${times}`).toString(16)}-${seedOf(`again ${same} ${times}`).toString(16)}`,
      at: `${cells.date}T12:00:00Z`,
      date: cells.date,
      map: map.id,
      session: `csv-${cells.date}`,
      exchange: exchange.id,
      ...answerName(map, exchange),
      ...(someone && { athlete: { id: someone.id, alias: someone.alias } }),
      worked: /^(yes|1|true)$/i.test(cells.worked),
      resistance: cells.resistance,
      count: cells.count ? Number(cells.count) : 1,
    });
    if (parsed.success) return [parsed.data];
    const said = parsed.error.issues.map(({ path, message }) => {
      const name = String(path[0]);
      if (name === 'resistance')
        return `"${cells.resistance}" in resistance; expected ${RESISTANCES.join(', ')}`;
      if (name === 'date' || name === 'at' || name === 'session')
        return `"${cells.date}" in date; expected a day such as 2026-11-26`;
      return `${name}: ${message}`;
    });
    return wrong([...new Set(said)].join('; '));
  });
  return { records, issues };
}

function findExchange(map: GuardMap, { exchange, position, move, meets }: Row) {
  const index = indexMap(map);
  const known = index.exchange.get(exchange);
  if (known) return known;
  return map.exchanges.find((one) => {
    const words = answerName(map, one);
    const isNamed = move === words.move || move === index.move.get(one.move)?.name;
    return isNamed && (!position || position === words.position) && isMet(map, one, meets);
  });
}

/** Whether a text says what an exchange meets: as it is called there, or as its catalogue has it. */
const isMet = (map: GuardMap, exchange: Exchange, meets: string): boolean =>
  exchange.reaction === 'none'
    ? meets === ''
    : [answerName(map, exchange).meets, reactionName(map, exchange.reaction)].includes(meets);
