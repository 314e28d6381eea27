import { z } from 'zod';
import { HazardTagSchema } from './hazards.ts';
import { ApparelSchema, IdSchema, NameSchema, TextSchema } from './primitives.ts';

const RESISTANCES = ['cooperative', 'guided', 'choice', 'light', 'full'] as const;
const ResistanceSchema = z.enum(RESISTANCES);

const seconds = z.number().min(0, 'time cannot be negative').max(7200, 'at most two hours');

/** One exchange of a block, with what it says kept, so that a class can still be read when the map moves on. */
const LinkSchema = z.strictObject({
  exchange: IdSchema,
  mirrored: z.boolean().optional(),
  move: NameSchema,
  meets: z.string().max(200).default(''),
  leads: z.string().max(200).default(''),
  seconds,
});
export type Link = z.infer<typeof LinkSchema>;

const common = { id: IdSchema, title: NameSchema, note: TextSchema.default('') };
const drilled = {
  ...common,
  links: z.array(LinkSchema).min(1, 'a block drills at least one exchange').max(60),
  /** How often each partner does it, on each side. */
  reps: z.number().int('whole reps only').min(1, 'at least one rep').max(500),
  sides: z.union([z.literal(1), z.literal(2)], { error: 'one side or both' }),
  secondsPerRep: seconds.positive('a rep takes time'),
  demoSeconds: seconds,
  resistance: ResistanceSchema.default('cooperative'),
  bottom: TextSchema.default(''),
  top: TextSchema.default(''),
  hazards: z.array(HazardTagSchema).default([]),
};

/** Set-ups only, an answer many times, a chain through, or a rest. */
export const BlockSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('setup'), ...drilled }),
  z.strictObject({ kind: z.literal('answer'), ...drilled }),
  z.strictObject({ kind: z.literal('chain'), ...drilled }),
  z.strictObject({ kind: z.literal('rest'), ...common, seconds: seconds.positive('a rest takes time') }),
]);
export type Block = z.infer<typeof BlockSchema>;
export type DrilledBlock = Exclude<Block, { kind: 'rest' }>;

export const CLASS_FORMAT = 'aftersquall-class';
export const CLASS_VERSION = 1;

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
  changeOverSeconds: z.number().min(0).max(600).default(10),
  blocks: z.array(BlockSchema).max(200),
  /** Chosen exchanges that did not fit and wait for another class. */
  leftOver: z.array(IdSchema).default([]),
});
export type ClassPlan = z.infer<typeof ClassSchema>;
