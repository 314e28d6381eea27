import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hold, Target } from '../model/hold.ts';
import { indexMap } from '../model/indexMap.ts';
import { PositionSchema } from '../model/position.ts';
import { guardMap, hold, pattern, signs } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { afterReaction } from './afterReaction.ts';
import { followSteps } from './followSteps.ts';
import { limbConflicts } from './limbConflicts.ts';
import { mirror } from './mirror.ts';
import { translateApparel, translateHold } from './translateApparel.ts';
import { holdWords, patternWords, signWords, wordContext } from './words.ts';

const map = smallMap();
const start = indexMap(map).position.get('start')!;

describe('mirror', () => {
  it('twice gives everything back', () => {
    fc.assert(
      fc.property(hold, (value) => {
        expect(mirror('hold', mirror('hold', value))).toEqual(value);
      }),
    );
    fc.assert(
      fc.property(pattern, (value) => {
        expect(mirror('pattern', mirror('pattern', value))).toEqual(value);
      }),
    );
    fc.assert(
      fc.property(signs, (value) => {
        expect(mirror('signs', mirror('signs', value))).toEqual(value);
      }),
    );
    fc.assert(
      fc.property(guardMap, (value) => {
        for (const position of value.positions) {
          expect(mirror('position', mirror('position', position))).toEqual(position);
        }
        for (const move of value.moves) expect(mirror('move', mirror('move', move))).toEqual(move);
        for (const reaction of value.reactions)
          expect(mirror('reaction', mirror('reaction', reaction))).toEqual(reaction);
        for (const ending of value.endings)
          expect(mirror('ending', mirror('ending', ending))).toEqual(ending);
        for (const exchange of value.exchanges)
          expect(mirror('exchange', mirror('exchange', exchange))).toEqual(exchange);
      }),
    );
  });

  it('swaps contacts, sides, signs and values', () => {
    const other = mirror('position', start);
    expect(other.leadSide).toBe('R');
    expect(other.holds[0]).toMatchObject({ contacts: ['handL'], target: { part: 'collar', side: 'L' } });
    expect(mirror('signs', { 'top.elbowR': 'open', 'top.line': 'knee-L', 'top.lean': 'left' })).toEqual({
      'top.elbowL': 'open',
      'top.line': 'knee-R',
      'top.lean': 'right',
    });
    expect(mirror('move', { ...map.moves[0]!, direction: 90 }).direction).toBe(270);
    expect(mirror('move', { ...map.moves[0]!, direction: 0 }).direction).toBe(0);
  });

  it('turns references over, since what they mean stays as written', () => {
    expect(mirror('exchange', map.exchanges[3]!).to).toEqual({ position: 'start' });
    expect(mirror('exchange', map.exchanges[0]!)).toMatchObject({
      reaction: { id: 'strip-collar', mirrored: true },
      to: { position: 'cross', mirrored: true },
    });
  });
});

describe('limb conflicts', () => {
  it('names the limb and both things it holds', () => {
    const ankle = {
      id: 'ankle',
      contacts: ['handL' as const],
      action: 'grip' as const,
      target: { of: 'top' as const, part: 'ankle' as const, side: 'L' as const },
    };
    const [conflict, ...others] = limbConflicts([...start.holds, ankle], { leadSide: 'L' });
    expect(others).toEqual([]);
    expect(conflict).toMatchObject({
      contact: 'handL',
      words: 'left hand holds the far sleeve at the cuff and the near ankle',
    });
  });

  it('lets an arm overhook while its hand holds the wrist', () => {
    const holds = PositionSchema.parse({
      id: 'p',
      name: 'p',
      holds: [
        {
          id: 'a',
          contacts: ['armL'],
          action: 'overhook',
          target: { of: 'top', part: 'upper-arm', side: 'R' },
        },
        { id: 'b', contacts: ['handL'], action: 'grip', target: { of: 'top', part: 'wrist', side: 'R' } },
      ],
    }).holds;
    expect(limbConflicts(holds, { leadSide: 'L' })).toEqual([]);
  });
});

