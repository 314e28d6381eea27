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
import { stepsOf } from '../model/seconds.ts';
import { checkEach } from './checkEach.ts';
import type { Check, Finding } from './finding.ts';
import { leadsTo } from './leadsTo.ts';
import { reacted, startOf, walk } from './walks.ts';

/** An exchange that leads to a position, followed from its start over the reaction and the steps that happen. */
export interface Arrival {
  exchange: Exchange;
  move: Move;
  /** The destination, on the side on which it is reached. */
  to: Position;
  reaction: Reaction | undefined;
  /** Holds that the reaction broke. */
  broken: Hold[];
  /** What is held and seen at the end. */
  end: Moment;
}

/** Looks at one arrival; both that do are given the same one, followed once. */
export type ArrivalCheck = (arrival: Arrival) => Finding[];

/**
 * Checks of each answer that arrives at a position of the map and says how: its move has steps. One whose note speaks
 * of the landing is left alone.
 */
export const checkArrivals = (...checks: ArrivalCheck[]): Check =>
  checkEach(({ moves }) => moves, arrivalsRestOn, [
    (map, move) => arrivalsOf(map, move).flatMap((arrival) => checks.flatMap((check) => check(arrival))),
  ]);

/** What a move's arrivals rest on: what the move rests on, and where its answers lead. */
const arrivalsRestOn = (map: GuardMap) => {
  const { position, exchangesOf } = indexMap(map);
  return (move: Move) => {
    const answers = exchangesOf(move.id);
    const places = leadsTo(answers).positions.map((id) => position.get(id));
    return [position.get(move.position), answers, map.reactions, ...places];
  };
};

function arrivalsOf(map: GuardMap, move: Move): Arrival[] {
  const index = indexMap(map);
  const from = index.position.get(move.position);
  if (!from) return [];
  return index.exchangesOf(move.id).flatMap((exchange) => {
    const to = isOutcome(exchange.to) ? undefined : index.position.get(exchange.to.position);
    return to && !explains(exchange) ? arrivalOf(exchange, move, from, to, map.reactions) : [];
  });
}

function arrivalOf(
  exchange: Exchange,
  move: Move,
  from: Position,
  written: Position,
  reactions: readonly Reaction[],
): Arrival[] {
  const { reaction: ref } = exchange;
  const known = ref === 'none' ? undefined : byId(reactions).get(ref.id);
  const steps = stepsOf(move, exchange);
  if ((ref !== 'none' && !known) || steps.length === 0) return [];
  const reaction = known && ref !== 'none' ? sided('reaction', known, ref.mirrored) : undefined;
  const { moment, broken } = reaction ? reacted(from, reaction) : { moment: startOf(from), broken: [] };
  const end = walk(moment, steps).after.at(-1) ?? moment;
  const mirrored = !isOutcome(exchange.to) && exchange.to.mirrored;
  return [{ exchange, move, to: sided('position', written, mirrored), reaction, broken, end }];
}

/** Whether a note speaks of the landing. */
const explains = (exchange: Exchange): boolean => notesOf(exchange).landing !== '';

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
