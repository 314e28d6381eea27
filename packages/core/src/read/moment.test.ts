import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mirror } from '../body/mirror.ts';
import { holdsWorn, translateHold } from '../body/translateApparel.ts';
import { parseMapFile } from '../formats/mapFile.ts';
import { indexMap } from '../model/indexMap.ts';
import { guardMap } from '../test/arbitraries.ts';
import {
  differences,
  holdLikeness,
  lackingHolds,
  momentSimilarity,
  nearestPositions,
} from './nearestPositions.ts';
import { readAsTop } from './readAsTop.ts';
import { orderWords, readReaction } from './readReaction.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const index = indexMap(map);
const at = (id: string) => index.position.get(id)!;

describe('how alike two moments are', () => {
  it('counts a hold fully, at another depth 0.8, in the other apparel 0.6, and otherwise not', () => {
    const hold = at('cross-sleeve').holds[0]!;
    expect(holdLikeness(hold, hold)).toBe(1);
    expect(holdLikeness(hold, { ...hold, depth: 'shallow' })).toBe(0.8);
    expect(holdLikeness(hold, translateHold(hold).hold!)).toBe(0.6);
    expect(holdLikeness(translateHold(hold).hold!, hold)).toBe(0.6);
    expect(holdLikeness(hold, mirror('hold', hold))).toBe(0);
  });

  it('is 1 for a moment and itself, the same both ways, and between 0 and 1', () => {
    fc.assert(
      fc.property(guardMap, (random) => {
        for (const a of random.positions) {
          expect(momentSimilarity(a, a)).toBeCloseTo(1, 12);
          for (const b of random.positions) {
            const alike = momentSimilarity(a, b);
            expect(alike).toBeGreaterThanOrEqual(0);
            expect(alike).toBeLessThanOrEqual(1 + 1e-12);
          }
        }
      }),
      { numRuns: 60 },
    );
    const nothing = { holds: [], topHolds: [], signs: {} };
    expect(momentSimilarity(nothing, nothing)).toBe(1);
  });

  it('finds every position of the demo by its holds and signs alone, on either side', () => {
    for (const position of map.positions) {
      const [first] = nearestPositions(map, position, 1);
      expect([first!.position.id, first!.mirrored, first!.similarity], position.id).toEqual([
        position.id,
        false,
        1,
      ]);
      const [turned] = nearestPositions(map, mirror('position', position), 1);
      expect(turned!.similarity, position.id).toBe(1);
    }
  });

  it('says what differs', () => {
    const { holds, topHolds, signs } = at('cross-sleeve');
    const moment = { holds: holds.slice(1), topHolds, signs: { ...signs, 'top.weight': 'forward' as const } };
    const [first] = nearestPositions(map, moment, 1);
    expect(differences(moment, first!)).toEqual([
      { what: 'missing', words: 'right hand grips the near sleeve at the cuff (cross, deep, keep)' },
      { what: 'sign', words: "top's weight forward, not centred" },
    ]);
  });
});

describe('what a position rests on', () => {
  const grips = at('collar-sleeve').holds.filter(({ action }) => action === 'grip');
  const { signs } = at('collar-sleeve');

  it('makes it a position away while it is not there, with what is missing first of all', () => {
    const reading = readReaction(map, { holds: grips, topHolds: [], signs });
    expect(reading.nearest[0]!.lacking).toEqual([]);
    const triangle = nearestPositions(map, { holds: grips, topHolds: [], signs }, 99).find(
      ({ position, mirrored }) => position.id === 'triangle' && !mirrored,
    )!;
    expect(triangle.lacking.map(({ contacts }) => contacts)).toEqual([['legR']]);
    for (const { move, rank, missing } of reading.options.filter(
      ({ from }) => from.position.id === 'triangle',
    )) {
      expect([move.id, rank]).not.toContain('ready');
      expect(missing[0]).toContain('right leg');
    }
    // Stripping the collar makes the locked triangle no nearer.
    const stripped = readReaction(map, {
      holds: grips,
      topHolds: [],
      signs,
      reaction: { id: 'strip-collar' },
    });
    expect(
      stripped.options.filter(({ from, rank }) => from.position.id === 'triangle' && rank === 'ready'),
    ).toEqual([]);
  });

  it('is there at another depth and in the other apparel, too', () => {
    const { holds } = at('triangle');
    expect(lackingHolds({ holds, topHolds: [], signs: {} }, at('triangle'))).toEqual([]);
    const cross = at('cross-sleeve');
    const bare = holdsWorn(cross.holds, 'no-gi');
    expect(lackingHolds({ holds: bare, topHolds: [], signs: {} }, cross)).toEqual([]);
    expect(lackingHolds({ holds: [], topHolds: [], signs: {} }, cross)).toHaveLength(
      cross.holds.filter(({ keep }) => keep).length,
    );
  });
});

