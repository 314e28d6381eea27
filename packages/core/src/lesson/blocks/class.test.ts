import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Block, BlockSchema, isDrilled } from '../../model/blocks/blockKinds.ts';
import { CLASS_FORMAT, CLASS_VERSION, ClassSchema } from '../../model/classPlan.ts';
import { smallMap } from '../../test/smallMap.ts';
import { chooseWithin } from '../choose/chooseWithin.ts';
import { planClass } from '../cover/planClass.ts';
import { fillReps } from '../practise/fillReps.ts';
import { blockTime, classSeconds, largestGroup } from './blockTime.ts';
import { matRun, segmentAt, segmentStart } from './matRun.ts';
import { setupLength } from './setupLength.ts';

const answer: Block = BlockSchema.parse({
  kind: 'link',
  id: 'b1',
  title: 'Gather',
  links: [{ exchange: 'gather-strip', move: 'Gather', seconds: 4 }],
  reps: 5,
  sides: 2,
  secondsPerRep: 10,
  demoSeconds: 30,
});

const CLASS = { format: CLASS_FORMAT, version: CLASS_VERSION };

describe('class arithmetic', () => {
  it('makes pairs; of three each takes a turn, in a larger odd number the third shares a pair’s', () => {
    expect([1, 2, 3, 14, 15].map(largestGroup)).toEqual([1, 2, 3, 2, 2]);
  });

  it('adds largest group × sides × reps × seconds per rep, change-overs and the demonstration', () => {
    expect(blockTime(answer, { people: 14, changeOverSeconds: 10 })).toEqual({
      turns: 2,
      demo: 30,
      work: 2 * 2 * 5 * 10,
      changeOvers: 3 * 10,
      total: 30 + 200 + 30,
    });
    expect(blockTime(answer, { people: 3, changeOverSeconds: 10 }).total).toBe(30 + 300 + 50);
  });

  it('gives the third of reps, minutes and seconds per rep from any two', () => {
    expect(fillReps({ reps: 5, secondsPerRep: 12 }, 4)).toEqual({ reps: 5, secondsPerRep: 12, minutes: 4 });
    expect(fillReps({ reps: 5, minutes: 4 }, 4)).toEqual({ reps: 5, minutes: 4, secondsPerRep: 12 });
    expect(fillReps({ minutes: 4, secondsPerRep: 12 }, 4)).toEqual({
      reps: 5,
      minutes: 4,
      secondsPerRep: 12,
    });
    expect(fillReps({ minutes: 4, secondsPerRep: 13 }, 4).reps).toBe(4);
    expect(() => fillReps({ reps: 5 }, 4)).toThrow(/two of/);
    expect(() => fillReps({ reps: 5, minutes: 4, secondsPerRep: 1 }, 4)).toThrow(/two of/);
    expect(() => fillReps({ minutes: 0.5, secondsPerRep: 60 }, 4)).toThrow(
      'one rep each takes 4 minutes, and there are 0.5',
    );
  });

  it('never lets the reps run over the minutes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 6 }),
        (minutes, secondsPerRep, shifts) => {
          fc.pre(shifts * secondsPerRep <= minutes * 60);
          const { reps } = fillReps({ minutes, secondsPerRep }, shifts);
          expect(reps * secondsPerRep * shifts).toBeLessThanOrEqual(minutes * 60);
          expect((reps + 1) * secondsPerRep * shifts).toBeGreaterThan(minutes * 60);
        },
      ),
    );
  });

  it('counts the connecting and provoking moves a chain begins with', () => {
    expect(setupLength(['connect', 'provoke', 'sweep', 'connect'])).toBe(2);
    expect(setupLength(['sweep'])).toBe(0);
    expect(setupLength(['connect', 'connect'])).toBe(2);
  });
});

