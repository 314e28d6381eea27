import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Removed documents are deleted after thirty days from now on. Those removed before that was so get thirty days too. */
export class RemovedAnew1764700000000 implements MigrationInterface {
  name = 'RemovedAnew1764700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('UPDATE document SET removed_at = ? WHERE removed_at IS NOT NULL', [
      new Date().toISOString(),
    ]);
  }

  async down(): Promise<void> {
    // When they were removed before is not known any more.
  }
}
