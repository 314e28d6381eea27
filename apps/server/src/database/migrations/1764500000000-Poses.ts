import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Poses that were solved once, by the key of what they hang on. */
export class Poses1764500000000 implements MigrationInterface {
  name = 'Poses1764500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE TABLE pose (key TEXT PRIMARY KEY, record TEXT NOT NULL) WITHOUT ROWID');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE pose');
  }
}
