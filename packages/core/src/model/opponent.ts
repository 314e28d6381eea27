import { z } from 'zod';
import { IdSchema, NameSchema, TextSchema } from './primitives.ts';

/** How often an opponent answers one look in each way; shares of a look sum to one. */
const TendencySchema = z.strictObject({
  position: IdSchema,
  look: IdSchema,
  reactions: z.array(
    z.strictObject({ id: IdSchema, mirrored: z.boolean().optional(), share: z.number().min(0).max(1) }),
  ),
});
export type Tendency = z.infer<typeof TendencySchema>;

/** An opponent under a made-up alias. */
export const OpponentSchema = z.strictObject({
  id: IdSchema,
  alias: NameSchema,
  note: TextSchema.default(''),
  tendencies: z.array(TendencySchema).default([]),
});
export type Opponent = z.infer<typeof OpponentSchema>;
