import { z } from 'zod';
import { HoldSchema } from './hold.ts';
import { LoadsSchema } from './joint.ts';
import { AliasesSchema, CuesSchema, FaultSchema, FitSchema, NoteSchema } from './notes.ts';
import { LandingSchema } from './outcome.ts';
import { PoseHintsSchema } from './poseHints.ts';
import {
  IdSchema,
  LevelSchema,
  NameSchema,
  SaidSchema,
  ShortSchema,
  TextSchema,
  WearSchema,
} from './primitives.ts';
import { LookReactionSchema } from './reaction.ts';
import { SignsSchema } from './signs.ts';

/** What top can tell apart, and what top does about it; moves that look alike share one. */
export const LookSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  /** What top sees of it, in words: "you reach for the far sleeve". */
  topSees: NoteSchema,
  timing: z.enum(['hidden', 'seen']).default('hidden'),
  reactions: z.array(LookReactionSchema).default([]),
  note: NoteSchema,
});
export type Look = z.infer<typeof LookSchema>;

/** A game from a position: what wins it for each, and what else wins it for bottom, such as time. */
const GameSchema = z.strictObject({
  bottom: TextSchema.min(1, 'say what wins it for bottom'),
  top: TextSchema.min(1, 'say what wins it for top'),
  time: SaidSchema,
});

/** A position of the map, written down on one side. */
export const PositionSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  short: ShortSchema,
  /** What people in most rooms call it, where that is something else. */
  usual: ShortSchema,
  aliases: AliasesSchema,
  systems: z.array(IdSchema).default([]),
  leadSide: z.enum(['L', 'R']).default('R'),
  apparel: WearSchema.default('both'),
  holds: z.array(HoldSchema).default([]),
  topHolds: z.array(HoldSchema).default([]),
  signs: SignsSchema.default({}),
  looks: z.array(LookSchema).default([]),
  entry: z.number().min(0, 'an entry weight cannot be negative').max(1000).optional(),
  rest: z.number().min(-100).max(100).optional(),
  drift: LandingSchema.optional(),
  level: LevelSchema.default('novice'),
  /** The joints that being here loads. */
  loads: LoadsSchema,
  note: NoteSchema,
  cues: CuesSchema,
  faults: z.array(FaultSchema).default([]),
  fits: z.array(FitSchema).default([]),
  game: GameSchema.optional(),
  pose: PoseHintsSchema.optional(),
});
export type Position = z.infer<typeof PositionSchema>;

export const SystemSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  aliases: AliasesSchema,
  /** What it is for, whom it suits, what changes with the jacket and without, where good coaches differ. */
  purpose: NoteSchema,
  build: NoteSchema,
  gi: NoteSchema,
  noGi: NoteSchema,
  schools: NoteSchema,
  note: z.string().max(4000).default(''),
});
/** A guard system: a named group of positions. */
export type System = z.infer<typeof SystemSchema>;
