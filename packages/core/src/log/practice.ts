import type { Practice, PracticeFilter } from '../model/practice.ts';
import {
  athletesOf,
  type PracticeRecord,
  type RecordOf,
  recordsOf,
  standing,
} from '../model/practiceRecord.ts';

/** The Monday of the week of a day, year-month-day. */
export function weekOf(date: string): string {
  const noon = new Date(`${date}T12:00:00Z`);
  noon.setUTCDate(noon.getUTCDate() - ((noon.getUTCDay() + 6) % 7));
  return noon.toISOString().slice(0, 10);
}

/** Groups in the order in which they are first met. */
function groupBy<T>(list: readonly T[], keyOf: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const group = groups.get(keyOf(one));
    if (group) group.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}
const groupsOf = <T>(list: readonly T[], keyOf: (one: T) => string): T[][] => [
  ...groupBy(list, keyOf).values(),
];
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
  const stands = standing(all).filter(({ map }) => map === filter.map);
  const valid = stands.filter(within).sort(byTime);
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
  // Of a session that was told twice, on the Mat and in the Log, the last word counts.
  const sessions = groupsOf(recordsOf(records, 'session'), ({ session }) => session).map(last);
  // What was begun by mistake and ended at once was not held: nothing of it is carried over.
  const held = new Set(blocks.flatMap(({ reached, session }) => (reached ? [session] : [])));
  const bySession = groupBy(records, ({ session }) => session);
  return {
    trials: groupsOf(
      hers(recordsOf(records, 'trial')),
      ({ exchange, resistance }) => `${exchange} ${resistance}`,
    ).map((group) => ({
      ...words(last(group)),
      resistance: last(group).resistance,
      worked: sum(group, ({ worked, count: times }) => (worked ? times : 0)),
      tried: sum(group, ({ count: times }) => times),
    })),
    faults: groupsOf(
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
    taught: groupsOf(
      runs.filter(({ block }) => block.reached),
      ({ exchange, block }) => `${exchange} ${block.date}`,
    ).map((group) => ({
      ...words(last(group)),
      date: last(group).block.date,
    })),
    missed: groupsOf(
      runs.filter(({ block }) => !block.reached && held.has(block.session)),
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
    recalled: groupsOf(
      recordsOf(records, 'recall'),
      ({ exchange, alias, date }) => `${exchange} ${alias} ${date}`,
    ).map((group) => ({
      ...words(last(group)),
      alias: last(group).alias,
      date: last(group).date,
      right: group.filter(({ right }) => right).length,
      asked: group.length,
    })),
    sessions: sessions.map((head) => {
      const { session, date, name, device, class: of } = head;
      const own = bySession.get(session) ?? [];
      const attended = recordsOf(own, 'attended');
      const athletes = athletesOf(head, attended);
      const people = attended.length > 0 ? Math.max(1, athletes.length) : head.people;
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
    // Of all time: what a blend began from does not hang on the days that are looked at.
    guesses: Object.fromEntries(
      recordsOf(stands, 'blend')
        .sort(byTime)
        .map(({ exchange, guess }) => [exchange, guess]),
    ),
  };
}
