import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A block that drills one exchange is a `link` now, in classes and in their whole history; and every block may say why it is there. */
export class BlockKinds1764400000000 implements MigrationInterface {
  name = 'BlockKinds1764400000000';

  async up(runner: QueryRunner): Promise<void> {
    await rename(runner, 'answer', 'link');
    await runner.query(`UPDATE entity SET body = json_set(body, '$.why', '') WHERE kind = 'block'`);
  }
  async down(runner: QueryRunner): Promise<void> {
    await rename(runner, 'link', 'answer');
    await runner.query(`UPDATE entity SET body = json_remove(body, '$.why') WHERE kind = 'block'`);
  }
}

async function rename(runner: QueryRunner, from: string, to: string): Promise<void> {
  const words = [`"kind":"${from}"`, `"kind":"${to}"`];
  await runner.query(`UPDATE entity SET body = REPLACE(body, ?, ?) WHERE kind = 'block'`, words);
  await runner.query(
    `UPDATE change SET command = REPLACE(command, ?1, ?2), inverse = REPLACE(inverse, ?1, ?2)
     WHERE document IN (SELECT key FROM document WHERE kind = 'class')`,
    words,
  );
}
