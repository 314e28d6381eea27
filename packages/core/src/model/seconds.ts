import type { Exchange } from './exchange.ts';
import type { Move, Step, Variant } from './move.ts';

const DEFAULT_EXCHANGE_SECONDS = 8;

/** The variant an exchange is drilled in: the one it names, else the house's. */
export function variantOf(move: Move, exchange?: Pick<Exchange, 'variant'>): Variant | undefined {
  const wanted = exchange?.variant ?? move.houseVariant;
  return move.variants.find((variant) => variant.id === wanted);
}

/** The steps that are followed: the variant's where it has any, else the move's; only the first `stops` of them. */
export function stepsOf(move: Move, exchange?: Pick<Exchange, 'variant' | 'stops'>): readonly Step[] {
  const variant = variantOf(move, exchange);
  const steps = variant && variant.steps.length > 0 ? variant.steps : move.steps;
  return exchange?.stops === undefined ? steps : steps.slice(0, exchange.stops);
}

/** Seconds of one exchange: its own, else its variant's steps, the move's steps, the move's, or 8. */
export function exchangeSeconds(
  move: Move,
  exchange: Pick<Exchange, 'variant' | 'seconds' | 'stops'>,
): number {
  if (exchange.seconds !== undefined) return exchange.seconds;
  const steps = stepsOf(move, exchange);
  if (steps.length > 0) return steps.reduce((sum, step) => sum + step.seconds, 0);
  return move.seconds ?? DEFAULT_EXCHANGE_SECONDS;
}
