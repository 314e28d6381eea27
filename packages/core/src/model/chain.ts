import { z } from 'zod';
import { IdSchema, NameSchema, TextSchema } from './primitives.ts';

/**
 * One turn of a chain: an answer that works; one that fails, after so many of its steps where that is said; or waiting
 * in a position for what waiting leads to.
 */
export const ChainTurnSchema = z.union(
  [
    IdSchema,
    z.strictObject({
      exchange: IdSchema,
      fails: z.literal(true),
      after: z.number().int().min(1).max(40).optional(),
    }),
    z.strictObject({ waits: IdSchema }),
  ],
  { error: 'a turn is an answer, an answer that fails, or waiting in a position' },
);
export type ChainTurn = z.infer<typeof ChainTurnSchema>;

/** A walk that is worth keeping: each turn begins where the one before it leads. */
export const ChainSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  note: TextSchema.default(''),
  exchanges: z.array(ChainTurnSchema).min(1, 'a chain has at least one exchange').max(200),
});
export type Chain = z.infer<typeof ChainSchema>;
