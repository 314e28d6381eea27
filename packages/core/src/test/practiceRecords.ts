import fc from 'fast-check';
import { RESISTANCES } from '../model/blocks/defineBlock.ts';
import { GRADES, type PracticeRecord, PracticeRecordSchema } from '../model/practiceRecord.ts';

let made = 0;
/** A record with what is usual left out; each has a key of its own. */
export function recordMade(
  given: { kind: PracticeRecord['kind'] } & Record<string, unknown>,
): PracticeRecord {
  made++;
  const date = (given.date as string | undefined) ?? '2026-09-01';
  return PracticeRecordSchema.parse({
    key: `record-${String(made).padStart(6, '0')}`,
    at: `${date}T18:30:${String(made % 60).padStart(2, '0')}Z`,
    date,
    map: 'kelpwick',
    session: 'session-one',
    ...given,
  });
}

const EXCHANGES = ['one', 'two', 'three'];
const ATHLETES = [
  { id: 'gull', alias: 'Gull' },
  { id: 'auk', alias: 'Auk' },
];
const exchanged = {
  exchange: fc.constantFrom(...EXCHANGES),
  position: fc.constant('Butterfly'),
  move: fc.constantFrom('Lift', 'Drag'),
  meets: fc.constantFrom('', 'Posts'),
};
const athlete = fc.option(fc.constantFrom(...ATHLETES), { nil: undefined });
const at = {
  date: fc.constantFrom('2026-09-01', '2026-09-03', '2026-09-08', '2026-09-17'),
  session: fc.constantFrom('session-one', 'session-two', 'session-three'),
  map: fc.constantFrom('kelpwick', 'other'),
};
const of = <K extends PracticeRecord['kind']>(kind: K, fields: Record<string, fc.Arbitrary<unknown>>) =>
  fc.record({ kind: fc.constant(kind), ...at, ...fields });

/** Lists of records with unique keys, some of them taking back others. */
export const practiceRecords: fc.Arbitrary<PracticeRecord[]> = fc
  .array(
    fc.oneof(
      of('session', {
        name: fc.constantFrom('Tuesday', 'Thursday'),
        class: fc.constantFrom('tuesday', 'thursday'),
        people: fc.integer({ min: 2, max: 20 }),
        minutes: fc.constant(60),
        athletes: fc.constant(ATHLETES),
        device: fc.constantFrom('wall', 'pocket'),
      }),
      of('attended', { athlete: fc.constantFrom(...ATHLETES), there: fc.boolean() }),
      of('block', {
        block: fc.constantFrom('a', 'b'),
        title: fc.constant('Lift and drag'),
        what: fc.constant('chain'),
        planned: fc.integer({ min: 60, max: 600 }),
        ran: fc.integer({ min: 0, max: 600 }),
        reached: fc.boolean(),
        reps: fc.nat(12),
        exchanges: fc.array(fc.record(exchanged), { maxLength: 3 }),
      }),
      of('trial', {
        ...exchanged,
        athlete,
        worked: fc.boolean(),
        resistance: fc.constantFrom(...RESISTANCES),
        count: fc.integer({ min: 1, max: 4 }),
      }),
      of('fault', {
        of: fc.constantFrom('move', 'position'),
        id: fc.constantFrom('lift', 'drag'),
        name: fc.constant('Lift'),
        fault: fc.constantFrom('elbow wide', 'flat back'),
        falsePositive: fc.constant(false),
        count: fc.integer({ min: 1, max: 3 }),
      }),
      of('note', { text: fc.constantFrom('warm', 'cold') }),
      of('grade', { ...exchanged, athlete, grade: fc.constantFrom(...GRADES) }),
      of('recall', { ...exchanged, alias: fc.constantFrom('Gull', 'Auk'), right: fc.boolean() }),
      of('blend', { exchange: fc.constantFrom(...EXCHANGES), guess: fc.constantFrom(0.3, 0.6) }),
    ),
    { maxLength: 40 },
  )
  .chain((plain) =>
    fc.record({ plain: fc.constant(plain), voids: fc.subarray(plain.map((_, i) => i)) }).map(({ voids }) => {
      const records = plain.map((one, i) =>
        PracticeRecordSchema.parse({
          ...JSON.parse(JSON.stringify(one)),
          key: `record-${i}`.padEnd(10, '_'),
          at: `${one.date as string}T18:${String(i).padStart(2, '0')}:00Z`,
        }),
      );
      return [
        ...records,
        ...voids.map((i) =>
          PracticeRecordSchema.parse({
            kind: 'void',
            key: `void-${i}`.padEnd(10, '_'),
            at: '2026-09-20T10:00:00Z',
            date: '2026-09-20',
            map: records[i]!.map,
            session: records[i]!.session,
            voids: records[i]!.key,
          }),
        ),
      ];
    }),
  );
