import { sided } from '../../body/mirror.ts';
import { holdWords, joinWords, wordContext } from '../../body/words.ts';
import type { Exchange } from '../../model/exchange.ts';
import type { Hold } from '../../model/hold.ts';
import { sameTarget } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { Move } from '../../model/move.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import { remember } from '../../model/remember.ts';
import { stepsOf } from '../../model/seconds.ts';
import type { Check, Finding } from '../finding.ts';
import { walk } from '../walks.ts';

/**
 * Holds that the destination has and the steps do not explain. Only unopposed exchanges are asked: a move's steps
 * are written for the case in which they all happen, and a reaction sends it elsewhere half-way.
 */
export const arrivalGap: Check = (map) => {
  const index = indexMap(map);
  return map.exchanges.flatMap((exchange): Finding[] => {
    const move = index.move.get(exchange.move);
    if (!move || exchange.reaction !== 'none' || isOutcome(exchange.to)) return [];
    const from = index.position.get(move.position);
    const to = index.position.get(exchange.to.position);
    return from && to ? gapsOf(exchange, move, from, to) : [];
  });
};

/** What is missing on arrival; worked out again only when one of the four has changed. */
const gapsOf = remember((exchange: Exchange, move: Move, from: Position, to: Position): Finding[] => {
  const missing = unexplained(exchange, move, from, to);
  if (missing.length === 0) return [];
  const context = wordContext(sided('position', to, mirroredAt(exchange)));
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

const mirroredAt = ({ to }: Exchange): boolean | undefined => (isOutcome(to) ? undefined : to.mirrored);

function unexplained(exchange: Exchange, move: Move, from: Position, written: Position): Hold[] {
  const steps = stepsOf(move, exchange);
  if (steps.length === 0) return [];
  const to = sided('position', written, mirroredAt(exchange));
  const { holds } = walk({ holds: from.holds, topHolds: from.topHolds, signs: from.signs }, steps).after.at(
    -1,
  )!;
  const there = (hold: Hold) =>
    holds.some(
      (other) =>
        sameTarget(other.target, hold.target) &&
        hold.contacts.every((contact) => other.contacts.includes(contact)),
    );
  return to.holds.filter((hold) => !there(hold));
}
