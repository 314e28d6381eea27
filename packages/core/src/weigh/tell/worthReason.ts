import { type ReactionRef, reactionKey } from '../../model/reaction.ts';
import type { Weighing } from '../measure/weighMap.ts';

/** What a position's worth comes down to: the move most played there and what top does most about it. */
export interface WorthReason {
  move: string;
  reaction: ReactionRef | 'none';
  /** Undefined where the map has no answer: the worth is that of failing. */
  exchange: string | undefined;
  /** What it is worth, points. */
  payoff: number;
}

/** The one exchange (or hole) that makes the worth of a position; undefined where waiting is the best there is. */
export function worthReason(position: Weighing['positions'][number]): WorthReason | undefined {
  const plan = position.looks.find(({ look }) => look === position.best);
  if (!plan) return undefined;
  const { matrix } = plan;
  const most = <T>(list: readonly { what: T; share: number }[]): T | undefined =>
    list.reduce<{ what: T; share: number } | undefined>(
      (best, one) => (best && best.share >= one.share ? best : one),
      undefined,
    )?.what;
  const reaction = most(plan.reactions);
  const key = reaction && reactionKey(reaction);
  const reply = plan.replies.find((one) => reactionKey(one.reaction) === key)?.move;
  const move = (plan.timing === 'seen' ? reply : undefined) ?? most(plan.moves) ?? matrix.moves[0];
  if (move === undefined) return undefined;
  const m = matrix.moves.indexOf(move);
  const r = Math.max(
    0,
    matrix.reactions.findIndex((ref) => reactionKey(ref) === key),
  );
  return {
    move,
    reaction: reaction ?? 'none',
    exchange: matrix.exchanges[m]?.[r],
    payoff: matrix.worth[m]?.[r] ?? 0,
  };
}
