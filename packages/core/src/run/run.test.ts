import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../formats/mapFile.ts';
import { practiceOf } from '../log/practice.ts';
import { type ClassPlan, ClassSchema } from '../model/classPlan.ts';
import { PracticeRecordSchema, recordsOf } from '../model/practiceRecord.ts';
import { type RunEvent, RunEventSchema } from './runEvent.ts';
import { plannedSeconds, runRecords, wasReached } from './runRecords.ts';
import { clockOf, placeOf, type RunState, runState } from './runState.ts';

const club = (file: string) =>
  readFileSync(new URL(`../../../../testing/club/${file}`, import.meta.url), 'utf8');
const map = parseMapFile(club('kelpwick.map.json'));
const tuesday = ClassSchema.parse(JSON.parse(club('tuesday.class.json')));
const START = Date.parse('2026-12-01T18:00:00Z');

const talk = (id: string, seconds: number) => ({ kind: 'talk', id, title: `Talk ${id}`, seconds });
/** Three talks of 300, 300 and 280 seconds. */
const threeTalks = ClassSchema.parse({
  format: 'aftersquall-class',
  version: 1,
  id: 'talks',
  name: 'Three talks',
  map: 'kelpwick',
  minutes: 15,
  people: 14,
  apparel: 'gi',
  blocks: [talk('a', 300), talk('b', 300), talk('c', 280)],
});

type Given = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'run' | 'at'> : never) : never;

/** A run, its events at so many seconds after its start. */
const runOf = (...given: [seconds: number, event: Given][]): RunEvent[] =>
  given.map(([seconds, event], i) =>
    RunEventSchema.parse({
      id: `event-${String(i).padStart(4, '0')}`,
      run: 'run-of-test',
      at: START + seconds * 1000,
      ...event,
    }),
  );
const at = (events: RunEvent[], seconds: number): RunState => runState(events, START + seconds * 1000);
const started = (plan: ClassPlan = threeTalks, countdown = 0): Given => ({ do: 'started', plan, countdown });
const goTo = (block: string, into = 0): Given => ({ do: 'wentTo', block, stretch: 0, into });
const ran = ({ ran: all }: RunState): Record<string, number> => Object.fromEntries(all);
const records = (events: RunEvent[], seconds: number) =>
  runRecords(events, START + seconds * 1000, { date: '2026-12-01', device: 'wall', map });
const blocksOf = (events: RunEvent[], seconds: number) => {
  const { sessions } = practiceOf(records(events, seconds), { map: 'kelpwick' });
  return sessions[0]!;
};

