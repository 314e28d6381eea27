import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import { legality } from '../../rules/legality.ts';
import type { Check, Finding } from '../finding.ts';

/** A move that the profile in use bars, or that a referee may stop, with the nearest allowed one. */
export const barredMove: Check = (map, { rules }) =>
  rules
    ? map.moves.flatMap((move): Finding[] => {
        const { legal, risk, why } = legality(move.hazards, rules);
        if (legal && !risk) return [];
        const instead = nearestAllowed(map, move, rules);
        return [
          {
            code: legal ? 'referee-risk' : 'barred-move',
            severity: legal ? 'note' : 'warning',
            place: { kind: 'move', id: move.id, path: 'hazards' },
            sentence: `"${move.name}": ${why}.`,
            mend: instead
              ? `From the same position "${instead.name}" is allowed.`
              : 'These rules allow no other move here. Add one, or leave the position out of such a class.',
          },
        ];
      })
    : [];

/** The allowed move of the same position that is most like it: the same look first, then the same kind. */
function nearestAllowed(map: GuardMap, move: Move, rules: RulesProfile): Move | undefined {
  const likeness = (other: Move) => Number(other.look === move.look) * 2 + Number(other.kind === move.kind);
  return indexMap(map)
    .movesOf(move.position)
    .filter((other) => other.id !== move.id)
    .filter((other) => {
      const { legal, risk } = legality(other.hazards, rules);
      return legal && !risk;
    })
    .sort((a, b) => likeness(b) - likeness(a))[0];
}
