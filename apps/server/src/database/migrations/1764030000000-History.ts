import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who made a change, and maps that were removed and can be had back. */
export class History1764030000000 implements MigrationInterface {
  name = 'History1764030000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE map_change ADD COLUMN who TEXT NOT NULL DEFAULT ''`);
    await runner.query('ALTER TABLE map ADD COLUMN removed_at TEXT');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE map_change DROP COLUMN who');
    await runner.query('ALTER TABLE map DROP COLUMN removed_at');
  }
}