describe('a run of a class', () => {
  it('counts down first, then goes from block to block by itself until it is over', () => {
    const events = runOf([0, started(threeTalks, 5)]);
    expect(clockOf(at(events, 0))).toBe(-5);
    expect(clockOf(at(events, 2))).toBe(-3);
    expect(clockOf(at(events, 15))).toBe(10);
    expect(at(events, 310).now).toMatchObject({ index: 1, into: 5, left: 295 });
    const over = at(events, 5000);
    expect(over).toMatchObject({ over: true, running: false, now: undefined });
    expect(ran(over)).toEqual({ a: 300, b: 300, c: 280 });
    expect(clockOf(over)).toBe(880);
  });

  it('keeps what was counted when it goes back and gets a minute more', () => {
    const all = runOf([0, started()]);
    const back = [...all, ...runOf([880, goTo('a')], [880, { do: 'resumed' }])];
    const minute = [...back, ...runOf([900, { do: 'timeAdded', block: 'a', stretch: 0, seconds: 60 }])];
    expect(ran(at(minute, 900))).toEqual({ a: 320, b: 300, c: 280 });
    expect(at(minute, 900).now!.left).toBe(340);
    expect(ran(at(minute, 1250))).toEqual({ a: 660, b: 310, c: 280 });
  });

  it('stands while it is paused, and goes on where it was', () => {
    const events = runOf([0, started()], [100, { do: 'paused' }], [400, { do: 'resumed' }]);
    expect(clockOf(at(events, 399))).toBe(100);
    expect(clockOf(at(events, 410))).toBe(110);
  });

  it('runs on as it began when the class is edited, until the edited one is taken over', () => {
    const edited = { ...threeTalks, blocks: [talk('new', 120), ...threeTalks.blocks.slice(1)] };
    const events = runOf([0, started()], [310, { do: 'planTaken', plan: ClassSchema.parse(edited) }]);
    const state = at(events, 320);
    expect(ran(state)).toEqual({ a: 300, b: 20 });
    expect(state.plan!.blocks[state.segments[state.now!.index]!.block]!.id).toBe('b');
    // A block that is gone is left for the next one that is still there.
    const gone = runOf([0, started()], [10, { do: 'planTaken', plan: ClassSchema.parse(edited) }]);
    expect(placeOf(at(gone, 11), at(gone, 11).now!.index)).toEqual({ block: 'b', stretch: 0 });
    expect(ran(at(gone, 11))).toEqual({ a: 10, b: 1 });
    expect(at(gone, 11).stays.get('a')).toMatchObject({ count: 1, ran: 10 });
  });

  it('knows who is here from every tick, however fast they come', () => {
    const tick = (id: string, there = true): Given => ({
      do: 'attended',
      athlete: { id, alias: id },
      there,
    });
    const events = runOf([0, tick('gull')], [0, tick('auk')], [1, tick('tern')], [2, tick('gull', false)]);
    expect(at(events, 3).here.map(({ id }) => id)).toEqual(['auk', 'tern']);
    expect(at(events, 3).expected).toBe(2);
    const later = [...events, ...runOf([4, started()], [5, tick('wren')])];
    expect(at(later, 6)).toMatchObject({ attendedSince: 1, expected: 2 });
    expect(recordsOf(records(later, 6), 'attended')).toMatchObject([
      { athlete: { id: 'wren' }, there: true },
    ]);
    expect(blocksOf(later, 6)).toMatchObject({ people: 3 });
    expect(blocksOf(later, 6).athletes.map(({ id }) => id)).toEqual(['auk', 'tern', 'wren']);
  });

  it('goes on where it was when the clock of the device goes back an hour', () => {
    const events = runOf([0, started()], [100 - 3600, { do: 'clockWentBack', by: 3_600_000 }]);
    expect(clockOf(at(events, 100 - 3600))).toBe(100);
    expect(clockOf(at(events, 130 - 3600))).toBe(130);
    // Without a word the clock stands, and never runs backwards.
    expect(clockOf(at(runOf([0, started()], [50, { do: 'paused' }]), -3600))).toBe(50);
  });

  it('starts at once though the clock was set back after people were ticked', () => {
    const events = runOf(
      [3600, { do: 'attended', athlete: { id: 'gull', alias: 'Gull' }, there: true }],
      [0, started(threeTalks, 5)],
    );
    expect(clockOf(at(events, 0))).toBe(-5);
    expect(clockOf(at(events, 30))).toBe(25);
  });

  it('can be ended early, and taken up again by going to a block', () => {
    const events = runOf([0, started()], [30, { do: 'ended' }]);
    expect(at(events, 900)).toMatchObject({ over: true, now: undefined });
    expect(ran(at(events, 900))).toEqual({ a: 30 });
    const again = [...events, ...runOf([40, goTo('b')], [40, { do: 'resumed' }])];
    expect(ran(at(again, 50))).toEqual({ a: 30, b: 10 });
    expect(at(again, 50).over).toBe(false);
  });

  it('works on the other sides when asked, and on the planned ones when asked again', () => {
    const swap: Given = { do: 'swapped', block: 'a' };
    expect([...at(runOf([0, started()], [1, swap]), 2).swapped]).toEqual(['a']);
    expect([...at(runOf([0, started()], [1, swap], [2, swap]), 3).swapped]).toEqual([]);
  });
});

/** Anything that can be done to a running class, with pauses of any length between. */
const anyRun: fc.Arbitrary<RunEvent[]> = fc
  .array(
    fc.record({
      wait: fc.integer({ min: 0, max: 400 }),
      what: fc.constantFrom('go', 'pause', 'resume', 'minute', 'swap', 'plan', 'end'),
      block: fc.constantFrom('a', 'b', 'c', 'gone'),
      into: fc.integer({ min: 0, max: 400 }),
    }),
    { maxLength: 12 },
  )
  .map((all) => {
    let seconds = 0;
    const shorter = ClassSchema.parse({ ...threeTalks, blocks: threeTalks.blocks.slice(1) });
    return runOf(
      [0, started(threeTalks, 5)],
      ...all.map(({ wait, what, block, into }): [number, Given] => {
        seconds += wait;
        const events: Record<typeof what, Given> = {
          go: goTo(block, into),
          pause: { do: 'paused' },
          resume: { do: 'resumed' },
          minute: { do: 'timeAdded', block, stretch: 0, seconds: 60 },
          swap: { do: 'swapped', block },
          plan: { do: 'planTaken', plan: into % 2 ? shorter : threeTalks },
          end: { do: 'ended' },
        };
        return [seconds, events[what]];
      }),
    );
  });
const sum = (seconds: Iterable<number>): number => [...seconds].reduce((all, one) => all + one, 0);

