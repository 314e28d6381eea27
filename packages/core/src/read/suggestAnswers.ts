import { afterReaction } from '../body/afterReaction.ts';
import type { Moment } from '../body/followSteps.ts';
import { sided } from '../body/mirror.ts';
import { conditionWords, contactName, joinWords } from '../body/words.ts';
import type { Contact } from '../model/contacts.ts';
import type { Exchange } from '../model/exchange.ts';
import { matchesPattern } from '../model/holdPattern.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { stepsOf } from '../model/seconds.ts';
import { conditionMet } from '../model/signs.ts';

export interface Suggestion {
  move: Move;
  /** Why it fits, in words: what is seen, what is still held, what is free. */
  reasons: string[];
  /** Where the move leads when nobody opposes it, if the map says so. */
  like?: Exchange;
}

/**
 * Moves of other positions that would answer a hole: everything they must see is so once the reaction has come,
 * every hold they need is there, and what they take fits on limbs that are free or that they free themselves.
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
  const released = new Set(steps.flatMap((step) => step.release));
  const busy = new Set<Contact>(
    moment.holds.flatMap((hold) => hold.contacts).filter((contact) => !released.has(contact)),
  );
  const taken = [...new Set(steps.flatMap((step) => step.take.flatMap((hold) => hold.contacts)))];
  if (taken.some((contact) => busy.has(contact))) return undefined;
  const held = new Set(moment.holds.flatMap((hold) => hold.contacts));
  const free = taken.filter((contact) => !held.has(contact));
  if (free.length > 0) reasons.push(`free ${joinWords(free.map(contactName))}`);
  return reasons.length > 0 ? reasons : undefined;
}
