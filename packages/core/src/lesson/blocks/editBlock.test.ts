import fc from 'fast-check';
import { marked } from 'marked';
import { describe, expect, it } from 'vitest';
import { doseWords, printClass } from '../../formats/printClass.ts';
import { type Block, BlockSchema, isDrilled } from '../../model/blocks/blockKinds.ts';
import { ClassSchema } from '../../model/classPlan.ts';
import { smallMap } from '../../test/smallMap.ts';
import { forkCalls } from '../practise/forkCalls.ts';
import { blockTime, classSeconds } from './blockTime.ts';
import { cheapestCut } from './cheapestCut.ts';
import { canSplit, duplicateBlock, resizeBlock, splitBlock, turnBlock } from './editBlock.ts';
import { linkOf } from './linkOf.ts';
import { matRun } from './matRun.ts';
import { renewLinks, staleLinks } from './renewLinks.ts';

const link = (exchange: string) => ({ exchange, move: exchange, meets: `meets ${exchange}`, seconds: 4 });
const block = (value: object): Block => BlockSchema.parse({ id: 'b', title: 'B', ...value });
const drilled = { links: [link('a'), link('b')], reps: 6, sides: 2, secondsPerRep: 10, demoSeconds: 30 };
const played = { rounds: 4, secondsPerRound: 60 };
/** One of every kind. */
const BLOCKS: Block[] = [
  ...['setup', 'link', 'chain', 'flow', 'fork'].map((kind) => block({ kind, ...drilled })),
  ...['game', 'rounds'].map((kind) => block({ kind, ...played })),
  ...['talk', 'move', 'rest', 'review'].map((kind) => block({ kind, seconds: 120 })),
];
const room = { people: 14, changeOverSeconds: 10 };

describe('blocks of every kind', () => {
  it('run on the clock as long as they take', () => {
    for (const one of BLOCKS)
      for (const people of [1, 2, 3, 14, 31]) {
        const plan = { people, changeOverSeconds: 10, blocks: [one] };
        expect(matRun(plan).reduce((sum, { seconds }) => sum + seconds, 0)).toBe(classSeconds(plan));
      }
  });

  it('begun on the other side say so and take as long; twice turned they are what they were', () => {
    for (const one of BLOCKS.filter(isDrilled)) {
      const turned = turnBlock(one);
      expect(BlockSchema.parse(turned)).toEqual(turned);
      expect(doseWords(turned)).toContain('starting on the other side');
      expect(doseWords(one)).not.toContain('other side');
      expect(blockTime(turned, room)).toEqual(blockTime(one, room));
      expect(turnBlock(turned)).toEqual(one);
    }
  });

  it('made longer or shorter come as near as their reps, rounds or steps allow', () => {
    fc.assert(
      fc.property(fc.constantFrom(...BLOCKS), fc.integer({ min: 60, max: 3000 }), (one, seconds) => {
        const sized = resizeBlock(one, seconds, room);
        const took = blockTime(sized, room).total;
        const step = 'reps' in one ? 4 * one.secondsPerRep : 'rounds' in one ? 2 * one.secondsPerRound : 15;
        if (took > blockTime(resizeBlock(one, 0, room), room).total)
          expect(Math.abs(took - seconds)).toBeLessThanOrEqual(step / 2 + 1e-9);
        expect(BlockSchema.safeParse(sized).success).toBe(true);
      }),
    );
  });

  it('split do as much in two, and twice is twice', () => {
    for (const one of BLOCKS.filter(canSplit)) {
      const [first, second] = splitBlock(one, ['b']);
      expect(second.id).not.toBe(first.id);
      const sum = (key: string) => (first as never)[key] + (second as never)[key];
      for (const key of ['reps', 'rounds', 'seconds'])
        if (key in one) expect(sum(key)).toBe((one as never)[key]);
      expect(duplicateBlock(one, ['b'])).toEqual({ ...one, id: 'b-2' });
    }
    expect(canSplit(block({ kind: 'link', ...drilled, reps: 1 }))).toBe(false);
  });

  it('are kept and read again as they were', () => {
    for (const one of BLOCKS) expect(BlockSchema.parse(JSON.parse(JSON.stringify(one)))).toEqual(one);
    expect(BlockSchema.safeParse({ kind: 'dance', id: 'x', title: 'X' }).success).toBe(false);
  });
});

