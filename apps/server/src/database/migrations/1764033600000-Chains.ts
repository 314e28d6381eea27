import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Chains that are kept in a map. */
export class Chains1764033600000 implements MigrationInterface {
  name = 'Chains1764033600000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE chain (
        map_id TEXT NOT NULL REFERENCES map (id) ON DELETE CASCADE,
        id TEXT NOT NULL,
        ord INTEGER NOT NULL,
        name TEXT NOT NULL, note TEXT NOT NULL, exchanges TEXT NOT NULL,
        PRIMARY KEY (map_id, id)
      )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE chain');
  }
}
