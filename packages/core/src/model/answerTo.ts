import type { Exchange } from './exchange.ts';
import type { Move } from './move.ts';
import { type ReactionRef, reactionKey } from './reaction.ts';

/**
 * The exchange that answers a reaction, of those written for a move: in the house's variant where it has one, else
 * plain, else the first written; only of those that can be played. Everything that shows, reads, weighs or drills an
 * answer asks here.
 */
export function answerTo(
  { houseVariant }: Pick<Move, 'houseVariant'>,
  exchanges: readonly Exchange[],
  reaction: ReactionRef | 'none',
  canBePlayed: (exchange: Exchange) => boolean = () => true,
): Exchange | undefined {
  const key = reactionKey(reaction);
  const met = exchanges.filter((exchange) => reactionKey(exchange.reaction) === key && canBePlayed(exchange));
  return (
    met.find(({ variant }) => variant !== undefined && variant === houseVariant) ??
    met.find(({ variant }) => variant === undefined) ??
    met[0]
  );
}
