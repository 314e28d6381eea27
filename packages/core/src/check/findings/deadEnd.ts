import { indexMap } from '../../model/indexMap.ts';
import type { Check, Finding } from '../finding.ts';

/** A position without a move, and a move that leads nowhere. */
export const deadEnd: Check = (map) => {
  const index = indexMap(map);
  return map.positions.flatMap((position): Finding[] => {
    const moves = index.movesOf(position.id);
    if (moves.length === 0) {
      return [
        {
          code: 'dead-end',
          severity: 'warning',
          place: { kind: 'position', id: position.id },
          sentence: `"${position.name}" is a dead end: bottom has no move there.`,
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
        mend: 'Say where it leads when nobody opposes it.',
      }));
  });
};
