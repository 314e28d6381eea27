import type { Moment } from '../../body/followSteps.ts';
import { sided } from '../../body/mirror.ts';
import { tiedBy } from '../../body/tiedLimbs.ts';
import { conditionWords, contactName, holdWords, patternWords, wordContext } from '../../body/words.ts';
import type { Hold } from '../../model/hold.ts';
import { matchesPattern } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { Move } from '../../model/move.ts';
import type { Look, Position } from '../../model/position.ts';
import { type Reaction, type ReactionNeed, type ReactionRef, reactionKey } from '../../model/reaction.ts';
import { stepsOf } from '../../model/seconds.ts';
import { conditionMet, type Facet, signOf } from '../../model/signs.ts';
import type { PositionCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';
import { reacted, startOf, walk } from '../walks.ts';

/**
 * A reaction that cannot be done where it is listed: what it needs is never so, a hand it frees or posts is held and the
 * hold is not broken, or it brings about a stance that top has already. What the steps of a move of the look have brought
 * about by then counts too.
 */
export const impossibleReaction: PositionCheck = (map, position) => {
  const index = indexMap(map);
  const moves = index.movesOf(position.id);
  return position.looks.flatMap((look) => {
    const states = statesOf(
      position,
      moves.filter((move) => move.look === look.id),
    );
    return look.reactions.flatMap((ref) => {
      const written = index.reaction.get(ref.id);
      if (!written) return [];
      const reaction = sided('reaction', written, ref.mirrored);
      return whyNot(position, states, reaction).map((why) => finding(position, look, ref, reaction, why));
    });
  });
};

/** The position, and what it has become after each step of each move of a look. */
function statesOf(position: Position, moves: readonly Move[]): Moment[] {
  const start = startOf(position);
  return [start, ...moves.flatMap((move) => walk(start, stepsOf(move)).after)];
}

function whyNot(position: Position, states: readonly Moment[], reaction: Reaction): string[] {
  const context = wordContext(position);
  const held = (hold: Hold) => `bottom has the ${holdWords(hold, context)}`;
  const unmet = reaction.needs.flatMap((need) => unmetNeed(need, states, reaction, position));
  const start = states[0]!;
  const left = reacted(position, reaction).moment;
  const hands = (['L', 'R'] as const).flatMap((side) => {
    const becomes = reaction.changes[`top.hand${side}`];
    const tie = becomes === 'posted' || becomes === 'free' ? tiedBy(left.holds, `hand${side}`) : undefined;
    return tie ? [`it makes top’s ${contactName(`hand${side}`)} ${becomes}, and ${held(tie)} unbroken`] : [];
  });
  const stance = reaction.changes['top.stance'];
  const changesNothing = Object.entries(reaction.changes).every(
    ([facet, value]) => signOf(start.signs, facet as Facet) === value,
  );
  const same = stance !== undefined && changesNothing ? [`top is ${stance.replace('-', ' ')} already`] : [];
  return [...unmet, ...hands, ...same];
}

function unmetNeed(
  need: ReactionNeed,
  states: readonly Moment[],
  reaction: Reaction,
  position: Position,
): string[] {
  const context = wordContext(position);
  const start = states[0]!;
  if ('facet' in need) {
    const met = need.mark === 'helps' || states.some(({ signs }) => conditionMet(need, signs));
    return met ? [] : [`it needs ${conditionWords(need)}`];
  }
  if ('free' in need) {
    const unbroken = start.holds.filter(
      (hold) => !reaction.breaks.some((pattern) => matchesPattern(hold, pattern, 'own')),
    );
    const tie = tiedBy(unbroken, need.free);
    if (tie)
      return [`it needs top’s ${contactName(need.free)} free, and bottom has the ${holdWords(tie, context)}`];
    const trapped = /^hand/.test(need.free) && signOf(start.signs, `top.${need.free}` as Facet) === 'trapped';
    return trapped ? [`it needs top’s ${contactName(need.free)} free, which is trapped`] : [];
  }
  const free = states.some(({ holds }) => !holds.some((hold) => matchesPattern(hold, need.not, 'own')));
  return free ? [] : [`bottom must not have ${patternWords(need.not, context)}`];
}

const finding = (
  position: Position,
  look: Look,
  ref: ReactionRef,
  { name }: Reaction,
  why: string,
): Finding => ({
  code: 'impossible-reaction',
  severity: 'warning',
  place: { kind: 'position', id: position.id, path: `looks.${look.id}.${reactionKey(ref)}` },
  sentence: `In “${position.name}” top cannot do “${name}” about “${look.name}”: ${why}.`,
  mend: 'Remove it here, or correct the grips and signs here, or correct what the reaction needs.',
});
