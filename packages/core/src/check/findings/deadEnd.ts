import { indexMap } from '../../model/indexMap.ts';
import type { PositionCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** A position without a move, and a move that leads nowhere. */
export const deadEnd: PositionCheck = (map, position): Finding[] => {
  const index = indexMap(map);
  const moves = index.movesOf(position.id);
  if (moves.length === 0) {
    return [
      {
        code: 'dead-end',
        severity: 'warning',
        place: { kind: 'position', id: position.id },
        sentence: `"${position.name}" is a dead end: you have no move there.`,
        mend: 'Add a move.',
      },
    ];
  }
  return moves
    .filter((move) => index.exchangesOf(move.id).length === 0)
    .map((move) => ({
      code: 'no-exchange',
      severity: 'warning',
      place: { kind: 'move', id: move.id },
      sentence: `"${move.name}" from "${position.name}" leads nowhere yet.`,
      mend: 'Write where it leads when top does nothing.',
    }));
};
