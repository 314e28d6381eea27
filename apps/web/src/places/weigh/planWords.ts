import { joinWords, landingWords, reactionName } from '@aftersquall/core/body';
import { type GuardMap, indexMap, lowerFirst, timesInTen } from '@aftersquall/core/model';
import { type LookPlan, pointsText, type WorthReason } from '@aftersquall/core/weigh';
import { say } from './words.ts';

const TIMES = ['never', 'once', 'twice', 'three times', 'four times', 'five times'];

/** How often each is shown: "“A” three times, “B” once", "equally often", or percentages where no small numbers fit. */
export function mixWords(names: readonly string[], shares: readonly number[]): string {
  if (shares.length < 2) return '';
  const least = Math.min(...shares);
  const ratios = shares.map((share) => share / least);
  const whole = ratios.map(Math.round);
  const fit =
    whole.every((n) => n <= 5) && ratios.every((ratio, i) => Math.abs(ratio - whole[i]!) < 0.15 * whole[i]!);
  if (fit && whole.every((n) => n === 1)) return 'equally often';
  return names
    .map((name, i) => `“${name}” ${fit ? TIMES[whole[i]!] : `${Math.round(shares[i]! * 100)} %`}`)
    .join(', ');
}

/** Whether something else is expected of top than what it would do best. */
const habitsKnown = ({ reactions, expected }: LookPlan): boolean =>
  expected.length !== reactions.length ||
  expected.some(({ what, share }, i) => what !== reactions[i]!.what || share !== reactions[i]!.share);

/** Moves that a human bottom shows less often than this are not said, nor what a human top does less often beside its main answer. */
const RARE = 0.12;
const BESIDE_MAIN = 0.75;
const MOST_ANSWERS = 3;

/** A plan as far as it is worth saying: two who do not know best do a little of everything. */
function main(plan: LookPlan): LookPlan {
  const most = Math.max(...plan.reactions.map(({ share }) => share));
  const moves = plan.moves.filter(({ share }) => share >= RARE);
  return {
    ...plan,
    moves: moves.length > 0 ? moves : plan.moves,
    reactions: plan.reactions
      .filter(({ share }) => share >= most * BESIDE_MAIN)
      .sort((a, b) => b.share - a.share)
      .slice(0, MOST_ANSWERS),
  };
}

/**
 * What to do from a look and what top does about it, as a coach would say it.
 * @param human whether the two do not know best: then what they do mostly is said
 */
export function planWords(map: GuardMap, whole: LookPlan, human = false): string {
  const plan = human ? main(whole) : whole;
  const index = indexMap(map);
  const move = (id: string) => `“${index.move.get(id)?.name ?? id}”`;
  const one = plan.moves[0]?.what ?? plan.replies[0]?.move ?? '';
  const at = index.position.get(index.move.get(one)?.position ?? '');
  const met = plan.reactions.map(({ what }) => reactionName(map, what, at));
  const points = `${pointsText(plan.value)} points`;
  const leaves = habitsKnown(whole) ? say.habitsWorth(points) : `That brings ${points}.`;
  const top =
    met.length > 0
      ? `${human ? 'Mostly' : say.topDoesBestWhen} ${joinWords(met.map((name) => `top ${lowerFirst(name)}`))}.`
      : say.mapDoesNotSay2;
  const [reply] = plan.replies;
  if (plan.timing === 'seen' && reply && plan.replies.every(({ move: id }) => id === reply.move))
    return `${move(reply.move)}, whatever top does. ${top} ${leaves}`;
  if (plan.timing === 'seen') {
    const replies = plan.replies.map(
      ({ reaction, move: id }) => `${move(id)} when top ${lowerFirst(reactionName(map, reaction, at))}`,
    );
    return `Feel first, then: ${joinWords(replies)}. ${leaves}`;
  }
  const [first, ...others] = plan.moves;
  if (!first) return leaves;
  if (others.length === 0) return `Go for ${move(first.what)}. ${top} ${leaves}`;
  const shown = joinWords(plan.moves.map(({ what }) => move(what)));
  const mix = mixWords(
    plan.moves.map(({ what }) => index.move.get(what)?.name ?? what),
    plan.moves.map(({ share }) => share),
  );
  return say.showSameStartWhatever(shown, mix, top, leaves);
}

/** Why a position is worth what it is, down to one exchange or to the hole that stands in its place. */
export function reasonWords(map: GuardMap, { move, reaction, exchange, payoff }: WorthReason): string {
  const index = indexMap(map);
  const at = index.position.get(index.move.get(move)?.position ?? '');
  const met =
    reaction === 'none' ? 'when top does nothing' : `when top ${lowerFirst(reactionName(map, reaction, at))}`;
  const what = `It comes down to “${index.move.get(move)?.name ?? move}” ${met}`;
  const known = exchange === undefined ? undefined : index.exchange.get(exchange);
  if (!known) return say.noAnswerYetSo(what, pointsText(payoff));
  const fails = known.otherwise ? landingWords(map, known.otherwise, at) : 'you are still here';
  return say.worksIfFailsPoints(
    what,
    timesInTen(known.chance),
    landingWords(map, known.to, at),
    fails,
    pointsText(payoff),
  );
}
