import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyCommand } from '../documents/applyCommand.ts';
import { parseMapFile } from '../formats/mapFile.ts';
import { practised, retained } from '../lesson/practise/memory.ts';
import { reactionKey } from '../model/reaction.ts';
import { practiceRecords, recordMade } from '../test/practiceRecords.ts';
import { evidenceOf, mapOn, takeBlend } from './evidence.ts';
import { fadingOf } from './fading.ts';
import { faultTrends, weeksBetween } from './faultTrend.ts';
import { nextClass } from './nextClass.ts';
import { practiceOf, weekOf } from './practice.ts';
import { reactionsSeen } from './reactionsSeen.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const exchange = map.exchanges.find(({ chance }) => chance > 0.3 && chance < 0.7)!;
const words = { exchange: exchange.id, position: 'P', move: 'M', meets: '' };
const trials = (worked: number, failed: number, resistance = 'full') => [
  ...(worked ? [recordMade({ kind: 'trial', ...words, worked: true, resistance, count: worked })] : []),
  ...(failed ? [recordMade({ kind: 'trial', ...words, worked: false, resistance, count: failed })] : []),
];
const filter = { map: 'kelpwick' };

describe('records summed up', () => {
  it('count each trial once, and nothing that was taken back', () => {
    fc.assert(
      fc.property(practiceRecords, (records) => {
        const taken = new Set(records.flatMap((one) => (one.kind === 'void' ? [one.voids] : [])));
        const own = records.flatMap((one) =>
          one.kind === 'trial' && one.map === 'kelpwick' && !taken.has(one.key) ? [one] : [],
        );
        const { trials: rows } = practiceOf(records, filter);
        expect(rows.reduce((sum, { tried }) => sum + tried, 0)).toBe(
          own.reduce((sum, { count }) => sum + count, 0),
        );
        for (const { worked, tried } of rows) expect(worked).toBeLessThanOrEqual(tried);
      }),
    );
  });

  it('are those of the days, the class and the athlete asked for', () => {
    fc.assert(
      fc.property(practiceRecords, (records) => {
        const early = practiceOf(records, { ...filter, to: '2026-09-03' });
        const late = practiceOf(records, { ...filter, from: '2026-09-04' });
        const all = practiceOf(records, filter);
        const tried = (one: typeof all) => one.trials.reduce((sum, row) => sum + row.tried, 0);
        expect(tried(early) + tried(late)).toBe(tried(all));
        const hers = practiceOf(records, { ...filter, athlete: 'gull' });
        expect(tried(hers)).toBeLessThanOrEqual(tried(all));
      }),
    );
  });

  it('know what was missed, and when it came after all', () => {
    const block = (date: string, reached: boolean) =>
      recordMade({
        kind: 'block',
        date,
        block: 'a',
        title: 'Lift',
        what: 'move',
        planned: 300,
        ran: reached ? 290 : 0,
        reached,
        reps: reached ? 6 : 0,
        exchanges: [words],
      });
    /** Something else of the same session, which was held. */
    const held = recordMade({
      kind: 'block',
      date: '2026-09-01',
      block: 'b',
      title: 'Hip escape',
      what: 'movement',
      planned: 60,
      ran: 60,
      reached: true,
    });
    const once = practiceOf([held, block('2026-09-01', false)], filter);
    expect(once.missed).toMatchObject([{ exchange: exchange.id, date: '2026-09-01', title: 'Lift' }]);
    expect(once.missed[0]).not.toHaveProperty('backOn');
    const again = practiceOf([held, block('2026-09-01', false), block('2026-09-08', true)], filter);
    expect(again.missed[0]).toMatchObject({ backOn: '2026-09-08' });
    expect(again.taught).toMatchObject([{ date: '2026-09-08' }]);
    // Begun by mistake and ended at once, a class carries nothing over.
    expect(practiceOf([block('2026-09-01', false)], filter).missed).toEqual([]);
  });

  it('count a session once, by the last that was said of it', () => {
    const told = (second: number, athletes: { id: string; alias: string }[]) => ({
      ...recordMade({ kind: 'session', name: 'Tuesday', people: 8, minutes: 60, athletes }),
      at: `2026-09-01T18:30:0${second}Z`,
    });
    const [gull, auk] = [
      { id: 'gull', alias: 'Gull' },
      { id: 'auk', alias: 'Auk' },
    ];
    const { sessions } = practiceOf([told(2, [gull, auk]), told(1, [gull])], filter);
    expect(sessions.map(({ athletes }) => athletes)).toEqual([[gull, auk]]);
  });

  it('mark a class that two devices ran', () => {
    const run = (session: string, device: string) =>
      recordMade({
        kind: 'session',
        session,
        device,
        name: 'Tuesday',
        class: 'tuesday',
        people: 8,
        minutes: 60,
      });
    const { sessions } = practiceOf([run('session-aa', 'wall'), run('session-bb', 'pocket')], filter);
    expect(sessions.map(({ twice }) => twice)).toEqual([true, true]);
  });

  it('have weeks that begin on Mondays', () => {
    expect(weekOf('2026-11-26')).toBe('2026-11-23');
    expect(weekOf('2026-11-23')).toBe('2026-11-23');
    expect(weekOf('2026-11-29')).toBe('2026-11-23');
    expect(weeksBetween('2026-11-10', '2026-11-26')).toEqual(['2026-11-09', '2026-11-16', '2026-11-23']);
  });
});

