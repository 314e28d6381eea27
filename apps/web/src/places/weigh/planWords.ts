import {
  type GuardMap,
  indexMap,
  joinWords,
  type LookPlan,
  pointsText,
  reactionName,
} from '@aftersquall/core';

const WORDS = ['none', 'one', 'two', 'three', 'four', 'five'];

/** "three to one", "two to one", "evenly", or percentages where no small whole numbers fit. */
export function oddsWords(shares: readonly number[]): string {
  if (shares.length < 2) return '';
  const least = Math.min(...shares);
  const ratios = shares.map((share) => share / least);
  const whole = ratios.map(Math.round);
  if (
    whole.every((n) => n <= 5) &&
    ratios.every((ratio, i) => Math.abs(ratio - whole[i]!) < 0.15 * whole[i]!)
  ) {
    return whole.every((n) => n === 1) ? 'evenly' : whole.map((n) => WORDS[n]).join(' to ');
  }
  return shares.map((share) => `${Math.round(share * 100)} %`).join(' to ');
}

/** Whether something else is expected of top than what it would do best. */
const habitsKnown = ({ reactions, expected }: LookPlan): boolean =>
  expected.length !== reactions.length ||
  expected.some(({ what, share }, i) => what !== reactions[i]!.what || share !== reactions[i]!.share);

/** What to do from a look and what a perfect top does about it, as a coach would say it. */
export function planWords(map: GuardMap, plan: LookPlan): string {
  const index = indexMap(map);
  const move = (id: string) => `“${index.move.get(id)?.name ?? id}”`;
  const met = plan.reactions.map(({ what }) => reactionName(map, what));
  const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);
  const points = `${pointsText(plan.value)} points`;
  const leaves = habitsKnown(plan)
    ? `As far as the habits are trusted that is worth ${points}.`
    : `That leaves ${points}.`;
  const top =
    met.length > 0
      ? `Top does best when ${joinWords(met.map((name) => `top ${lower(name)}`))}.`
      : 'Nobody has said what top does about it.';
  const [reply] = plan.replies;
  if (plan.timing === 'seen' && reply && plan.replies.every(({ move: id }) => id === reply.move))
    return `${move(reply.move)}, whatever top does. ${top} ${leaves}`;
  if (plan.timing === 'seen') {
    const replies = plan.replies.map(
      ({ reaction, move: id }) => `${move(id)} when top ${lower(reactionName(map, reaction))}`,
    );
    return `Feel first, then: ${joinWords(replies)}. ${leaves}`;
  }
  const [first, ...others] = plan.moves;
  if (!first) return leaves;
  if (others.length === 0) return `Go for ${move(first.what)}. ${top} ${leaves}`;
  const shown = joinWords(plan.moves.map(({ what }) => move(what)));
  const shares = oddsWords(plan.moves.map(({ share }) => share));
  return `Show ${shown} from the same look, ${shares}: whatever answers the one gives you the other. ${top} ${leaves}`;
}
