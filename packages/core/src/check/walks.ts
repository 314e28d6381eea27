import { afterReaction } from '../body/afterReaction.ts';
import { followStep, type Moment, type StepTrouble } from '../body/followSteps.ts';
import { sided } from '../body/mirror.ts';
import type { Exchange } from '../model/exchange.ts';
import { byId, indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move, Step } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import { type Reaction, type ReactionRef, reactionKey } from '../model/reaction.ts';
import { stepsOf } from '../model/seconds.ts';
import { FACETS, type Facet } from '../model/signs.ts';
import type { MoveCheck } from './checkEach.ts';
import type { Finding } from './finding.ts';

/** What is held and seen where a position begins. */
export const startOf = ({ holds, topHolds, signs }: Position): Moment => ({ holds, topHolds, signs });

const known = new WeakMap<Position, WeakMap<Reaction, ReturnType<typeof afterReaction>>>();

/** A position once top has reacted. Every move there asks, so what was worked out is kept with the position. */
export function reacted(position: Position, reaction: Reaction): ReturnType<typeof afterReaction> {
  let here = known.get(position);
  if (!here) {
    here = new WeakMap();
    known.set(position, here);
  }
  let after = here.get(reaction);
  if (!after) {
    after = afterReaction(startOf(position), reaction);
    here.set(reaction, after);
  }
  return after;
}

/** The same by a reference; nothing where the reaction is not in the map. */
function after(reactions: readonly Reaction[], position: Position, { id, mirrored }: ReactionRef): Moment[] {
  const written = byId(reactions).get(id);
  return written ? [reacted(position, sided('reaction', written, mirrored)).moment] : [];
}

/** A move walked through from one moment in which it may begin. */
export interface Walk {
  start: Moment;
  /** The moment after each step. */
  after: Moment[];
  troubles: StepTrouble[];
}

/** Looks at a move where it begins. `walks` are worked out when the first check asks for them. */
export type WalkCheck = (move: Move, position: Position, walks: () => Walk[]) => Finding[];

/**
 * Checks that follow a move's steps from every moment in which it may begin: its position as it is, and after each
 * reaction it has an answer to.
 */
export const followed =
  (...checks: WalkCheck[]): MoveCheck =>
  (map, move) => {
    const position = indexMap(map).position.get(move.position);
    if (!position) return [];
    let made: Walk[] | undefined;
    const walks = () => {
      made ??= walksFrom(move, position, indexMap(map).exchangesOf(move.id), map.reactions);
      return made;
    };
    return checks.flatMap((check) => check(move, position, walks));
  };

/** A reaction that leaves all that is bottom's as it was changes nothing for bottom's steps: walked once. */
function walksFrom(
  move: Move,
  position: Position,
  exchanges: readonly Exchange[],
  reactions: readonly Reaction[],
): Walk[] {
  const start = startOf(position);
  const met = exchanges.flatMap(({ reaction }) =>
    reaction === 'none' ? [] : after(reactions, position, reaction),
  );
  const changed = met.filter(
    ({ holds, signs }) =>
      holds !== start.holds || OWN_FACETS.some((facet) => signs[facet] !== start.signs[facet]),
  );
  return [start, ...changed].map((moment) => walk(moment, stepsOf(move)));
}

const OWN_FACETS = (Object.keys(FACETS) as Facet[]).filter((facet) => facet.startsWith('own.'));

/** The steps one after the other from a moment. */
export function walk(start: Moment, steps: readonly Step[]): Walk {
  const moments: Moment[] = [];
  const troubles: StepTrouble[] = [];
  let moment = start;
  for (const step of steps) {
    const followed = followStep(moment, step);
    moment = followed.moment;
    moments.push(moment);
    troubles.push(...followed.troubles);
  }
  return { start, after: moments, troubles };
}

/** Every moment that a position knows of: as it is, and after each reaction that any of its looks or answers names. */
export function momentsAt(map: GuardMap, position: Position): Moment[] {
  const index = indexMap(map);
  const named = new Map<string, ReactionRef>();
  const name = (ref: ReactionRef) => named.set(reactionKey(ref), ref);
  for (const look of position.looks) for (const ref of look.reactions) name(ref);
  for (const move of index.movesOf(position.id)) {
    for (const { reaction } of index.exchangesOf(move.id)) if (reaction !== 'none') name(reaction);
  }
  return [startOf(position), ...[...named.values()].flatMap((ref) => after(map.reactions, position, ref))];
}
