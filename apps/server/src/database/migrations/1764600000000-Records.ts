import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Facts of practice: asked for by time, person and exchange, never changed. */
export class Records1764600000000 implements MigrationInterface {
  name = 'Records1764600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE record (
        seq INTEGER PRIMARY KEY,
        key TEXT NOT NULL UNIQUE,
        kind TEXT NOT NULL,
        map TEXT NOT NULL,
        date TEXT NOT NULL,
        at TEXT NOT NULL,
        session TEXT NOT NULL,
        class TEXT,
        exchange TEXT,
        athlete TEXT,
        resistance TEXT,
        worked INTEGER,
        count INTEGER,
        thing TEXT,
        fault TEXT,
        voids TEXT,
        body TEXT NOT NULL
      )`);
    await runner.query('CREATE INDEX record_by_day ON record (map, kind, date)');
    await runner.query('CREATE INDEX record_by_session ON record (session, kind)');
    // What trials are summed up by, so that their bodies need not be read.
    await runner.query(
      'CREATE INDEX record_by_exchange ON record (map, kind, exchange, resistance, at, worked, count, date, athlete, key)',
    );
    await runner.query('CREATE INDEX record_counted ON record (map, kind, session, count, date, key)');
    await runner.query('CREATE INDEX record_voids ON record (voids) WHERE voids IS NOT NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE record');
  }
}