describe('the clock', () => {
  it('runs exactly as long as the class, all turns on one side before the other', () => {
    const rest: Block = { kind: 'rest', id: 'r', title: 'Water', note: '', why: '', seconds: 60 };
    const plan = { people: 3, changeOverSeconds: 10, blocks: [answer, rest] };
    const run = matRun(plan);
    expect(run.reduce((sum, segment) => sum + segment.seconds, 0)).toBe(classSeconds(plan));
    expect(run.filter(({ kind }) => kind === 'work').map(({ side, turn }) => `${side} ${turn}`)).toEqual([
      'first 1',
      'first 2',
      'first 3',
      'other 1',
      'other 2',
      'other 3',
    ]);
    expect(run.map(({ kind }) => kind).filter((kind) => kind === 'change')).toHaveLength(5);
    expect(segmentAt(run, 0)).toEqual({ index: 0, left: 30 });
    expect(segmentAt(run, 30)).toEqual({ index: 1, left: 50 });
    expect(segmentAt(run, classSeconds(plan))).toBeUndefined();
    expect(segmentStart(run, 2)).toBe(80);
  });
});

describe('the clock of what is played', () => {
  const game = (demoSeconds: number): Block =>
    BlockSchema.parse({
      kind: 'game',
      id: 'g',
      title: 'Game',
      bottom: 'up',
      top: 'past',
      rounds: 3,
      secondsPerRound: 45,
      demoSeconds,
    });

  it('alternates bout by bout, with a change-over between as far as there is time', () => {
    const plan = { people: 12, changeOverSeconds: 10, blocks: [game(60)] };
    const run = matRun(plan);
    expect(run.reduce((sum, { seconds }) => sum + seconds, 0)).toBe(classSeconds(plan));
    expect(
      run.filter(({ kind }) => kind === 'work').map(({ turn, bout }) => `${bout?.number} ${turn}`),
    ).toEqual(['1 1', '1 2', '2 1', '2 2', '3 1', '3 2']);
    expect(run.filter(({ kind }) => kind === 'change').map(({ seconds }) => seconds)).toEqual([
      10, 10, 10, 10, 10,
    ]);
    expect(run[0]).toMatchObject({ kind: 'demo', seconds: 20 });
    const bare = { ...plan, blocks: [game(0)] };
    expect(matRun(bare).reduce((sum, { seconds }) => sum + seconds, 0)).toBe(classSeconds(bare));
  });

  it('halves a movement of two, so that both do it', () => {
    const pair = BlockSchema.parse({
      kind: 'move',
      id: 'm',
      title: 'M',
      form: 'pair',
      how: 'up',
      seconds: 90,
    });
    const plan = { people: 12, changeOverSeconds: 10, blocks: [pair] };
    expect(matRun(plan)).toMatchObject([
      { kind: 'together', turn: 1, seconds: 45 },
      { kind: 'together', turn: 2, seconds: 45 },
    ]);
    expect(matRun({ ...plan, people: 1 })).toHaveLength(1);
  });
});

describe('chooseWithin', () => {
  it('equals looking at every choice', () => {
    const item = fc.record({ cost: fc.integer({ min: 0, max: 12 }), worth: fc.integer({ min: 0, max: 9 }) });
    fc.assert(
      fc.property(fc.array(item, { maxLength: 8 }), fc.integer({ min: 0, max: 40 }), (list, budget) => {
        const items = list.map((value, i) => ({ id: `i${i}`, ...value }));
        const { ids, worth, cost } = chooseWithin({ items, budget });
        let most = 0;
        for (let mask = 0; mask < 1 << items.length; mask++) {
          const chosen = items.filter((_, i) => mask & (1 << i));
          const total = chosen.reduce((sum, { cost: each }) => sum + each, 0);
          if (total <= budget)
            most = Math.max(
              most,
              chosen.reduce((sum, { worth: each }) => sum + each, 0),
            );
        }
        const chosen = items.filter(({ id }) => ids.includes(id));
        expect(worth).toBe(most);
        expect(chosen.reduce((sum, { worth: each }) => sum + each, 0)).toBe(most);
        expect(chosen.reduce((sum, { cost: each }) => sum + each, 0)).toBe(cost);
        expect(cost).toBeLessThanOrEqual(budget);
      }),
    );
  });
});

