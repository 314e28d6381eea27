import { z } from 'zod';
import { ContactSchema } from './contacts.ts';
import { HazardTagSchema } from './hazards.ts';
import { HoldPatternSchema, HoldSchema } from './hold.ts';
import { AliasesSchema, NoteSchema } from './notes.ts';
import { IdSchema, NameSchema, ShortSchema, TextSchema } from './primitives.ts';
import { ConditionSchema, SignsSchema } from './signs.ts';

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

/** Without which top cannot do it: a sign, a limb of top that is free, a hold that bottom must not have. */
const ReactionNeedSchema = z.union(
  [
    ConditionSchema,
    z.strictObject({ free: ContactSchema }),
    z.strictObject({ not: HoldPatternSchema.refine((one) => Object.keys(one).length > 0, 'say which hold') }),
  ],
  { error: 'need a sign, a free limb of top, or a hold that is not there' },
);
export type ReactionNeed = z.infer<typeof ReactionNeedSchema>;

/** Something top does, kept once in the catalogue and used everywhere; sided like everything else. */
export const ReactionSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  short: ShortSchema,
  /** Its short name on the other side, where that is another one: "posts the near hand". */
  shortMirrored: ShortSchema,
  aliases: AliasesSchema,
  group: ReactionGroupSchema,
  needs: z.array(ReactionNeedSchema).default([]),
  changes: SignsSchema.default({}),
  breaks: z.array(HoldPatternSchema).default([]),
  topTakes: z.array(HoldSchema).default([]),
  topReleases: z.array(HoldPatternSchema).default([]),
  feel: TextSchema.default(''),
  script: TextSchema.default(''),
  hazards: z.array(HazardTagSchema).optional(),
  note: NoteSchema,
});
export type Reaction = z.infer<typeof ReactionSchema>;

export const ReactionRefSchema = z.strictObject({ id: IdSchema, mirrored: z.boolean().optional() });
export type ReactionRef = z.infer<typeof ReactionRefSchema>;

/** A reaction that a look lists, with its own feel and script where the catalogue's words would be false or empty here. */
export const LookReactionSchema = ReactionRefSchema.extend({ feel: NoteSchema, script: NoteSchema });
export type LookReaction = z.infer<typeof LookReactionSchema>;

/** A reaction on its side, and nothing else that is said of it where it is listed. */
export const bareRef = ({ id, mirrored }: ReactionRef): ReactionRef => ({
  id,
  ...(mirrored && { mirrored }),
});

/** A reaction on its side as one word, "~" in front of the other side; "none" where top does nothing. */
export const reactionKey = (reaction: ReactionRef | 'none'): string =>
  reaction === 'none' ? 'none' : `${reaction.mirrored ? '~' : ''}${reaction.id}`;
