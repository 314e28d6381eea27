import { z } from 'zod';
import { IdSchema, NameSchema, TextSchema } from './primitives.ts';

/** How often an opponent answers one look in each way; shares of a look sum to one. */
const TendencySchema = z.strictObject({
  position: IdSchema,
  look: IdSchema,
  /** How many times it was seen, where it was counted: 2 of 10 says less than 20 of 100. */
  seen: z.number().int().min(1).max(1e6).optional(),
  reactions: z.array(
    z.strictObject({ id: IdSchema, mirrored: z.boolean().optional(), share: z.number().min(0).max(1) }),
  ),
});
/** So many sightings are trusted as much as what top should do is (common practice, no published source). */
const SIGHTINGS_FOR_HALF = 10;

/** How far counted habits can be trusted, in [0, 1]: n sightings n / (n + 10); undefined where nothing was counted. */
export function trustOffered(tendencies: readonly Tendency[]): number | undefined {
  const seen = tendencies.flatMap((tendency) => tendency.seen ?? []);
  if (seen.length === 0) return undefined;
  const least = Math.min(...seen);
  return least / (least + SIGHTINGS_FOR_HALF);
}

export type Tendency = z.infer<typeof TendencySchema>;

/** An opponent under a made-up alias. */
export const OpponentSchema = z.strictObject({
  id: IdSchema,
  alias: NameSchema,
  note: TextSchema.default(''),
  tendencies: z.array(TendencySchema).default([]),
});
export type Opponent = z.infer<typeof OpponentSchema>;
