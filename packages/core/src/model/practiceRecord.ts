import { z } from 'zod';
import { RESISTANCES } from './blocks/defineBlock.ts';
import { SeenFaultSchema } from './notes.ts';
import { DaySchema, IdSchema, NameSchema, TextSchema } from './primitives.ts';

/** Made on the device, once for each record: the same key twice is the same record. */
export const RecordKeySchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{8,64}$/, '8 to 64 letters, digits, - and _, new for each record');

/** How well something was still there, in the coach's words. */
export const GRADES = ['lost', 'patchy', 'held', 'sharp'] as const;
export type Grade = (typeof GRADES)[number];

const common = {
  key: RecordKeySchema,
  /** When it happened, by the device's clock. */
  at: z.iso.datetime(),
  /** The day of the class, by the club's clock. */
  date: DaySchema,
  map: IdSchema,
  /** One running of one class: all that was recorded in it shares it. */
  session: RecordKeySchema,
};
/** Someone who trains, with the alias of that day. */
const Person = z.strictObject({ id: IdSchema, alias: NameSchema });

/** An exchange with its words of that day: a record can be read after the map has moved on. */
const exchanged = {
  exchange: IdSchema,
  position: z.string().max(120).default(''),
  move: NameSchema,
  meets: z.string().max(200).default(''),
};

const Session = z.strictObject({
  ...common,
  kind: z.literal('session'),
  name: NameSchema,
  class: IdSchema.optional(),
  group: IdSchema.optional(),
  people: z.number().int().min(1).max(200),
  minutes: z.number().min(0).max(600),
  athletes: z.array(Person).max(200).default([]),
  /** Which device ran it: two that ran the same class are told apart. */
  device: z.string().max(60).default(''),
});
/** Somebody came after the class had begun, or turned out not to be there. */
const Attended = z.strictObject({
  ...common,
  kind: z.literal('attended'),
  athlete: Person,
  there: z.boolean(),
});
const BlockRun = z.strictObject({
  ...common,
  kind: z.literal('block'),
  block: IdSchema,
  title: NameSchema,
  what: z.string().max(30),
  /** Seconds. */
  planned: z.number().min(0).max(20000),
  ran: z.number().min(0).max(20000),
  reached: z.boolean(),
  /** Of each partner, all sides together, where reps are counted. */
  reps: z.number().int().min(0).max(2000).default(0),
  exchanges: z.array(z.strictObject(exchanged)).max(60).default([]),
});
const Trial = z.strictObject({
  ...common,
  kind: z.literal('trial'),
  ...exchanged,
  athlete: Person.optional(),
  worked: z.boolean(),
  resistance: z.enum(RESISTANCES),
  variant: IdSchema.optional(),
  /** So many of the same. */
  count: z.number().int().min(1).max(500).default(1),
});
const FaultCount = z.strictObject({
  ...common,
  kind: z.literal('fault'),
  ...SeenFaultSchema.shape,
  count: z.number().int().min(1).max(500).default(1),
});
const Note = z.strictObject({ ...common, kind: z.literal('note'), text: TextSchema.min(1) });
const Graded = z.strictObject({
  ...common,
  kind: z.literal('grade'),
  ...exchanged,
  /** Nobody: the group as a whole. */
  athlete: Person.optional(),
  grade: z.enum(GRADES),
});
/** An answer in the quiz: knowledge, never evidence of skill. */
const Recalled = z.strictObject({
  ...common,
  kind: z.literal('recall'),
  ...exchanged,
  alias: NameSchema,
  right: z.boolean(),
});
/** The coach's own chance as it stood when the blend took its place on the map. */
const Blended = z.strictObject({
  ...common,
  kind: z.literal('blend'),
  exchange: IdSchema,
  guess: z.number().min(0).max(1),
});
/** Takes back another record, which stays. */
const Void = z.strictObject({ ...common, kind: z.literal('void'), voids: RecordKeySchema });

/** A fact of practice. It is never changed; one that takes it back voids it. */
export const PracticeRecordSchema = z.discriminatedUnion('kind', [
  Session,
  Attended,
  BlockRun,
  Trial,
  FaultCount,
  Note,
  Graded,
  Recalled,
  Blended,
  Void,
]);
export type PracticeRecord = z.infer<typeof PracticeRecordSchema>;
export type RecordKind = PracticeRecord['kind'];
export type RecordOf<K extends RecordKind> = Extract<PracticeRecord, { kind: K }>;

/** Those of a kind. */
export const recordsOf = <K extends RecordKind>(records: readonly PracticeRecord[], kind: K): RecordOf<K>[] =>
  records.filter((record): record is RecordOf<K> => record.kind === kind);

/** Who was at a session: those its record names, with everybody who came or went since, in that order. */
export function athletesOf(
  session: RecordOf<'session'>,
  attended: readonly RecordOf<'attended'>[],
): RecordOf<'session'>['athletes'] {
  return attended.reduce((there, { athlete, there: came }) => {
    const others = there.filter(({ id }) => id !== athlete.id);
    return came ? [...others, athlete] : others;
  }, session.athletes);
}

/** Records without those that others take back, and without these others. */
export function standing(records: readonly PracticeRecord[]): PracticeRecord[] {
  const voided = new Set(recordsOf(records, 'void').map(({ voids }) => voids));
  return records.filter(({ key, kind }) => kind !== 'void' && !voided.has(key));
}
