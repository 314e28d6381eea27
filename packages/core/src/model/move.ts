import { z } from 'zod';
import { ContactSchema } from './contacts.ts';
import { HazardTagSchema } from './hazards.ts';
import { HoldPatternSchema, HoldSchema } from './hold.ts';
import { LoadsSchema } from './joint.ts';
import {
  AliasesSchema,
  CuesSchema,
  FalsePositiveSchema,
  FaultSchema,
  FitSchema,
  NoteSchema,
} from './notes.ts';
import {
  ApparelSchema,
  IdSchema,
  LevelSchema,
  NameSchema,
  SaidSchema,
  SecondsSchema,
  ShortSchema,
  TextSchema,
  WearSchema,
} from './primitives.ts';
import { ConditionSchema, SignsSchema } from './signs.ts';

export const MOVE_KINDS = [
  'connect',
  'provoke',
  'sweep',
  'submission',
  'back-take',
  'retention',
  'entry',
  'stand-up',
] as const;
/** What a coach calls each kind; the ids are what files and databases have. */
export const MOVE_KIND_WORDS: Record<(typeof MOVE_KINDS)[number], string> = {
  connect: 'set-up',
  provoke: 'bait',
  sweep: 'sweep',
  submission: 'submission',
  'back-take': 'back take',
  retention: 'retention',
  entry: 'entry',
  'stand-up': 'stand up',
};
const MoveKindSchema = z.enum(MOVE_KINDS);
export type MoveKind = z.infer<typeof MoveKindSchema>;

/** One step of a move. `after` is a safety order: the named steps come first, always. */
export const StepSchema = z.strictObject({
  id: IdSchema,
  text: TextSchema.min(1, 'say what the step is'),
  /** As it is said in class: about ten words, and still the whole step. */
  said: SaidSchema,
  take: z.array(HoldSchema).default([]),
  release: z.array(ContactSchema).default([]),
  topTakes: z.array(HoldSchema).optional(),
  topReleases: z.array(HoldPatternSchema).optional(),
  signs: SignsSchema.optional(),
  after: z.array(IdSchema).optional(),
  seconds: SecondsSchema.default(2),
});
export type Step = z.infer<typeof StepSchema>;

/** A way of doing the move where good coaches differ. */
export const VariantSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  /** Only another way of the same: taught in its move's place, never beside it. */
  sameMove: z.boolean().optional(),
  when: z
    .strictObject({
      apparel: ApparelSchema.optional(),
      build: NoteSchema,
      partner: NoteSchema,
    })
    .default({}),
  why: TextSchema.default(''),
  steps: z.array(StepSchema).default([]),
});
export type Variant = z.infer<typeof VariantSchema>;

/** How top goes down when a move works. */
export const FALLS = ['none', 'side', 'back', 'forward', 'over'] as const;
export type Fall = (typeof FALLS)[number];

/** What is to be taught before the move. */
const RequirementSchema = z.union(
  [
    z.strictObject({ position: IdSchema }),
    z.strictObject({ move: IdSchema }),
    z.strictObject({ mechanic: IdSchema }),
  ],
  { error: 'require a position, a move or a mechanic' },
);
export const MoveSchema = z.strictObject({
  id: IdSchema,
  position: IdSchema,
  look: IdSchema,
  name: NameSchema,
  short: ShortSchema,
  aliases: AliasesSchema,
  kind: MoveKindSchema,
  /** Taught before the rest of its system. */
  foundation: z.boolean().optional(),
  /** Where it is narrower than its position's. */
  apparel: WearSchema.optional(),
  level: LevelSchema.optional(),
  needs: z.array(ConditionSchema).default([]),
  needsHolds: z.array(HoldPatternSchema).default([]),
  variants: z.array(VariantSchema).default([]),
  houseVariant: IdSchema.optional(),
  steps: z.array(StepSchema).default([]),
  direction: z.number().min(0, 'degrees from 0').lt(360, 'degrees below 360').optional(),
  window: z.enum(['brief', 'open']).optional(),
  mechanics: z.array(IdSchema).default([]),
  /** The joints that it loads beyond what its position and its mechanics do. */
  loads: LoadsSchema,
  requires: z.array(RequirementSchema).default([]),
  cues: CuesSchema,
  faults: z.array(FaultSchema).default([]),
  falsePositives: z.array(FalsePositiveSchema).default([]),
  /** What shows that it is skill and not luck. */
  test: NoteSchema,
  /** How top falls: over a shoulder, forward, back, to the side, or not at all. */
  fall: z.enum(FALLS).optional(),
  /** Moves by which one gets out of it, and when whoever is caught taps. */
  escapes: z.array(IdSchema).default([]),
  tap: NoteSchema,
  hazards: z.array(HazardTagSchema).default([]),
  fits: z.array(FitSchema).default([]),
  seconds: SecondsSchema.optional(),
  note: NoteSchema,
});
/** Something bottom does from a position. */
export type Move = z.infer<typeof MoveSchema>;
