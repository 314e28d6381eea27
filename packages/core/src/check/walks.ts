import { afterReaction } from '../body/afterReaction.ts';
import { followStep, type Moment, type StepTrouble } from '../body/followSteps.ts';
import { sided } from '../body/mirror.ts';
import type { Exchange } from '../model/exchange.ts';
import { byId, indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move, Step } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import { type Reaction, type ReactionRef, reactionKey } from '../model/reaction.ts';
import { remember } from '../model/remember.ts';
import { stepsOf } from '../model/seconds.ts';

const startOf = (position: Position): Moment => ({
  holds: position.holds,
  topHolds: position.topHolds,
  signs: position.signs,
});

/** A position once top has reacted; undefined where the reaction is not in the map. */
function after(reactions: readonly Reaction[], start: Moment, { id, mirrored }: ReactionRef): Moment[] {
  const known = byId(reactions).get(id);
  return known ? [afterReaction(start, sided('reaction', known, mirrored)).moment] : [];
}

/** A move walked through from one moment in which it may begin. */
export interface Walk {
  start: Moment;
  /** The moment after each step. */
  after: Moment[];
  troubles: StepTrouble[];
}

/**
 * A move's steps from every moment in which it may begin: its position as it is, and after each reaction it has an
 * answer to. Several checks ask for them, and they ask again after every edit.
 */
export const walksOf = (map: GuardMap, position: Position, move: Move): Walk[] =>
  walksFrom(move, position, indexMap(map).exchangesOf(move.id), map.reactions);

const walksFrom = remember(
  (move: Move, position: Position, exchanges: readonly Exchange[], reactions: readonly Reaction[]) => {
    const start = startOf(position);
    const met = exchanges.flatMap(({ reaction }) =>
      reaction === 'none' ? [] : after(reactions, start, reaction),
    );
    return [start, ...met].map((moment) => walk(moment, stepsOf(move)));
  },
);

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
  const start = startOf(position);
  const named = new Map<string, ReactionRef>();
  const name = (ref: ReactionRef) => named.set(reactionKey(ref), ref);
  for (const look of position.looks) for (const ref of look.reactions) name(ref);
  for (const move of index.movesOf(position.id)) {
    for (const { reaction } of index.exchangesOf(move.id)) if (reaction !== 'none') name(reaction);
  }
  return [start, ...[...named.values()].flatMap((ref) => after(map.reactions, start, ref))];
}