describe('evidence against guess', () => {
  it('is of what was tried against resistance, and reps with help are none', () => {
    const rows = evidenceOf(map, practiceOf([...trials(9, 3), ...trials(50, 0, 'cooperative')], filter));
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({ guess: exchange.chance, full: { worked: 9, tried: 12 } });
    expect(rows[0]!.blend.mean).toBeCloseTo((exchange.chance * 6 + 9) / 18, 12);
    expect(rows[0]!.logged!.mean).toBe(0.75);
  });

  it('becomes the map’s chance as one change that can be undone, and is never blended twice', () => {
    const before = practiceOf(trials(9, 3), filter);
    const rows = evidenceOf(map, before);
    const { document: blended, inverse } = applyCommand(map, takeBlend(rows));
    const now = (blended as typeof map).exchanges.find(({ id }) => id === exchange.id)!;
    expect(now).toMatchObject({ basis: 'blended', chance: Math.round(rows[0]!.blend.mean * 100) / 100 });
    expect(applyCommand(blended, inverse).document).toEqual(map);
    // The coach's own chance is kept with the records: the next blend begins from it.
    const kept = [
      ...trials(9, 3),
      recordMade({ kind: 'blend', exchange: exchange.id, guess: exchange.chance }),
    ];
    const [again] = evidenceOf(blended as typeof map, practiceOf(kept, filter));
    expect(again!.guess).toBe(exchange.chance);
    const [later] = evidenceOf(
      blended as typeof map,
      practiceOf([...kept, ...trials(1, 1).map((one) => ({ ...one, date: '2026-12-01' }))], {
        ...filter,
        from: '2026-11-30',
      }),
    );
    expect(later!.guess).toBe(exchange.chance);
    expect(again!.blend.mean).toBeCloseTo(rows[0]!.blend.mean, 12);
  });

  it('weighs the map on the coach’s figures, on logged ones, or on both', () => {
    const practice = practiceOf(trials(9, 3), filter);
    const on = (basis: 'coach' | 'logged' | 'blended') =>
      mapOn(map, practice, basis).exchanges.find(({ id }) => id === exchange.id)!.chance;
    expect(on('coach')).toBe(exchange.chance);
    expect(on('logged')).toBe(0.75);
    expect(on('blended')).toBeCloseTo((exchange.chance * 6 + 9) / 18, 12);
    expect(mapOn(map, practiceOf([], filter), 'blended')).toEqual(map);
    // Each chance says whose it is, and what was never tried stays the coach's.
    for (const basis of ['logged', 'blended'] as const) {
      const told = mapOn(map, practice, basis).exchanges.filter((one) => one.basis === basis);
      expect(told.map(({ id }) => id)).toEqual([exchange.id]);
    }
  });
});

describe('what top was seen to do', () => {
  it('is counted look by look, from everything that was tried there', () => {
    const met = map.exchanges.filter(({ reaction }) => reaction !== 'none');
    const moveOf = (id: string) => map.moves.find((one) => one.id === id)!;
    const look = moveOf(met[0]!.move).look;
    const there = met.filter(({ move }) => moveOf(move).look === look);
    const records = met.map(({ id }, i) =>
      recordMade({
        kind: 'trial',
        exchange: id,
        position: 'P',
        move: 'M',
        meets: 'R',
        worked: i % 2 === 0,
        resistance: 'light',
        count: 2,
      }),
    );
    const seen = reactionsSeen(map, practiceOf(records, filter), look);
    expect([...seen.values()].reduce((sum, count) => sum + count, 0)).toBe(2 * there.length);
    expect([...seen.keys()].sort()).toEqual(
      [...new Set(there.map(({ reaction }) => reactionKey(reaction)))].sort(),
    );
  });
});