describe('a class whose map has moved on', () => {
  const map = smallMap();
  const [exchange] = map.exchanges;
  const now = linkOf(map, exchange!);
  const kept = (changes: object) =>
    block({ kind: 'link', ...drilled, links: [{ ...now, ...changes }], secondsPerRep: now.seconds + 6 });

  it('says what the map says otherwise, and what is not in it any more', () => {
    expect(staleLinks(map, [kept({})])).toEqual([]);
    const [renamed] = staleLinks(map, [kept({ move: 'Old name' })]);
    expect(renamed!.now).toEqual(now);
    const [gone] = staleLinks(map, [kept({ exchange: 'gone' })]);
    expect(gone!.now).toBeUndefined();
  });

  it('is mended from the map: words and time are its own, what is gone stays to be run', () => {
    const [mended] = renewLinks(map, [kept({ move: 'Old name', seconds: now.seconds - 1 })]);
    expect(mended).toMatchObject({ links: [now], secondsPerRep: now.seconds + 7 });
    expect(staleLinks(map, [mended!])).toEqual([]);
    const gone = kept({ exchange: 'gone' });
    expect(renewLinks(map, [gone])).toEqual([gone]);
  });

  it('that is too long is cut where it is missed least', () => {
    const more = block({ kind: 'link', ...drilled, id: 'more', resistance: 'guided' });
    const cut = cheapestCut([kept({}), more, block({ kind: 'rest', id: 'w', seconds: 60 })], room);
    expect(cut!.block.id).toBe('more');
    expect(cut!.seconds).toBe(blockTime(more, room).total);
    expect(cheapestCut([kept({})], room)).toBeUndefined();
  });
});

describe('the calls of a fork drill', () => {
  const fork = block({ kind: 'fork', ...drilled, shares: [0.9, 0.1] }) as Extract<Block, { kind: 'fork' }>;

  it('are the same for the same seed, and never the same more than three times running', () => {
    fc.assert(
      fc.property(
        fc.nat(1_000_000),
        fc.constantFrom('even', 'as top gives them', 'where we are weak' as const),
        (seed, weights) => {
          const calls = forkCalls({ ...fork, seed, weights: weights as typeof fork.weights }, 60);
          expect(calls).toEqual(forkCalls({ ...fork, seed, weights: weights as typeof fork.weights }, 60));
          for (let i = 3; i < calls.length; i++)
            expect(new Set(calls.slice(i - 3, i + 1)).size).toBeGreaterThan(1);
        },
      ),
    );
  });

  it('come as their weights say', () => {
    const share = (weights: typeof fork.weights) =>
      forkCalls({ ...fork, weights }, 4000).filter((call) => call === 0).length / 4000;
    expect(share('even')).toBeCloseTo(0.5, 1);
    expect(share('as top gives them')).toBeGreaterThan(0.6);
    expect(share('where we are weak')).toBeLessThan(0.4);
  });

  it('of one answer are that one', () => {
    expect(forkCalls({ ...fork, links: fork.links.slice(0, 1) }, 5)).toEqual([0, 0, 0, 0, 0]);
  });
});

describe('a class on paper', () => {
  const plan = ClassSchema.parse({
    format: 'aftersquall-class',
    version: 1,
    id: 'c',
    name: 'Tuesday *night*',
    map: 'm',
    minutes: 60,
    people: 14,
    apparel: 'gi',
    blocks: BLOCKS.map((one, i) => ({ ...one, id: `b${i}`, title: `Block ${i}: <a> # _b_` })),
  });

  it('is Markdown as others read it, a heading a block with the time it begins', () => {
    const tokens = marked.lexer(printClass(plan));
    const headings = tokens.flatMap((token) => (token.type === 'heading' ? [token] : []));
    expect(headings.map(({ depth }) => depth)).toEqual([1, ...plan.blocks.map(() => 2)]);
    let at = 0;
    for (const [i, one] of plan.blocks.entries()) {
      const [clock] = (headings[i + 1] as { text: string }).text.split(' ');
      const [minutes, seconds] = clock!.split(':').map(Number);
      expect(minutes! * 60 + seconds!).toBe(at);
      at += blockTime(one, plan).total;
    }
    expect(tokens.some(({ type }) => type === 'html')).toBe(false);
  });
});
