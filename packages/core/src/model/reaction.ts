import { z } from 'zod';
import { HazardTagSchema } from './hazards.ts';
import { HoldPatternSchema, HoldSchema } from './hold.ts';
import { AliasesSchema } from './notes.ts';
import { IdSchema, NameSchema, TextSchema } from './primitives.ts';
import { SignsSchema } from './signs.ts';

export const REACTION_GROUPS = [
  'posting & base',
  'posture & height',
  'pressure & direction',
  'arms & grips',
  'legs & hips',
  'turning & rolling',
  'passing attempts',
] as const;
const ReactionGroupSchema = z.enum(REACTION_GROUPS);

/** Something top does, kept once in the catalogue and used everywhere; sided like everything else. */
export const ReactionSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  aliases: AliasesSchema,
  group: ReactionGroupSchema,
  changes: SignsSchema.default({}),
  breaks: z.array(HoldPatternSchema).default([]),
  topTakes: z.array(HoldSchema).default([]),
  topReleases: z.array(HoldPatternSchema).default([]),
  feel: TextSchema.default(''),
  script: TextSchema.default(''),
  hazards: z.array(HazardTagSchema).optional(),
});
export type Reaction = z.infer<typeof ReactionSchema>;

export const ReactionRefSchema = z.strictObject({ id: IdSchema, mirrored: z.boolean().optional() });
export type ReactionRef = z.infer<typeof ReactionRefSchema>;

/** A reaction on its side as one word, "~" in front of the other side; "none" where top does nothing. */
export const reactionKey = (reaction: ReactionRef | 'none'): string =>
  reaction === 'none' ? 'none' : `${reaction.mirrored ? '~' : ''}${reaction.id}`;
