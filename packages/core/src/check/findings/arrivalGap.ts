import { sided } from '../../body/mirror.ts';
import { holdWords, joinWords, wordContext } from '../../body/words.ts';
import type { Exchange } from '../../model/exchange.ts';
import type { Hold } from '../../model/hold.ts';
import { sameTarget } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import { isOutcome } from '../../model/outcome.ts';
import { stepsOf } from '../../model/seconds.ts';
import type { Check, Finding } from '../finding.ts';
import { walk, walksOf } from '../walks.ts';

/**
 * Holds that the destination has and the steps do not explain. Only unopposed exchanges are asked: a move's steps
 * are written for the case in which they all happen, and a reaction sends it elsewhere half-way.
 */
export const arrivalGap: Check = (map) =>
  map.exchanges.flatMap((exchange): Finding[] => {
    const move = indexMap(map).move.get(exchange.move);
    if (!move || exchange.reaction !== 'none' || stepsOf(move, exchange).length === 0) return [];
    const missing = unexplained(map, move, exchange);
    if (missing.length === 0 || isOutcome(exchange.to)) return [];
    const to = indexMap(map).position.get(exchange.to.position)!;
    const context = wordContext(sided('position', to, exchange.to.mirrored));
    return [
      {
        code: 'arrival-gap',
        severity: 'warning',
        place: { kind: 'move', id: move.id, path: 'steps' },
        sentence: `"${move.name}" arrives at "${to.name}", but its steps do not say how the ${joinWords(missing.map((hold) => holdWords(hold, context)))}.`,
        mend: 'Add the take to a step, or the hold to where it starts.',
      },
    ];
  });

function unexplained(map: GuardMap, move: Move, exchange: Exchange): Hold[] {
  const index = indexMap(map);
  const from = index.position.get(move.position);
  const written = isOutcome(exchange.to) ? undefined : index.position.get(exchange.to.position);
  if (!from || !written || isOutcome(exchange.to)) return [];
  const to = sided('position', written, exchange.to.mirrored);
  const [unopposed] = exchange.variant
    ? [walk({ holds: from.holds, topHolds: from.topHolds, signs: from.signs }, stepsOf(move, exchange))]
    : walksOf(map, from, move);
  const holds = unopposed?.after.at(-1)?.holds ?? from.holds;
  const there = (hold: Hold) =>
    holds.some(
      (other) =>
        sameTarget(other.target, hold.target) &&
        hold.contacts.every((contact) => other.contacts.includes(contact)),
    );
  return to.holds.filter((hold) => !there(hold));
}
