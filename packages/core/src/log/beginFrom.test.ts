import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { practiceRecords, recordMade } from '../test/practiceRecords.ts';
import { smallMap } from '../test/smallMap.ts';
import { beginFrom } from './beginFrom.ts';
import { practiceOf } from './practice.ts';
import { taughtFrom } from './taughtFrom.ts';

const map = smallMap();
const [one, two] = map.exchanges;
const words = (exchange: string) => ({ exchange, position: '', move: 'Some move', meets: '' });
const block = (date: string, exchanges: string[], reached = true) =>
  recordMade({
    kind: 'block',
    map: map.id,
    date,
    session: `session-${date}`,
    block: 'a',
    title: 'A block',
    what: 'chain',
    planned: 300,
    ran: reached ? 300 : 0,
    reached,
    exchanges: exchanges.map(words),
  });
/** Of a class that was held: what it reached besides is not in the map. */
const held = (date: string) => block(date, ['gone-from-the-map']);
const practiceIn = (...records: ReturnType<typeof recordMade>[]) => practiceOf(records, { map: map.id });

describe('days of practice', () => {
  it('have the moves that were drilled with the coach’s word on the group, and what was not reached', () => {
    const practice = practiceIn(
      block('2026-10-08', [one!.id, 'gone-from-the-map']),
      held('2026-10-01'),
      block('2026-10-01', [two!.id], false),
      recordMade({ kind: 'grade', map: map.id, date: '2026-10-08', ...words(one!.id), grade: 'patchy' }),
      recordMade({
        kind: 'grade',
        map: map.id,
        date: '2026-10-09',
        ...words(two!.id),
        grade: 'lost',
        athlete: { id: 'gull', alias: 'Gull' },
      }),
    );
    const days = taughtFrom(map, practice);
    const name = map.moves.find(({ id }) => id === one!.move)!.name;
    expect(days).toEqual([
      { date: '2026-10-01', moves: [], leftOver: [two!.id] },
      {
        date: '2026-10-08',
        moves: [
          { move: one!.move, name, exchange: one!.id, grade: undefined },
          { move: one!.move, name, exchange: one!.id, grade: 'patchy' },
        ],
        leftOver: [],
      },
    ]);
  });

  it('have what found no time in the plan of a class from the day it was run', () => {
    const session = recordMade({
      kind: 'session',
      map: map.id,
      date: '2026-10-08',
      name: 'Tuesday',
      class: 'tuesday',
      people: 10,
      minutes: 60,
    });
    const classes = [
      { id: 'tuesday', leftOver: [two!.id] },
      { id: 'never-run', leftOver: [one!.id] },
    ];
    // Begun by mistake and ended at once it was not run.
    expect(taughtFrom(map, practiceIn(session), classes)).toEqual([]);
    const ran = block('2026-10-08', [one!.id]);
    const [day] = taughtFrom(map, practiceIn({ ...session, session: ran.session }, ran), classes);
    expect(day).toMatchObject({ date: '2026-10-08', leftOver: [two!.id] });
  });

  it('come in order, whatever was recorded', () => {
    fc.assert(
      fc.property(practiceRecords, (records) => {
        const days = taughtFrom(map, practiceOf(records, { map: 'kelpwick' })).map(({ date }) => date);
        expect(days).toEqual([...new Set(days)].sort());
      }),
    );
  });
});

describe('a class begins', () => {
  const fault = (date: string, text: string, count: number) =>
    recordMade({
      kind: 'fault',
      map: map.id,
      date,
      of: 'move',
      id: one!.move,
      name: 'M',
      fault: text,
      count,
    });
  const practice = practiceIn(
    block('2026-10-01', [one!.id]),
    held('2026-10-08'),
    block('2026-10-08', [two!.id], false),
    fault('2026-10-08', 'late', 5),
    fault('2026-08-01', 'mended long ago', 50),
  );
  const days = taughtFrom(map, practice);

  it('from what is known, what comes back, and the faults that were seen lately', () => {
    const { known, returns, faults } = beginFrom(map, practice, { date: '2026-10-15', days });
    expect(known).toEqual([one!.move]);
    expect(returns[0]).toEqual({ exchange: two!.id, why: 'It was planned before and not reached.' });
    expect(faults).toEqual([{ of: 'move', id: one!.move, name: 'M', fault: 'late', falsePositive: false }]);
  });

  it('from nothing that came after its day', () => {
    expect(beginFrom(map, practice, { date: '2026-10-02', days })).toMatchObject({
      known: [one!.move],
      returns: [],
    });
  });
});
