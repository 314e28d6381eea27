import { emptyMap, type GuardMap } from '@aftersquall/core/model';
import { type Weighing, type WeighOptions } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { type Bench, latestQuestionQueue, type WeighState } from './latestQuestionQueue.ts';

interface Asked {
  map: GuardMap;
  options: WeighOptions;
  start: readonly number[] | undefined;
  answer: (entry: number) => Promise<void>;
  refuse: (message: string) => Promise<void>;
  progress: (share: number) => void;
}

/** What the desk sees of an answer. */
const weighing = (entry: number) => ({ entry, values: [entry] }) as unknown as Weighing;
/** Lets what was promised be taken up. */
const settle = () => new Promise<void>((resolve) => setImmediate(resolve));
/** A new map each time, so that no answer is known yet. */
const aMap = (): GuardMap => ({ ...emptyMap('m', 'M'), positions: [{ id: 'p' }] as never });

function atDesk() {
  const asked: Asked[] = [];
  const shown: WeighState[] = [];
  let ended = 0;
  const bench: Bench = {
    weigh: (map, options, start, onProgress) =>
      new Promise((resolve, reject) => {
        const stops = ended;
        const unlessOver = async (act: () => void) => {
          if (stops === ended) act();
          await settle();
        };
        asked.push({
          map,
          options,
          start,
          answer: (entry) => unlessOver(() => resolve(weighing(entry))),
          refuse: (message) => unlessOver(() => reject(new RangeError(message))),
          progress: onProgress,
        });
      }),
    end: () => {
      ended++;
    },
  };
  const desk = latestQuestionQueue(bench, (state) => shown.push(state));
  return { desk, asked, shown, now: () => shown.at(-1)!, ended: () => ended };
}

describe('the desk where maps are weighed', () => {
  it('shows the answer, and the last one as stale while a newer question is worked on', async () => {
    const { desk, asked, now } = atDesk();
    const map = aMap();
    desk.ask(map, { submissionWorth: 8 });
    expect(now()).toEqual({ stale: true, stopped: false });
    asked[0]!.progress(0.5);
    expect(now()).toMatchObject({ progress: 0.5 });
    await asked[0]!.answer(1);
    expect(now()).toEqual({ weighing: weighing(1), weighedMap: map, stale: false, stopped: false });
    desk.ask(map, { submissionWorth: 9 });
    expect(now()).toEqual({ weighing: weighing(1), weighedMap: map, stale: true, stopped: false });
    expect(asked[1]!.start).toEqual([1]);
  });

  it('answers only the last of several questions in a row', async () => {
    const { desk, asked, now } = atDesk();
    const map = aMap();
    for (const submissionWorth of [1, 2, 3, 4]) desk.ask(map, { submissionWorth });
    await asked[0]!.answer(1);
    expect(asked.map(({ options }) => options.submissionWorth)).toEqual([1, 4]);
    expect(now()).toMatchObject({ weighing: weighing(1), stale: true });
    await asked[1]!.answer(4);
    expect(now()).toEqual({ weighing: weighing(4), weighedMap: map, stale: false, stopped: false });
  });

  it('knows what it has answered, also from another desk', async () => {
    const one = atDesk();
    const map = aMap();
    one.desk.ask(map, { submissionWorth: 8 });
    await one.asked[0]!.answer(1);
    const other = atDesk();
    other.desk.ask(map, { submissionWorth: 8 });
    expect(other.now()).toEqual({ weighing: weighing(1), weighedMap: map, stale: false, stopped: false });
    expect(other.asked).toEqual([]);
    // A map that was changed is another map.
    other.desk.ask({ ...map }, { submissionWorth: 8 });
    expect(other.asked).toHaveLength(1);
  });

  it('does not let a late answer take the place of one that was known', async () => {
    const { desk, asked, now } = atDesk();
    const map = aMap();
    desk.ask(map, { submissionWorth: 1 });
    await asked[0]!.answer(1);
    desk.ask(map, { submissionWorth: 2 });
    desk.ask(map, { submissionWorth: 1 });
    expect(now()).toMatchObject({ weighing: weighing(1), stale: false });
    await asked[1]!.answer(2);
    expect(now()).toMatchObject({ weighing: weighing(1), stale: false });
  });

  it('says why a map cannot be weighed, and weighs the next one', async () => {
    const { desk, asked, now } = atDesk();
    const [map, mended] = [aMap(), aMap()];
    desk.ask(map, {});
    await asked[0]!.refuse('no position is an entry');
    expect(now()).toEqual({ trouble: 'no position is an entry', stale: false, stopped: false });
    desk.ask(mended, {});
    expect(asked.map((question) => question.map)).toEqual([map, mended]);
    await asked[1]!.answer(2);
    expect(now()).toEqual({ weighing: weighing(2), weighedMap: mended, stale: false, stopped: false });
  });

  it('says of which map it is what it shows', async () => {
    const { desk, asked, now } = atDesk();
    const [map, next] = [aMap(), aMap()];
    desk.ask(map, {});
    await asked[0]!.answer(1);
    desk.ask(next, {});
    expect(now()).toMatchObject({ weighing: weighing(1), weighedMap: map, stale: true });
    expect(now().weighedMap).toBe(map);
    await asked[1]!.answer(2);
    expect(now().weighedMap).toBe(next);
  });

  it('is stopped at once, keeps what it showed, and begins again on another bench', async () => {
    const { desk, asked, now, ended, shown } = atDesk();
    const map = aMap();
    desk.ask(map, { submissionWorth: 1 });
    await asked[0]!.answer(1);
    desk.ask(map, { submissionWorth: 2 });
    asked[1]!.progress(0.2);
    desk.stop();
    expect(ended()).toBe(1);
    expect(now()).toEqual({ weighing: weighing(1), weighedMap: map, stale: true, stopped: true });
    asked[1]!.progress(0.3);
    await asked[1]!.answer(2);
    expect(now()).toEqual({ weighing: weighing(1), weighedMap: map, stale: true, stopped: true });
    desk.ask(map, { submissionWorth: 2 });
    expect(asked).toHaveLength(3);
    await asked[2]!.answer(2);
    expect(now()).toEqual({ weighing: weighing(2), weighedMap: map, stale: false, stopped: false });
    const told = shown.length;
    desk.close();
    expect(shown).toHaveLength(told);
  });
});