describe('what fades', () => {
  const drilled = (date: string) =>
    recordMade({
      kind: 'block',
      date,
      block: 'a',
      title: 'Lift',
      what: 'move',
      planned: 300,
      ran: 300,
      reached: true,
      reps: 6,
      exchanges: [words],
    });

  it('is what the memory model says of its days: held where nobody graded it, and graded where somebody did', () => {
    const practice = practiceOf([drilled('2026-09-01'), drilled('2026-09-08')], filter);
    const memory = practised(practised(undefined, '2026-09-01'), '2026-09-08');
    expect(fadingOf(practice, '2026-10-01')[0]).toMatchObject({
      retention: retained(memory, '2026-10-01'),
      last: '2026-09-08',
      times: 2,
      grade: undefined,
    });
    const lost = recordMade({ kind: 'grade', date: '2026-09-08', ...words, grade: 'lost' });
    const graded = practiceOf([drilled('2026-09-01'), drilled('2026-09-08'), lost], filter);
    expect(fadingOf(graded, '2026-10-01')[0]!.retention).toBeLessThan(retained(memory, '2026-10-01'));
    expect(fadingOf(graded, '2026-10-01')[0]!.grade).toBe('lost');
  });

  it('is an athlete’s own where an athlete is asked for, and knows nothing of later days', () => {
    const gull = { id: 'gull', alias: 'Gull' };
    const records = [
      drilled('2026-09-01'),
      recordMade({ kind: 'grade', date: '2026-09-01', ...words, athlete: gull, grade: 'sharp' }),
    ];
    const practice = practiceOf(records, filter);
    expect(fadingOf(practice, '2026-10-01', 'gull')[0]!.retention).toBeGreaterThan(
      fadingOf(practice, '2026-10-01')[0]!.retention,
    );
    expect(fadingOf(practice, '2026-08-01')).toEqual([]);
  });
});

describe('faults over weeks', () => {
  const fault = (date: string, words: string, count: number) =>
    recordMade({ kind: 'fault', date, of: 'move', id: 'lift', name: 'Lift', fault: words, count });

  it('are counted by week, and a recent one matters more than an old one', () => {
    const weeks = weeksBetween('2026-09-01', '2026-09-28');
    const trends = faultTrends(
      practiceOf([fault('2026-09-01', 'flat back', 6), fault('2026-09-28', 'elbow wide', 4)], filter),
      weeks,
    );
    expect(trends.map(({ fault: said }) => said)).toEqual(['elbow wide', 'flat back']);
    expect(trends[0]!.counts).toEqual([0, 0, 0, 0, 4]);
    expect(trends[1]!.counts).toEqual([6, 0, 0, 0, 0]);
    expect(trends[1]!.now).toBeCloseTo(6 / 4, 12);
  });

  it('give the next class its three, with what was carried over, what fades and where evidence is thin', () => {
    const records = [
      ...['a', 'b', 'c', 'd'].map((said, i) => fault('2026-09-28', said, i + 1)),
      ...trials(1, 0),
    ];
    const practice = practiceOf(records, filter);
    const next = nextClass(
      practice,
      faultTrends(practice, weeksBetween('2026-09-28', '2026-09-28')),
      fadingOf(practice, '2026-10-01'),
      evidenceOf(map, practice),
    );
    expect(next.faults.map(({ fault: said }) => said)).toEqual(['d', 'c', 'b']);
    expect(next.thin).toHaveLength(1);
    expect(next.carried).toEqual([]);
  });

  it('leave out what nobody was seen with for four weeks, and say every move once', () => {
    const block = (reached: boolean, date: string) =>
      recordMade({
        kind: 'block',
        date,
        block: 'a',
        title: 'Lift',
        what: 'chain',
        planned: 300,
        ran: reached ? 300 : 0,
        reached,
        exchanges: [
          { exchange: 'one', position: 'Butterfly', move: 'Lift', meets: '' },
          { exchange: 'two', position: 'Butterfly', move: 'Lift', meets: 'Posts' },
        ],
      });
    const practice = practiceOf(
      [fault('2026-09-01', 'flat back', 40), block(true, '2026-08-01'), block(false, '2026-09-28')],
      filter,
    );
    const trends = faultTrends(practice, weeksBetween('2026-09-01', '2026-09-28'));
    expect(trends).toHaveLength(1);
    const next = nextClass(practice, trends, fadingOf(practice, '2026-12-01'), []);
    expect(next.faults).toEqual([]);
    expect(next.carried).toMatchObject([{ move: 'Lift', answers: 2, date: '2026-09-28' }]);
    expect(next.fading).toMatchObject([{ move: 'Lift', answers: 2 }]);
  });
});
