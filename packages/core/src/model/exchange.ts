import { z } from 'zod';
import { NoteSchema } from './notes.ts';
import { LandingSchema } from './outcome.ts';
import { ChanceSchema, IdSchema, SecondsSchema } from './primitives.ts';
import { ReactionRefSchema, reactionKey } from './reaction.ts';

/** Where a chance is from: the coach's own, counted, or both together. */
export const BASES = ['coach', 'logged', 'blended'] as const;
export const BasisSchema = z.enum(BASES);
export type Basis = z.infer<typeof BasisSchema>;

/**
 * Our move met by that reaction leads `to` with `chance`, failing that to `otherwise` (absent: the same
 * position). `none` is the unopposed case. Unique by move, reaction, mirrored and variant.
 */
export const ExchangeSchema = z.strictObject({
  id: IdSchema,
  move: IdSchema,
  reaction: z.union([z.literal('none'), ReactionRefSchema], {
    error: 'give a reaction ({"id": …}) or "none"',
  }),
  variant: IdSchema.optional(),
  to: LandingSchema,
  otherwise: LandingSchema.optional(),
  chance: ChanceSchema,
  basis: BasisSchema.optional(),
  /** Only so many of the steps happen; all of them when absent. */
  stops: z.number().int().min(0).max(99).optional(),
  seconds: SecondsSchema.optional(),
  note: NoteSchema,
});
export type Exchange = z.infer<typeof ExchangeSchema>;

/** The note on where an exchange leads, and, behind “else:”, the one on what is had when it fails. */
export function notesOf({ note = '' }: Pick<Exchange, 'note'>): { landing: string; failing: string } {
  const [landing = '', ...failing] = note.split(/(?:^|[;:.,·]?\s)else:/);
  return { landing: landing.trim(), failing: failing.join('; ').trim() };
}

/** The key that must be unique in a map. */
export function exchangeKey(exchange: Pick<Exchange, 'move' | 'reaction' | 'variant'>): string {
  const { move, reaction, variant } = exchange;
  const met = reactionKey(reaction);
  return `${move}|${met}|${variant ?? ''}`;
}
