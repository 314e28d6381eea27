import type { MigrationInterface, QueryRunner } from 'typeorm';

const entity = (table: string, columns: string, keys = '') => `
  CREATE TABLE ${table} (
    map_id TEXT NOT NULL REFERENCES map (id) ON DELETE CASCADE,
    id TEXT NOT NULL,
    ord INTEGER NOT NULL,
    ${columns},
    PRIMARY KEY (map_id, id)${keys}
  )`;
const refers = (columns: string, table: string) =>
  `,\n    FOREIGN KEY (map_id, ${columns}) REFERENCES ${table} (map_id, id) DEFERRABLE INITIALLY DEFERRED`;

/** Maps as rows, their history, and classes. References are checked when a change is complete. */
export class FirstTables1764000000000 implements MigrationInterface {
  name = 'FirstTables1764000000000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      `CREATE TABLE map (
        id TEXT PRIMARY KEY, name TEXT NOT NULL, note TEXT NOT NULL, settings TEXT NOT NULL,
        revision INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL
      )`,
      `CREATE TABLE map_change (
        map_id TEXT NOT NULL REFERENCES map (id) ON DELETE CASCADE,
        revision INTEGER NOT NULL, command TEXT NOT NULL, inverse TEXT NOT NULL, at TEXT NOT NULL,
        PRIMARY KEY (map_id, revision)
      )`,
      entity('guard_system', 'name TEXT NOT NULL, aliases TEXT NOT NULL, note TEXT NOT NULL'),
      entity(
        'reaction',
        `name TEXT NOT NULL, aliases TEXT NOT NULL, "group" TEXT NOT NULL, changes TEXT NOT NULL,
        breaks TEXT NOT NULL, top_takes TEXT NOT NULL, top_releases TEXT NOT NULL,
        feel TEXT NOT NULL, script TEXT NOT NULL, hazards TEXT`,
      ),
      entity(
        'position',
        `name TEXT NOT NULL, aliases TEXT NOT NULL, systems TEXT NOT NULL, lead_side TEXT NOT NULL,
        apparel TEXT NOT NULL, holds TEXT NOT NULL, top_holds TEXT NOT NULL, signs TEXT NOT NULL,
        looks TEXT NOT NULL, entry REAL, rest REAL, drift TEXT, level TEXT NOT NULL,
        cues TEXT NOT NULL, faults TEXT NOT NULL, fits TEXT NOT NULL`,
      ),
      entity(
        'move',
        `position TEXT NOT NULL, look TEXT NOT NULL, name TEXT NOT NULL, aliases TEXT NOT NULL,
        kind TEXT NOT NULL, needs TEXT NOT NULL, needs_holds TEXT NOT NULL, variants TEXT NOT NULL,
        house_variant TEXT, steps TEXT NOT NULL, direction REAL, "window" TEXT, mechanics TEXT NOT NULL,
        requires TEXT NOT NULL, cues TEXT NOT NULL, faults TEXT NOT NULL, hazards TEXT NOT NULL,
        fits TEXT NOT NULL, seconds REAL`,
        refers('position', 'position'),
      ),
      entity(
        'exchange',
        `move TEXT NOT NULL, reaction TEXT, reaction_mirrored INTEGER NOT NULL, variant TEXT,
        to_position TEXT, to_mirrored INTEGER NOT NULL, to_outcome TEXT,
        otherwise_position TEXT, otherwise_mirrored INTEGER NOT NULL, otherwise_outcome TEXT,
        chance REAL NOT NULL CHECK (chance BETWEEN 0 AND 1), basis TEXT, seconds REAL, note TEXT`,
        refers('move', 'move') +
          refers('reaction', 'reaction') +
          refers('to_position', 'position') +
          refers('otherwise_position', 'position'),
      ),
      `CREATE UNIQUE INDEX exchange_once ON exchange
        (map_id, move, coalesce(reaction, ''), reaction_mirrored, coalesce(variant, ''))`,
      entity('opponent', 'alias TEXT NOT NULL, note TEXT NOT NULL, tendencies TEXT NOT NULL'),
      entity(
        'scenario',
        `name TEXT NOT NULL, note TEXT NOT NULL, rules TEXT, apparel TEXT, continuation REAL, rest REAL,
        submission_worth REAL, outcome_worth TEXT NOT NULL, forbidden_moves TEXT NOT NULL,
        forbidden_holds TEXT NOT NULL, chances TEXT NOT NULL, opponent TEXT, trust REAL`,
      ),
      `CREATE TABLE class (
        id TEXT PRIMARY KEY, map TEXT NOT NULL, name TEXT NOT NULL, minutes INTEGER NOT NULL,
        people INTEGER NOT NULL, apparel TEXT NOT NULL, change_over_seconds REAL NOT NULL,
        blocks TEXT NOT NULL, left_over TEXT NOT NULL, revision INTEGER NOT NULL,
        created_at TEXT NOT NULL, updated_at TEXT NOT NULL
      )`,
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    const tables = [
      'class',
      'scenario',
      'opponent',
      'exchange',
      'move',
      'position',
      'reaction',
      'guard_system',
    ];
    for (const table of [...tables, 'map_change', 'map']) await runner.query(`DROP TABLE ${table}`);
  }
}
