import { z } from 'zod';
import { IdSchema, NameSchema, TextSchema } from './primitives.ts';

/** A walk of exchanges that is worth keeping: each begins where the one before it leads. */
export const ChainSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  note: TextSchema.default(''),
  exchanges: z.array(IdSchema).min(1, 'a chain has at least one exchange').max(200),
});
export type Chain = z.infer<typeof ChainSchema>;
