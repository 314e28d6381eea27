import { z } from 'zod';
import { RESISTANCES } from './blocks/defineBlock.ts';
import { GRADES, RecordKeySchema } from './practiceRecord.ts';
import { DaySchema, IdSchema } from './primitives.ts';

const count = z.number().int().min(0);
const named = { exchange: IdSchema, position: z.string(), move: z.string(), meets: z.string() };

/** Which records are summed up. Days are included. */
export const PracticeFilterSchema = z.strictObject({
  map: IdSchema,
  from: DaySchema.optional(),
  to: DaySchema.optional(),
  class: IdSchema.optional(),
  athlete: IdSchema.optional(),
});
export type PracticeFilter = z.infer<typeof PracticeFilterSchema>;

/** What was practised, summed up. */
export const PracticeSchema = z.strictObject({
  /** How often each exchange was tried, by how much was resisted. */
  trials: z.array(z.strictObject({ ...named, resistance: z.enum(RESISTANCES), worked: count, tried: count })),
  /** Faults by the Monday of their week. */
  faults: z.array(
    z.strictObject({
      week: DaySchema,
      of: z.enum(['position', 'move', 'mechanic']),
      id: IdSchema,
      name: z.string(),
      fault: z.string(),
      falsePositive: z.boolean(),
      count,
    }),
  ),
  /** What was drilled on which day, and how often each partner did it. */
  taught: z.array(z.strictObject({ ...named, date: DaySchema })),
  /** What was planned and not reached, and the day on which it came after all. */
  missed: z.array(
    z.strictObject({ ...named, date: DaySchema, title: z.string(), backOn: DaySchema.optional() }),
  ),
  /** How well things were there, in the coach's words; without an athlete it is of the group. */
  grades: z.array(
    z.strictObject({
      ...named,
      date: DaySchema,
      athlete: IdSchema.optional(),
      alias: z.string().optional(),
      grade: z.enum(GRADES),
    }),
  ),
  /** Answers in the quiz: knowledge, never evidence. */
  recalled: z.array(
    z.strictObject({ ...named, alias: z.string(), date: DaySchema, right: count, asked: count }),
  ),
  sessions: z.array(
    z.strictObject({
      session: RecordKeySchema,
      date: DaySchema,
      name: z.string(),
      class: IdSchema.optional(),
      people: count,
      /** Seconds that were planned and that ran. */
      planned: z.number(),
      ran: z.number(),
      blocks: count,
      reached: count,
      trials: count,
      faults: count,
      athletes: z.array(z.strictObject({ id: IdSchema, alias: z.string() })),
      notes: z.array(z.string()),
      device: z.string(),
      /** Another device ran the same class on the same day: both stand. */
      twice: z.boolean(),
    }),
  ),
  /** The coach's own chances, of exchanges whose chance on the map is a blend. */
  guesses: z.record(IdSchema, z.number()),
});
export type Practice = z.infer<typeof PracticeSchema>;

/** What the quiz asks somebody from: what was taught, and what they answered before. */
export const RecallPastSchema = z.strictObject({
  taught: z.array(IdSchema),
  recalled: z.array(z.strictObject({ exchange: IdSchema, date: DaySchema, right: count, asked: count })),
});
export type RecallPast = z.infer<typeof RecallPastSchema>;
