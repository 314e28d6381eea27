import { afterReaction } from '../body/afterReaction.ts';
import type { Moment } from '../body/followSteps.ts';
import { sided } from '../body/mirror.ts';
import { type Exchange, notesOf } from '../model/exchange.ts';
import type { Hold, Target } from '../model/hold.ts';
import { byId, indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import { isOutcome } from '../model/outcome.ts';
import type { Position } from '../model/position.ts';
import type { Reaction } from '../model/reaction.ts';
import { remember } from '../model/remember.ts';
import { stepsOf } from '../model/seconds.ts';
import { walk } from './walks.ts';

/** An exchange that leads to a position, followed from its start over the reaction and the steps that happen. */
export interface Arrival {
  exchange: Exchange;
  move: Move;
  from: Position;
  /** The destination, on the side on which it is reached. */
  to: Position;
  reaction: Reaction | undefined;
  /** Holds that the reaction broke. */
  broken: Hold[];
  /** What is held and seen at the end. */
  end: Moment;
}

/** Every exchange that arrives at a position of the map and says how: its move has steps. */
export const arrivalsOf = remember((map: GuardMap): Arrival[] => {
  const index = indexMap(map);
  return map.exchanges.flatMap((exchange) => {
    const move = index.move.get(exchange.move);
    if (!move || isOutcome(exchange.to)) return [];
    const from = index.position.get(move.position);
    const to = index.position.get(exchange.to.position);
    return from && to ? arrivalOf(exchange, move, from, to, map.reactions) : [];
  });
});

/** Followed again only where one of the five has changed. */
const arrivalOf = remember(
  (
    exchange: Exchange,
    move: Move,
    from: Position,
    written: Position,
    reactions: readonly Reaction[],
  ): Arrival[] => {
    const { reaction: ref } = exchange;
    const known = ref === 'none' ? undefined : byId(reactions).get(ref.id);
    if ((ref !== 'none' && !known) || stepsOf(move, { ...exchange, stops: undefined }).length === 0)
      return [];
    const reaction = known && ref !== 'none' ? sided('reaction', known, ref.mirrored) : undefined;
    const start: Moment = { holds: from.holds, topHolds: from.topHolds, signs: from.signs };
    const { moment, broken } = reaction ? afterReaction(start, reaction) : { moment: start, broken: [] };
    const end = walk(moment, stepsOf(move, exchange)).after.at(-1) ?? moment;
    const mirrored = !isOutcome(exchange.to) && exchange.to.mirrored;
    return [{ exchange, move, from, to: sided('position', written, mirrored), reaction, broken, end }];
  },
);

/** Whether a note speaks of the landing. */
export const explains = (exchange: Exchange): boolean => notesOf(exchange).landing !== '';

const samePlace = (a: Target, b: Target): boolean => a.of === b.of && a.part === b.part && a.side === b.side;
const placesOf = ({ target, fallbacks = [] }: Hold): Target[] => [target, ...fallbacks];

/** Whether each limb of a hold is where the hold wants it, or where it would do as well. */
export const isReached = (hold: Hold, { holds }: Moment): boolean =>
  hold.contacts.every((contact) =>
    holds.some(
      (other) =>
        other.contacts.includes(contact) &&
        placesOf(other).some((got) => placesOf(hold).some((place) => samePlace(place, got))),
    ),
  );

/** Whether a hold is one that was broken on the way. */
export const wasBroken = (hold: Hold, broken: readonly Hold[]): boolean =>
  broken.some(
    (one) => samePlace(one.target, hold.target) && one.contacts.some((limb) => hold.contacts.includes(limb)),
  );
