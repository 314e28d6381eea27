import { z } from 'zod';
import { RESISTANCES } from '../model/blocks/defineBlock.ts';
import {
  GRADES,
  type PracticeRecord,
  RecordKeySchema,
  type RecordOf,
  recordsOf,
  standing,
} from '../model/practiceRecord.ts';
import { DaySchema, IdSchema } from '../model/primitives.ts';

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
  taught: z.array(z.strictObject({ ...named, date: DaySchema, reps: count })),
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

/** The Monday of the week of a day, year-month-day. */
export function weekOf(date: string): string {
  const noon = new Date(`${date}T12:00:00Z`);
  noon.setUTCDate(noon.getUTCDate() - ((noon.getUTCDay() + 6) % 7));
  return noon.toISOString().slice(0, 10);
}

/** Groups in the order in which they are first met. */
function groupBy<T>(list: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const one of list) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one]);
  return [...groups.values()];
}
const sum = <T>(list: readonly T[], of: (one: T) => number): number =>
  list.reduce((all, one) => all + of(one), 0);
const byTime = (a: PracticeRecord, b: PracticeRecord): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0);
const words = ({
  exchange,
  position,
  move,
  meets,
}: Pick<RecordOf<'trial'>, 'exchange' | 'position' | 'move' | 'meets'>) => ({
  exchange,
  position,
  move,
  meets,
});
const last = <T>(list: readonly T[]): T => list.at(-1)!;

/**
 * Sums records up. What was taken back does not count; words are those of the latest record. The blend's guesses are
 * the first of each exchange since its chance was last the coach's own, which is the latest kept.
 */
export function practiceOf(all: readonly PracticeRecord[], filter: PracticeFilter): Practice {
  const within = ({ map, date }: PracticeRecord): boolean =>
    map === filter.map && (!filter.from || date >= filter.from) && (!filter.to || date <= filter.to);
  const valid = standing(all).filter(within).sort(byTime);
  const ofClass = new Set(
    recordsOf(valid, 'session')
      .filter((session) => session.class === filter.class)
      .map(({ session }) => session),
  );
  const records = filter.class ? valid.filter(({ session }) => ofClass.has(session)) : valid;
  const hers = <T extends { athlete?: { id: string } | undefined }>(list: T[]): T[] =>
    filter.athlete ? list.filter(({ athlete }) => athlete?.id === filter.athlete) : list;

  const blocks = recordsOf(records, 'block');
  const runs = blocks.flatMap((block) => block.exchanges.map((one) => ({ ...one, block })));
  const reachedOn = (exchange: string, after: string): string | undefined =>
    runs.filter(({ block, ...one }) => one.exchange === exchange && block.reached && block.date > after)[0]
      ?.block.date;
  const sessions = recordsOf(records, 'session');
  return {
    trials: groupBy(
      hers(recordsOf(records, 'trial')),
      ({ exchange, resistance }) => `${exchange} ${resistance}`,
    ).map((group) => ({
      ...words(last(group)),
      resistance: last(group).resistance,
      worked: sum(group, ({ worked, count: times }) => (worked ? times : 0)),
      tried: sum(group, ({ count: times }) => times),
    })),
    faults: groupBy(
      recordsOf(records, 'fault'),
      ({ date, of, id, fault }) => `${weekOf(date)} ${of} ${id} ${fault}`,
    ).map((group) => ({
      week: weekOf(last(group).date),
      of: last(group).of,
      id: last(group).id,
      name: last(group).name,
      fault: last(group).fault,
      falsePositive: last(group).falsePositive,
      count: sum(group, ({ count: times }) => times),
    })),
    taught: groupBy(
      runs.filter(({ block }) => block.reached),
      ({ exchange, block }) => `${exchange} ${block.date}`,
    ).map((group) => ({
      ...words(last(group)),
      date: last(group).block.date,
      reps: sum(group, ({ block }) => block.reps),
    })),
    missed: groupBy(
      runs.filter(({ block }) => !block.reached),
      ({ exchange, block }) => `${exchange} ${block.date}`,
    ).map((group) => {
      const { block, ...one } = last(group);
      const backOn = reachedOn(one.exchange, block.date);
      return { ...words(one), date: block.date, title: block.title, ...(backOn && { backOn }) };
    }),
    grades: hers(recordsOf(records, 'grade')).map(({ athlete, date, grade, ...one }) => ({
      ...words(one),
      date,
      ...(athlete && { athlete: athlete.id, alias: athlete.alias }),
      grade,
    })),
    recalled: groupBy(
      recordsOf(records, 'recall'),
      ({ exchange, alias, date }) => `${exchange} ${alias} ${date}`,
    ).map((group) => ({
      ...words(last(group)),
      alias: last(group).alias,
      date: last(group).date,
      right: group.filter(({ right }) => right).length,
      asked: group.length,
    })),
    sessions: sessions.map(({ session, date, name, people, athletes, device, class: of }) => {
      const own = records.filter((record) => record.session === session);
      const ownBlocks = recordsOf(own, 'block');
      return {
        session,
        date,
        name,
        ...(of && { class: of }),
        people,
        planned: sum(ownBlocks, ({ planned }) => planned),
        ran: sum(ownBlocks, ({ ran }) => ran),
        blocks: ownBlocks.length,
        reached: ownBlocks.filter(({ reached }) => reached).length,
        trials: sum(recordsOf(own, 'trial'), ({ count: times }) => times),
        faults: sum(recordsOf(own, 'fault'), ({ count: times }) => times),
        athletes,
        notes: recordsOf(own, 'note').map(({ text }) => text),
        device,
        twice: sessions.some(
          (other) =>
            other.session !== session && of !== undefined && other.class === of && other.date === date,
        ),
      };
    }),
    guesses: Object.fromEntries(recordsOf(records, 'blend').map(({ exchange, guess }) => [exchange, guess])),
  };
}
