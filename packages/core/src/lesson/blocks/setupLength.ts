import type { MoveKind } from '../../model/move.ts';

const SETS_UP: readonly MoveKind[] = ['connect', 'provoke'];

/** How many exchanges at the beginning of a chain only set up (connect or provoke). */
export function setupLength(kinds: readonly MoveKind[]): number {
  const finish = kinds.findIndex((kind) => !SETS_UP.includes(kind));
  return finish < 0 ? kinds.length : finish;
}
