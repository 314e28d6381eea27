import { z } from 'zod';
import { BlockSchema } from './blocks/blockKinds.ts';
import { ChainTurnSchema } from './chain.ts';
import { BasisSchema } from './exchange.ts';
import { SeenFaultSchema } from './notes.ts';
import {
  ApparelSchema,
  DaySchema,
  IdSchema,
  LevelSchema,
  NameSchema,
  TextSchema,
  TimeOfDaySchema,
} from './primitives.ts';

export const CLASS_FORMAT = 'aftersquall-class';
export const CLASS_VERSION = 1;

export const METHODS = ['reps-first', 'games-first', 'mixed'] as const;
const MethodSchema = z.enum(METHODS);
/** How a lesson turns into blocks: reps and then choices, a task and then reps for what broke in it, or both by turns. */
export type Method = z.infer<typeof MethodSchema>;

/** One move of a lesson as it was chosen, in the order in which it is taught; with its words kept. */
const LessonStepSchema = z.strictObject({
  move: IdSchema,
  name: NameSchema,
  part: z.enum(['trunk', 'fork']),
  /** What it adds to a round from the root, points, and why it comes here. */
  adds: z.number(),
  why: TextSchema.default(''),
});
export type LessonStep = z.infer<typeof LessonStepSchema>;

/** An exchange of an earlier class that comes back first, with its words kept. */
const LessonReturnSchema = z.strictObject({
  move: IdSchema,
  name: NameSchema,
  exchange: IdSchema,
  why: TextSchema.default(''),
});

/** What a class teaches, and how it was chosen: enough to choose anew when something is pinned or left out. */
export const LessonSchema = z.strictObject({
  /** The position it starts from. */
  root: IdSchema,
  level: LevelSchema.default('intermediate'),
  youth: z.boolean().default(false),
  rules: IdSchema.optional(),
  method: MethodSchema.default('mixed'),
  /** The kept chain that it goes along, as it was then. */
  chain: z
    .strictObject({
      name: NameSchema,
      turns: z.array(ChainTurnSchema).min(1).max(200),
      backward: z.boolean().optional(),
    })
    .optional(),
  /** Moves that are known already, that have to be taught, that may not be. */
  known: z.array(IdSchema).default([]),
  pinned: z.array(IdSchema).default([]),
  out: z.array(IdSchema).default([]),
  steps: z.array(LessonStepSchema).max(40).default([]),
  returns: z.array(LessonReturnSchema).max(40).default([]),
  /** Seen lately, and taken up first. */
  faults: z.array(SeenFaultSchema).max(10).default([]),
  /** On whose chances it was chosen; those of the map where it is not said. */
  figures: BasisSchema.optional(),
  /** Points of a round from the root: before, with the lesson, with the whole map. */
  before: z.number(),
  value: z.number(),
  withAll: z.number(),
  /** Whether no other choice is better, or only none that was found. */
  proved: z.boolean().default(false),
});
export type Lesson = z.infer<typeof LessonSchema>;

/** A class: its blocks in order, and what they are reckoned with. */
export const ClassSchema = z.strictObject({
  format: z.literal(CLASS_FORMAT),
  version: z.literal(CLASS_VERSION),
  id: IdSchema,
  name: NameSchema,
  map: IdSchema,
  minutes: z.number().int('whole minutes').min(5, 'at least 5 minutes').max(240, 'at most 240 minutes'),
  people: z.number().int('whole people').min(1, 'at least one person').max(200, 'at most 200 people'),
  apparel: ApparelSchema,
  /** When it is held, by the club's own clock; absent while nothing is settled. */
  when: z.strictObject({ date: DaySchema, start: TimeOfDaySchema }).optional(),
  changeOverSeconds: z.number().min(0).max(600).default(10),
  blocks: z.array(BlockSchema).max(200),
  /** What it teaches; absent where blocks were put together otherwise. */
  lesson: LessonSchema.optional(),
  /** Chosen exchanges that did not fit and wait for another class. */
  leftOver: z.array(IdSchema).default([]),
});
export type ClassPlan = z.infer<typeof ClassSchema>;