describe('reading a moment without naming its position', () => {
  it('gives the answers of the nearest position, and says which', () => {
    const { holds, topHolds, signs } = at('collar-sleeve');
    const reaction = { id: 'strip-collar' };
    const blind = readReaction(map, { holds, topHolds, signs, reaction });
    const named = readReaction(map, { position: 'collar-sleeve', reaction });
    expect(blind.nearest[0]!.position.id).toBe('collar-sleeve');
    expect(blind.options[0]!.move.id).toBe(named.options[0]!.move.id);
    expect(blind.broken).toEqual(named.broken);
    expect(orderWords(blind.options[0]!)).toBe(
      'nothing is missing, works 8 times in 10 when it comes to it, 1 hold change',
    );
  });

  it('answers the mirrored moment with the mirrored answer, for every position and reaction of the demo', () => {
    for (const position of map.positions) {
      const turned = mirror('position', position);
      const reaction = position.looks[0]?.reactions[0];
      const there = readReaction(map, { position: position.id, ...(reaction && { reaction }) });
      const here = readReaction(map, {
        holds: turned.holds,
        topHolds: turned.topHolds,
        signs: turned.signs,
        ...(reaction && { reaction: { id: reaction.id, mirrored: !reaction.mirrored } }),
      });
      const mine = here.options.filter(({ from }) => from.position.id === position.id && from.mirrored);
      for (const option of there.options) {
        const twin = mine.find(({ move }) => move.id === option.move.id);
        if (!twin) continue;
        expect([twin.rank, twin.chance, twin.holdChanges], option.move.id).toEqual([
          option.rank,
          option.chance,
          option.holdChanges,
        ]);
        expect(twin.takes.map((hold) => mirror('hold', hold).target)).toEqual(
          option.takes.map(({ target }) => target),
        );
      }
    }
  });

  it('names one limb on two things and answers for what is possible', () => {
    const { holds, signs } = at('collar-sleeve');
    const twice = {
      ...holds[0]!,
      id: 'twice',
      target: { of: 'top' as const, part: 'ankle' as const, side: 'L' as const },
    };
    const reading = readReaction(map, { holds: [...holds, twice], signs });
    expect(reading.conflicts[0]!.words).toContain('right hand holds');
    expect(reading.options.length).toBeGreaterThan(0);
    expect(readReaction(map, {}).nearest).toHaveLength(4);
  });

  it('carries a verdict of balance with every sweep that says its direction', () => {
    const { options } = readReaction(map, { position: 'butterfly-two' });
    const sweep = options.find(({ move }) => move.id === 'over-under-sweep')!;
    expect(sweep.balance).toMatchObject({ weakest: true });
    expect(options.find(({ move }) => move.kind !== 'sweep')!.balance).toBeUndefined();
  });
});

describe('the same moment read as top', () => {
  it('puts what hurts bottom most first: holes, then what leaves the least', () => {
    const list = readAsTop(map, { position: 'x-guard' });
    expect(list.map(({ hurt }) => hurt)).toEqual([...list.map(({ hurt }) => hurt)].sort((a, b) => b - a));
    expect(list.every(({ listed }) => listed)).toBe(true);
    const all = readAsTop(map, { position: 'x-guard' }, true);
    expect(all.length).toBe(map.reactions.length);
    expect(all[0]!.best).toBeUndefined();
  });

  it('turns with the side', () => {
    const straight = readAsTop(map, { position: 'collar-sleeve' });
    const turned = readAsTop(map, { position: 'collar-sleeve', mirrored: true });
    expect(turned.map(({ hurt }) => hurt)).toEqual(straight.map(({ hurt }) => hurt));
    expect(turned.every(({ ref }) => ref.mirrored)).toBe(true);
  });
});
