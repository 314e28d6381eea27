import { mechanicIds, namedMechanic, withMechanicIds } from '@aftersquall/core/formats';
import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Mechanics become things of the map: those that moves only named get an id and an entry, and moves and the whole
 * history speak of them by it. Of the entries nothing but the name is known yet.
 */
export class Mechanics1764300000000 implements MigrationInterface {
  name = 'Mechanics1764300000000';

  async up(runner: QueryRunner): Promise<void> {
    const maps: { key: string }[] = await runner.query(`SELECT key FROM document WHERE kind = 'map'`);
    for (const { key } of maps) await giveMechanics(runner, key);
  }

  down(): Promise<void> {
    throw new Error('What was said of mechanics since could not be kept: put back a copy of the file.');
  }
}

async function giveMechanics(runner: QueryRunner, key: string): Promise<void> {
  const moves: { id: string; body: string }[] = await runner.query(
    `SELECT id, body FROM entity WHERE document = ? AND kind = 'move' ORDER BY ord`,
    [key],
  );
  const ids = mechanicIds(moves.map(({ body }) => JSON.parse(body)));
  if (ids.size === 0) return;
  const named = (json: string) => JSON.stringify(withMechanicIds(JSON.parse(json), ids));
  for (const [ord, [name, id]] of [...ids].entries()) {
    const body = { ...namedMechanic(name, id), aliases: [], cues: [], faults: [], hazards: [] };
    await runner.query(`INSERT INTO entity VALUES (?, 'mechanic', ?, ?, ?)`, [
      key,
      id,
      ord,
      JSON.stringify(body),
    ]);
  }
  for (const { id, body } of moves)
    await runner.query(`UPDATE entity SET body = ? WHERE document = ? AND kind = 'move' AND id = ?`, [
      named(body),
      key,
      id,
    ]);
  const changes: { revision: number; command: string; inverse: string }[] = await runner.query(
    'SELECT revision, command, inverse FROM change WHERE document = ?',
    [key],
  );
  for (const { revision, command, inverse } of changes)
    await runner.query('UPDATE change SET command = ?, inverse = ? WHERE document = ? AND revision = ?', [
      named(command),
      named(inverse),
      key,
      revision,
    ]);
}
