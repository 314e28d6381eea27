import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Scenarios can spare joints and do without reactions. */
export class WhatIfs1764037200000 implements MigrationInterface {
  name = 'WhatIfs1764037200000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE scenario ADD COLUMN forbidden_reactions TEXT NOT NULL DEFAULT '[]'`);
    await runner.query(`ALTER TABLE scenario ADD COLUMN spared_joints TEXT NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE scenario DROP COLUMN spared_joints');
    await runner.query('ALTER TABLE scenario DROP COLUMN forbidden_reactions');
  }
}