describe('without a jacket', () => {
  it('sleeve becomes wrist and collar becomes neck, one depth looser', () => {
    const { position, changed, lost, available } = translateApparel(start, 'no-gi');
    expect(position.holds.map((value) => [value.target.part, value.depth])).toEqual([
      ['neck', 'set'],
      ['wrist', 'shallow'],
      ['hip', undefined],
    ]);
    expect(changed).toHaveLength(2);
    expect(lost).toEqual([]);
    expect(available).toBe(true);
  });

  it('the back and the skirt of the jacket and the waist of the trousers go to what is under them', () => {
    const bare = (target: Partial<Target>) =>
      translateHold({ ...start.holds[0]!, target: { of: 'top', part: 'skirt', side: 'R', ...target } }).hold
        ?.target;
    expect(bare({ part: 'jacket-back', side: 'C' })).toEqual({ of: 'top', part: 'back', side: 'C' });
    expect(bare({})).toEqual({ of: 'top', part: 'hip', side: 'R' });
    expect(bare({ side: 'C' })).toEqual({ of: 'top', part: 'waist', side: 'C' });
    expect(bare({ part: 'trousers', at: 'waist' })).toEqual({ of: 'top', part: 'waist', side: 'C' });
  });

  it('takes the first fallback that is not cloth', () => {
    const holds = [
      {
        ...start.holds[0]!,
        fallbacks: [
          { of: 'top', part: 'belt', side: 'C' },
          { of: 'top', part: 'armpit', side: 'R' },
        ],
      },
    ];
    const { position } = translateApparel({ ...start, holds } as typeof start, 'no-gi');
    expect(position.holds[0]!.target).toEqual({ of: 'top', part: 'armpit', side: 'R' });
  });

  it('loses shallow cloth and lapels, and is unavailable when one of them was to be kept', () => {
    const lapel = {
      ...start.holds[0]!,
      target: { of: 'top' as const, part: 'lapel' as const, side: 'R' as const },
      keep: true,
    };
    const result = translateApparel(
      { ...start, holds: [lapel, { ...start.holds[1]!, depth: 'shallow' }] },
      'no-gi',
    );
    expect(result.lost.map(({ why }) => why)).toEqual([
      'there is no lapel to hold',
      'a shallow cloth grip does not hold on a bare body',
    ]);
    expect(result.available).toBe(false);
    expect(result.why).toContain('lapel');
  });

  it('leaves the gi as it is, and a gi-only position is not played no-gi', () => {
    expect(translateApparel(start, 'gi').position).toBe(start);
    expect(translateApparel({ ...start, apparel: 'gi' }, 'no-gi')).toMatchObject({
      available: false,
      why: expect.stringContaining('gi only'),
    });
  });

  it('commutes with the mirror', () => {
    fc.assert(
      fc.property(guardMap, (random) => {
        for (const position of random.positions) {
          const one = translateApparel(mirror('position', position), 'no-gi');
          const other = translateApparel(position, 'no-gi');
          expect(one.position).toEqual(mirror('position', other.position));
          expect(one.available).toBe(other.available);
        }
      }),
    );
  });
});

describe('words', () => {
  it('computes near, far and cross from the lead side and who faces whom', () => {
    const [collar, sleeve] = start.holds;
    expect(holdWords(sleeve!, { leadSide: 'L' })).toBe(
      'left hand grips the far sleeve at the cuff (same-side)',
    );
    expect(holdWords(collar!, { leadSide: 'R' })).toBe('right hand grips the near collar (cross, deep)');
    expect(holdWords(collar!, { leadSide: 'R', facingAway: true })).toBe(
      'right hand grips the near collar (same-side, deep)',
    );
    expect(holdWords(indexMap(map).position.get('cross')!.holds[0]!, { leadSide: 'R' })).toBe(
      'left hand and right hand two-on-one on the near sleeve at the cuff',
    );
  });

  it('calls parts of the jacket by their names, and says that trousers held at the waist slide', () => {
    const grip = (target: Partial<Target>): Hold => ({
      ...start.holds[0]!,
      depth: 'set',
      target: { of: 'top', part: 'skirt', side: 'C', ...target },
    });
    expect(holdWords(grip({}), wordContext(start))).toBe('right hand grips the skirt of the jacket');
    expect(holdWords(grip({ part: 'trousers', at: 'waist' }), wordContext(start))).toBe(
      'right hand grips the trousers at the waist (the trousers slide)',
    );
  });

  it('speaks of what is needed and seen', () => {
    expect(patternWords({ part: 'sleeve', side: 'R' }, { leadSide: 'L' })).toBe('a hold on the far sleeve');
    expect(patternWords({ action: 'underhook' }, { leadSide: 'L' })).toBe('an underhook');
    expect(signWords('top.kneeLineL', 'caught')).toBe("top's left knee line caught");
    expect(signWords('own.torso', 'side-L')).toBe('our torso side left');
  });
});

describe('what happens to the holds', () => {
  it('a reaction breaks what it strips and changes what is seen', () => {
    const { moment, broken } = afterReaction({ ...start }, map.reactions[0]!);
    expect(broken.map(({ id }) => id)).toEqual(['collar']);
    expect(moment.holds.map(({ id }) => id)).toEqual(['sleeve', 'hip']);
    expect(moment.signs['top.handR']).toBe('gripping');
  });

  it('releasing one contact of a shared hold leaves the other holding', () => {
    const cross = indexMap(map).position.get('cross')!;
    const step = { id: 's', text: 't', take: [], release: ['handL' as const], seconds: 1 };
    const { moment, troubles } = followSteps({ ...cross }, [step]);
    expect(moment.holds).toMatchObject([{ id: 'both', contacts: ['handR'] }]);
    expect(troubles).toEqual([]);
  });

  it('a step that needs a busy limb, or lets go of nothing, is told', () => {
    const take = { ...start.holds[1]!, id: 'again', contacts: ['handR' as const] };
    const { troubles } = followSteps({ ...start }, [
      { id: 's', text: 't', take: [take], release: ['footR'], seconds: 1 },
    ]);
    expect(troubles.map(({ trouble, contact }) => [trouble, contact])).toEqual([
      ['not-held', 'footR'],
      ['busy', 'handR'],
    ]);
  });
});
