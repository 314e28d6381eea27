import { afterReaction } from '../body/afterReaction.ts';
import { followSteps, type Moment } from '../body/followSteps.ts';
import { freeContacts } from '../body/freeContacts.ts';
import { sided } from '../body/mirror.ts';
import { releaseContacts } from '../body/releaseContacts.ts';
import { conditionWords, contactName, joinWords } from '../body/words.ts';
import type { Exchange } from '../model/exchange.ts';
import { matchesPattern } from '../model/holdPattern.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { stepsOf } from '../model/seconds.ts';
import { conditionMet, signOf } from '../model/signs.ts';
import { lackingHolds, momentSimilarity } from './nearestPositions.ts';

export interface Suggestion {
  move: Move;
  /** Why it fits, in words: what is seen, what is still held, what is free. */
  reasons: string[];
  /** Where the move leads when nobody opposes it, if the map says so. */
  like?: Exchange;
}

/**
 * Moves of other positions that would answer a hole: everything they must see is so once the reaction has come,
 * every hold they need and every hold their position rests on is there, top's stance is the one they are for, the position is not quite another one, and what
 * they take fits on limbs that are free or that they free themselves.
 * Those with more reasons come first, then the likelier, then by id.
 */
export function suggestAnswers(
  map: GuardMap,
  position: string,
  reaction: ReactionRef | 'none',
): Suggestion[] {
  const index = indexMap(map);
  const here = index.position.get(position);
  const met = reaction === 'none' ? undefined : index.reaction.get(reaction.id);
  if (!here || (reaction !== 'none' && !met)) return [];
  const start: Moment = { holds: here.holds, topHolds: here.topHolds, signs: here.signs };
  const moment =
    met && reaction !== 'none'
      ? afterReaction(start, sided('reaction', met, reaction.mirrored)).moment
      : start;
  const names = new Set(index.movesOf(position).map(({ name }) => name));
  return map.moves
    .filter((move) => move.position !== position && !names.has(move.name))
    .flatMap((move): Suggestion[] => {
      const home = index.position.get(move.position)!;
      if (!suits(home, moment)) return [];
      const reasons = reasonsFor(move, moment);
      const like = index.exchangesOf(move.id).find((exchange) => exchange.reaction === 'none');
      return reasons ? [{ move, reasons, ...(like && { like }) }] : [];
    })
    .sort(
      (a, b) =>
        b.reasons.length - a.reasons.length ||
        (b.like?.chance ?? 0) - (a.like?.chance ?? 0) ||
        (a.move.id < b.move.id ? -1 : 1),
    );
}

/** Positions less like the moment than this lend it no moves. */
const ALIKE = 0.15;

/** Whether top stands or kneels as where a move is at home, and all that its position rests on is held. */
const suits = (home: Position, moment: Moment): boolean =>
  signOf(home.signs, 'top.stance') === signOf(moment.signs, 'top.stance') &&
  momentSimilarity(moment, home) >= ALIKE &&
  lackingHolds(moment, home).length === 0;

/** Why a move fits the moment; undefined when it does not. */
function reasonsFor(move: Move, moment: Moment): string[] | undefined {
  const reasons: string[] = [];
  for (const need of move.needs) {
    if (conditionMet(need, moment.signs)) reasons.push(conditionWords(need));
    else if (need.mark === 'must') return undefined;
  }
  for (const pattern of move.needsHolds) {
    const by = pattern.by ?? 'own';
    const holds = by === 'own' ? moment.holds : moment.topHolds;
    const held = holds.find((hold) => matchesPattern(hold, pattern, by));
    if (!held) return undefined;
    reasons.push(
      `the ${joinWords(held.contacts.map(contactName))} still ${held.contacts.length > 1 ? 'hold' : 'holds'}`,
    );
  }
  const steps = stepsOf(move);
  if (followSteps(moment, steps).troubles.length > 0) return undefined;
  const released = steps.flatMap((step) => step.release);
  const free = freeContacts(releaseContacts(moment.holds, released));
  const held = new Set(moment.holds.flatMap((hold) => hold.contacts));
  // What comes to a hold that is there needs no free limb for the part that holds already.
  const taken = [...new Set(steps.flatMap((step) => step.take.flatMap((hold) => hold.contacts)))].filter(
    (contact) => !held.has(contact),
  );
  if (taken.some((contact) => !free.includes(contact))) return undefined;
  if (taken.length > 0) reasons.push(`free ${joinWords(taken.map(contactName))}`);
  return reasons.length > 0 ? reasons : undefined;
}