describe('whatever happens in a run', () => {
  it('changes nothing of what had run before', () => {
    fc.assert(
      fc.property(anyRun, (events) => {
        for (let i = 1; i < events.length; i++) {
          const before = runState(events.slice(0, i), events[i]!.at);
          const after = runState(events.slice(0, i + 1), events[i]!.at);
          expect([...after.ran]).toEqual([...before.ran]);
        }
      }),
    );
  });

  it('adds up to the time that the clock ran', () => {
    fc.assert(
      fc.property(anyRun, fc.integer({ min: 0, max: 2000 }), (events, more) => {
        // The clock is looked at every second, as the screen does; each look adds what passed since the one before.
        const end = events.at(-1)!.at + more * 1000;
        let shown = 0;
        for (let now = START; now < end; now += 1000) {
          const upTo = (moment: number) => events.filter((event) => event.at <= moment);
          const [before, after] = [runState(upTo(now), now), runState(upTo(now), now + 1000)];
          if (before.running) shown += 1 - before.countdown + after.countdown - overshoot(after, before);
        }
        expect(sum(runState(events, end).ran.values())).toBeCloseTo(shown, 3);
      }),
      { numRuns: 25 },
    );
    /** Of a second in which the class ended by itself, what it did not run any more. */
    function overshoot(after: RunState, before: RunState): number {
      const passed = sum(after.ran.values()) - sum(before.ran.values());
      const counted = before.countdown - after.countdown;
      return after.over ? 1 - counted - passed : 0;
    }
  });

  it('is recorded the same from the same events, each block once, with the seconds that it ran', () => {
    fc.assert(
      fc.property(anyRun, (events) => {
        const end = events.at(-1)!.at + 2_000_000;
        const seconds = (end - START) / 1000;
        const made = records(events, seconds);
        expect(records(events, seconds)).toEqual(made);
        expect(new Set(made.map(({ key }) => key)).size).toBe(made.length);
        for (const record of made) expect(() => PracticeRecordSchema.parse(record)).not.toThrow();
        // What was recorded along the way is the same records, and those of the end take them back.
        const early = events.flatMap((event) => records(events, (event.at - START) / 1000));
        const { sessions } = practiceOf(
          [...new Map([...early, ...made].map((record) => [record.key, record])).values()],
          { map: 'kelpwick' },
        );
        const { stays } = runState(events, end);
        const kept = runState(events, end).plan!.blocks.map(({ id }) => stays.get(id)?.ran ?? 0);
        expect(sessions[0]!.ran).toBeCloseTo(sum(kept), 2);
      }),
    );
  });
});

describe('what is recorded of a block', () => {
  const drilled = tuesday.blocks.find((block) => 'links' in block && 'reps' in block)!;
  const planned = plannedSeconds(tuesday).get(drilled.id)!;
  /** A run that stays so long in one block and then ends. */
  const inBlock = (seconds: number) =>
    runOf([0, started(tuesday)], [0, goTo(drilled.id)], [seconds, { do: 'ended' }]);
  const recordOf = (seconds: number) =>
    recordsOf(records(inBlock(seconds), seconds + 1), 'block').find(({ block }) => block === drilled.id)!;

  it('counts as reached from a quarter of it on, with the reps there was time for', () => {
    expect([wasReached(400, 99), wasReached(400, 100), wasReached(0, 0)]).toEqual([false, true, false]);
    if (!('reps' in drilled)) throw new Error('not drilled');
    const { reps, sides } = drilled;
    expect(recordOf(planned / 2)).toMatchObject({ reached: true, reps: Math.round((reps * sides) / 2) });
    expect(recordOf(1)).toMatchObject({ reached: false, reps: 0 });
  });

  it('has the words of the map, or those of the class where the map is not at hand', () => {
    if (!('links' in drilled)) throw new Error('not drilled');
    const { exchanges } = recordOf(planned);
    expect(exchanges.map(({ exchange }) => exchange)).toEqual(drilled.links.map(({ exchange }) => exchange));
    for (const { position, move } of exchanges) expect([position, move]).not.toContain('');
    const bare = runRecords(inBlock(planned), START + planned * 1000, {
      date: '2026-12-01',
      device: 'wall',
      map: undefined,
    });
    const record = recordsOf(bare, 'block').find(({ block }) => block === drilled.id)!;
    expect(record.exchanges.map(({ move }) => move)).toEqual(drilled.links.map(({ move }) => move));
  });

  it('says of those that never ran that they were missed, once the class is over', () => {
    const missed = recordsOf(records(inBlock(planned), planned + 1), 'block').filter(
      ({ reached }) => !reached,
    );
    expect(missed.length).toBe(tuesday.blocks.length - 1);
    const still = inBlock(planned).slice(0, -1);
    expect(recordsOf(records(still, 30), 'block')).toEqual([]);
  });
});