describe('planning a class', () => {
  const map = smallMap();
  const request = {
    map,
    exchanges: map.exchanges.map(({ id }) => id),
    minutes: 30,
    people: 14,
    apparel: 'gi' as const,
  };

  it('covers what was chosen, fits, and could not hold one more rep of everything', () => {
    const { blocks, total, cover, leftOver } = planClass(request);
    expect(leftOver).toEqual([]);
    expect(cover.proved).toBe(true);
    expect(total).toBeLessThanOrEqual(30 * 60);
    expect(total).toBe(classSeconds({ people: 14, changeOverSeconds: 10, blocks }));
    const drilled = new Set(
      blocks.flatMap((block) => (isDrilled(block) ? block.links.map(({ exchange }) => exchange) : [])),
    );
    expect([...drilled].sort()).toEqual(map.exchanges.map(({ id }) => id).sort());
    const more = blocks.map((block) =>
      isDrilled(block) ? { ...block, reps: block.reps + (block.kind === 'setup' ? 3 : 1) } : block,
    );
    expect(classSeconds({ people: 14, changeOverSeconds: 10, blocks: more })).toBeGreaterThan(30 * 60);
    expect(
      ClassSchema.safeParse({
        ...request,
        ...CLASS,
        id: 'c',
        name: 'c',
        map: 'small',
        exchanges: undefined,
        blocks,
      }).error?.issues,
    ).toMatchObject([{ path: [] }]);
    expect(
      ClassSchema.parse({
        ...CLASS,
        id: 'c',
        name: 'c',
        map: 'small',
        minutes: 30,
        people: 14,
        apparel: 'gi',
        blocks,
      }).blocks,
    ).toHaveLength(blocks.length);
  });

  it('sets up three times for every full chain', () => {
    const { blocks } = planClass(request);
    const setup = blocks.find((block) => block.kind === 'setup')!;
    const chain = blocks.find((block) => block.kind === 'flow')!;
    expect(
      setup.kind === 'setup' && chain.kind === 'flow' && setup.reps >= 3 * (chain.reps - 1) && setup.reps % 3,
    ).toBe(0);
  });

  it('leaves over what does not fit, the least valuable chains first', () => {
    const { blocks, leftOver, total } = planClass({ ...request, minutes: 8 });
    expect(total).toBeLessThanOrEqual(8 * 60);
    expect(blocks.length).toBeGreaterThan(0);
    expect(leftOver.length).toBeGreaterThan(0);
    expect(planClass({ ...request, minutes: 1 }).blocks).toEqual([]);
  });

  it('cuts chains that nobody could remember into even pieces', () => {
    const { blocks } = planClass({ ...request, longestChain: 2 });
    for (const block of blocks) if (block.kind === 'flow') expect(block.links).toHaveLength(2);
    expect(planClass(request).blocks.some((block) => block.kind === 'flow' && block.links.length > 2)).toBe(
      true,
    );
  });

  it('keeps hazards on the block, and gives water in a long class', () => {
    const { blocks } = planClass({ ...request, minutes: 60, mostReps: 40, restEverySeconds: 600 });
    const choke = blocks.find(
      (block) => isDrilled(block) && block.links.some(({ exchange }) => exchange === 'choke-none'),
    );
    expect(choke).toMatchObject({ hazards: ['strangle'] });
    expect(blocks.some((block) => block.kind === 'rest')).toBe(true);
    expect(blocks[0]!.kind).not.toBe('rest');
  });

  it('does not drill what the apparel does not allow', () => {
    const gi = smallMap();
    gi.positions[1]!.apparel = 'gi';
    const { unplayable, blocks } = planClass({ ...request, map: gi, apparel: 'no-gi' });
    expect(unplayable).toEqual(['gather-strip', 'roll-none']);
    expect(blocks.length).toBeGreaterThan(0);
  });
});
