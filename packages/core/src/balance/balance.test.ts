import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Contact } from '../model/contacts.ts';
import { type Hold, HoldSchema } from '../model/hold.ts';
import { MoveSchema } from '../model/move.ts';
import { PositionSchema } from '../model/position.ts';
import type { Signs } from '../model/signs.ts';
import { bodyModel } from './bodyModel.ts';
import { type Build, LENGTH, SEGMENTS, segmentShares } from './bodyTables.ts';
import { checkSweep } from './checkSweep.ts';
import { convexHull, type Point } from './convexHull.ts';
import { STANCE_NAMES, STANCES, type StanceName } from './stances.ts';
import { heading, tipping } from './tipping.ts';
import { type Post, tippingProfile } from './tippingProfile.ts';
import { stanceOf, topSetup } from './topSetup.ts';
import { weakestArc } from './weakestArc.ts';

const point: fc.Arbitrary<Point> = fc.tuple(
  fc.integer({ min: -40, max: 40 }).map((n) => n / 10),
  fc.integer({ min: -40, max: 40 }).map((n) => n / 10),
);
const usual = { stature: 1.75, mass: 80 };
const least = (list: { guarded: number }[]) => Math.min(...list.map(({ guarded }) => guarded));
const profile = (stance: StanceName, blocked: Contact[] = [], more: object = {}) =>
  tippingProfile({ ...usual, stance, blocked: blocked.map((contact) => ({ contact })), ...more });

describe('statics', () => {
  // Any statics text, e.g. OpenStax University Physics 1, ch. 12: exact.
  it('a block pushed at height z tips when F = W·b/z, and slides first when pushed low on a slippery floor', () => {
    const square: Point[] = [
      [-0.2, -0.2],
      [0.2, -0.2],
      [0.2, 0.2],
      [-0.2, 0.2],
    ];
    const block = { polygon: square, com: [0, 0] as Point, height: 0.5, degrees: 90, mass: 10 };
    const high = tipping({ ...block, forceHeight: 1 });
    expect(high.force).toBeCloseTo((10 * 9.81 * 0.2) / 1, 10);
    expect(tipping(block).force).toBeCloseTo((10 * 9.81 * 0.2) / 0.5, 10);
    expect(high.slides).toBe(false);
    expect(tipping({ ...block, forceHeight: 0.25, friction: 0.6 }).slides).toBe(true);
    expect(() => tipping({ ...block, forceHeight: 0 })).toThrow(RangeError);
  });

  it('a block on a slope tips at tan θ = b/h, and lifting it over the edge costs m·g·(√(h²+b²) − h)', () => {
    const block: Point[] = [
      [-0.3, -0.1],
      [0.3, -0.1],
      [0.3, 0.1],
      [-0.3, 0.1],
    ];
    const { tipAngle, energy } = tipping({ polygon: block, com: [0, 0], height: 0.4, degrees: 0, mass: 50 });
    expect(Math.tan((tipAngle * Math.PI) / 180)).toBeCloseTo(0.1 / 0.4, 12);
    expect(energy).toBeCloseTo(50 * 9.81 * (Math.hypot(0.4, 0.1) - 0.4), 10);
  });

  it('outside of the polygon the margin is the distance left behind, in the direction of the fall', () => {
    const square: Point[] = [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ];
    const at = (degrees: number) =>
      tipping({ polygon: square, com: [1.5, 0.5], height: 1, degrees, mass: 1 });
    expect(at(90).margin).toBeCloseTo(-0.5);
    expect(at(45).margin).toBeCloseTo(-0.5 * Math.SQRT1_2);
    expect(at(270).margin).toBeCloseTo(0);
    expect(at(90)).toMatchObject({ tipAngle: 0, energy: 0, force: 0, slides: false });
    // Two points on a line are no base: never inside.
    expect(
      tipping({
        polygon: [
          [-1, 0],
          [1, 0],
        ],
        com: [0, 0.2],
        height: 1,
        degrees: 0,
        mass: 1,
      }).margin,
    ).toBeCloseTo(-0.2);
    expect(tipping({ polygon: [], com: [0, 0], height: 1, degrees: 0, mass: 1 }).margin).toBe(0);
  });

  it('the hull holds every point and has only points of its own, as brute force finds', () => {
    fc.assert(
      fc.property(fc.array(point, { maxLength: 12 }), (points) => {
        const hull = convexHull(points);
        for (const corner of hull) expect(points).toContainEqual(corner);
        // A pair of points is an edge when all others lie on its left: those are exactly the hull's edges.
        if (hull.length < 3) return;
        const left = (a: Point, b: Point, c: Point) =>
          (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) >= -1e-9;
        for (const [i, a] of hull.entries())
          for (const c of points) expect(left(a, hull[(i + 1) % hull.length]!, c)).toBe(true);
      }),
    );
  });

  it('the margin is where a walk along the ray leaves the hull', () => {
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 3, maxLength: 9 }),
        fc.integer({ min: 0, max: 359 }),
        (points, degrees) => {
          const hull = convexHull(points);
          if (hull.length < 3) return;
          const com: Point = [
            hull.reduce((sum, [x]) => sum + x, 0) / hull.length,
            hull.reduce((sum, [, y]) => sum + y, 0) / hull.length,
          ];
          const inside = ([x, y]: Point) =>
            hull.every(([ax, ay], i) => {
              const [bx, by] = hull[(i + 1) % hull.length]!;
              return (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= -1e-9;
            });
          const [dx, dy] = heading(degrees);
          let [low, high] = [0, 20];
          for (let i = 0; i < 60; i++) {
            const middle = (low + high) / 2;
            if (inside([com[0] + dx * middle, com[1] + dy * middle])) low = middle;
            else high = middle;
          }
          expect(tipping({ polygon: points, com, height: 1, degrees, mass: 1 }).margin).toBeCloseTo(low, 5);
        },
      ),
    );
  });
});

describe('the body', () => {
  it('has segments that sum to one, for both tables and between them', () => {
    for (const build of ['men', 'women', 'average'] as Build[]) {
      const share = segmentShares(build);
      const sum = SEGMENTS.reduce(
        (s, name) => s + share[name] * (name === 'head' || name === 'trunk' ? 1 : 2),
        0,
      );
      expect(sum).toBeCloseTo(1, 12);
    }
    // de Leva (1996), from memory: the trunk is 43.46 % of a man and 42.57 % of a woman.
    expect(segmentShares('men').trunk).toBeCloseTo(0.4346, 4);
    expect(segmentShares('women').trunk).toBeCloseTo(0.4257, 3);
  });

  it('stands with its centre of mass at 0.56 ± 0.01 of its height', () => {
    // Winter, Biomechanics and Motor Control of Human Movement, from memory; this model gives 0.562 for men.
    const height = bodyModel(STANCES.upright, 1.8, 'men').com[2] / 1.8;
    expect(Math.abs(height - 0.56)).toBeLessThanOrEqual(0.01);
    expect(height).toBeCloseTo(0.562, 2);
    const { crown } = bodyModel(STANCES.upright, 1.8).joints;
    expect(crown![2] / 1.8).toBeCloseTo(1, 6);
  });

  const TOUCHES: Record<StanceName, Contact[]> = {
    standing: ['footL', 'footR'],
    upright: ['footL', 'footR'],
    staggered: ['footL', 'footR'],
    squatting: ['footL', 'footR'],
    'half-kneeling': ['footL', 'footR', 'legL'],
    kneeling: ['footL', 'footR', 'legL', 'legR'],
    'kneeling-upright': ['footL', 'footR', 'legL', 'legR'],
    'kneeling-sat-back': ['footL', 'footR', 'hips', 'legL', 'legR'],
    'all-fours': ['footL', 'footR', 'handL', 'handR', 'legL', 'legR'],
    tripod: ['footL', 'footR', 'handL', 'handR'],
    'leg-lifted': ['footL'],
    'left-leg-lifted': ['footR'],
    seated: ['footL', 'footR', 'handL', 'handR', 'hips'],
    'on-back': ['back', 'footL', 'footR', 'hips'],
  };
  it.each(
    STANCE_NAMES,
  )('touches the mat where the stance "%s" says, and does not fall over by itself', (name) => {
    const { patches, com } = bodyModel(STANCES[name], 1.75);
    expect(patches.map(({ contact }) => contact).sort()).toEqual(TOUCHES[name]);
    const polygon = patches.flatMap(({ points }) => points);
    for (let degrees = 0; degrees < 360; degrees += 15) {
      const { margin } = tipping({ polygon, com: [com[0], com[1]], height: com[2], degrees, mass: 80 });
      expect(margin, `${degrees}`).toBeGreaterThan(0);
    }
  });

  it('is as heavy low down as physics says: the lower the stance, the lower the centre of mass', () => {
    const order: StanceName[] = [
      'standing',
      'squatting',
      'kneeling-upright',
      'all-fours',
      'seated',
      'on-back',
    ];
    const heights = order.map((name) => bodyModel(STANCES[name], 1.75).com[2]);
    expect(heights).toEqual([...heights].sort((a, b) => b - a));
    const arm = LENGTH.upperArm + LENGTH.forearm + LENGTH.hand;
    expect(arm).toBeCloseTo(0.44);
  });
});

describe('the tipping rose', () => {
  it.each([
    'standing',
    'kneeling',
    'squatting',
    'all-fours',
    'tripod',
    'seated',
  ] as StanceName[])('of the symmetric stance "%s" is symmetric', (stance) => {
    const { directions } = profile(stance);
    const at = (degrees: number) => directions.find((direction) => direction.degrees === degrees % 360)!;
    for (const { degrees, margin, guarded } of directions) {
      expect(at(360 - degrees).margin).toBeCloseTo(margin, 9);
      expect(at(360 - degrees).guarded).toBeCloseTo(guarded, 9);
    }
  });

  it('never gains from a blocked post and never loses from an added one', () => {
    const contacts: Contact[] = ['handL', 'handR', 'footL', 'footR', 'legL', 'legR', 'head'];
    fc.assert(
      fc.property(
        fc.constantFrom(...STANCE_NAMES),
        fc.uniqueArray(fc.constantFrom(...contacts), { maxLength: 3 }),
        fc.constantFrom(...contacts),
        fc.tuple(point, point, point).map((patch) => patch.map(([x, y]): Point => [x / 4, y / 4])),
        (stance, blocked, other, patch) => {
          // A body that falls already may fall between two of the directions asked for: there the distance left behind
          // comes from its parts to the front, the right, the back and the left.
          const margins = (b: Contact[], added: Post[] = []) => {
            const { directions } = profile(stance, b, { added });
            const lowest = Math.min(...directions.map(({ margin }) => margin));
            if (lowest >= 0) return lowest;
            const parts = directions.filter(({ degrees }) => degrees % 90 === 0);
            return -Math.hypot(...parts.map(({ margin }) => margin));
          };
          const before = margins(blocked);
          if (Number.isFinite(before) && profile(stance, [...blocked, other]).patches.length > 0)
            expect(margins([...blocked, other])).toBeLessThanOrEqual(before + 1e-9);
          if (profile(stance, blocked).patches.length > 0 && !blocked.includes(other))
            expect(margins(blocked, [{ contact: other, patch }])).toBeGreaterThanOrEqual(before - 1e-9);
        },
      ),
      {
        examples: [
          [
            'squatting',
            ['legL'],
            'handL',
            [
              [0.25, -0.05],
              [0.25, -0.05],
              [0.3, 0.375],
            ],
          ],
        ],
      },
    );
  });

  it('is weakest, re-posts counted, towards the side of a trapped arm of a kneeling opponent', () => {
    for (const [hand, side] of [
      ['handR', 1],
      ['handL', -1],
    ] as const) {
      const { directions } = profile('kneeling', [hand]);
      const weakest = directions.filter(({ guarded }) => guarded <= least(directions) + 1e-9);
      for (const { degrees } of weakest)
        expect(Math.sin((degrees * Math.PI) / 180) * side).toBeGreaterThan(0.3);
      // On the mat nothing has changed.
      const free = profile('kneeling');
      for (const [i, { margin }] of directions.entries()) expect(margin).toBe(free.directions[i]!.margin);
    }
  });

  it('knows a head on the mat as a shorter base than an extended hand', () => {
    const { directions } = tippingProfile({ ...usual, stance: 'kneeling-upright', degrees: [0, 30] });
    for (const { reposts } of directions) {
      const reach = (contact: Contact) => reposts.find((post) => post.contact === contact)!.reach;
      expect(reach('head')).toBeLessThan(reach('handR'));
    }
    // Put down, each in its own direction: the head in front, the hand to its side.
    const margin = (contact: Contact, degrees: number) =>
      tippingProfile({ ...usual, stance: 'kneeling-upright', added: [{ contact }], degrees: [degrees] })
        .directions[0]!.margin;
    expect(margin('head', 0)).toBeLessThan(margin('handR', 60));
  });

  it('leaves a narrow base when one leg is lifted and the other one hooked', () => {
    const { directions, patches } = profile('leg-lifted', ['legR'], { pinned: ['footL'] });
    expect(patches.map(({ contact }) => contact)).toEqual(['footL']);
    expect(
      Math.max(...directions.filter(({ degrees }) => degrees % 180 === 90).map(({ margin }) => margin)),
    ).toBeLessThan(0.1);
    for (const { reposts } of directions)
      expect(reposts.some(({ contact }) => contact.startsWith('foot'))).toBe(false);
  });

  it('falls sooner with the weight forward, and refuses builds that no human has', () => {
    const front = (shift: Point) => profile('kneeling', [], { shift }).directions[0]!.margin;
    expect(front([0, 0.1])).toBeLessThan(front([0, 0]));
    expect(() => profile('kneeling', [], { stature: 3 })).toThrow('between 1.2 and 2.2 m');
    expect(() => profile('kneeling', [], { mass: 5 })).toThrow('between 25 and 200 kg');
  });
});

describe('what the map means for balance', () => {
  it('reads the stance from the signs', () => {
    expect(stanceOf({})).toBe('kneeling-upright');
    expect(stanceOf({ 'top.posture': 'leaning' })).toBe('kneeling');
    expect(stanceOf({ 'top.weight': 'back' })).toBe('kneeling-sat-back');
    expect(stanceOf({ 'top.stance': 'standing', 'top.legR': 'lifted' })).toBe('leg-lifted');
    expect(stanceOf({ 'top.stance': 'all-fours', 'top.weight': 'forward', 'top.posture': 'leaning' })).toBe(
      'tripod',
    );
  });

  it('takes hands away, pins feet, and lifts light legs', () => {
    const setup = topSetup({
      holds: [
        { id: 'a', contacts: ['handR'], action: 'grip', target: { of: 'top', part: 'sleeve', side: 'R' } },
        { id: 'b', contacts: ['armL'], action: 'wrap', target: { of: 'top', part: 'ankle', side: 'R' } },
      ],
      signs: { 'top.legL': 'lifted', 'top.handL': 'posted', 'top.weight': 'forward', 'top.base': 'wide' },
    });
    expect(setup.blocked.map(({ contact }) => contact).sort()).toEqual(['handR', 'legL']);
    expect(setup.pinned).toEqual(['footR']);
    expect(setup.added).toEqual([{ contact: 'handL' }]);
    expect(setup.shift[1]).toBeGreaterThan(0);
    expect(setup.spread).toBeGreaterThan(0);
  });

  it('says of a sweep whether it goes where top is weakest, what holds and what is free', () => {
    const position = PositionSchema.parse({
      id: 'p',
      name: 'Over-under',
      signs: { 'top.posture': 'leaning' },
      holds: [
        {
          id: 'o',
          contacts: ['armR'],
          action: 'overhook',
          target: { of: 'top', part: 'upper-arm', side: 'L' },
        },
      ],
    });
    const sweep = (direction?: number) =>
      MoveSchema.parse({ id: 'm', position: 'p', look: 'l', name: 'Sweep', kind: 'sweep', direction });
    const right = checkSweep(position, sweep(300));
    expect(right).toMatchObject({ weakest: true, free: [], direction: 300 });
    expect(right.held.map(({ post }) => post)).toEqual(['handL']);
    expect(right.verdict).toContain('right arm overhooks');
    const wrong = checkSweep(position, sweep(60));
    expect(wrong.weakest).toBe(false);
    expect(wrong.free.map(({ contact }) => contact)).toContain('handR');
    expect(wrong.verdict).toContain("top's right hand can still come down");
    expect(checkSweep(position, sweep()).verdict).toContain('Say which way');
  });
});

describe('what a chop, a bump and a carried leg take away (arcs: common practice, no published source)', () => {
  const hold = (contact: Contact | Contact[], action: string, part: string, side = 'R') =>
    HoldSchema.parse({
      id: `${contact}-${part}`,
      contacts: [contact].flat(),
      action,
      target: { of: 'top', part, side },
    });
  const sleeve = hold('handL', 'grip', 'sleeve');
  const arcOf = (signs: Signs, ...holds: Hold[]) => {
    const setup = topSetup({ holds, signs });
    return { setup, arc: weakestArc(tippingProfile({ ...setup, stature: 1.72, mass: 75 })) };
  };
  const kneeling: Signs = { 'top.stance': 'kneeling', 'top.handR': 'trapped' };

  it('a scissor sends a kneeling top over the chopped knee, 75 to 90°', () => {
    for (const chop of [
      hold('legL', 'press', 'knee'),
      hold('legL', 'wedge', 'knee'),
      hold('footL', 'place', 'knee'),
    ]) {
      const { arc, setup } = arcOf(
        { ...kneeling, 'top.weight': 'forward' },
        sleeve,
        hold('legR', 'shield', 'waist', 'C'),
        chop,
      );
      expect(setup.blocked.map(({ contact }) => contact)).toContain('legR');
      expect([...arc]).toEqual(expect.arrayContaining([75, 90]));
      expect(arc.has(180) || arc.has(270) || arc.has(0)).toBe(false);
    }
    // A hand at the knee chops nothing, and who stands keeps the foot where it is.
    expect(
      arcOf(kneeling, hold('handL', 'press', 'knee')).setup.blocked.map(({ contact }) => contact),
    ).toEqual(['handR']);
    expect(arcOf({ 'top.stance': 'standing' }, hold('legL', 'press', 'knee')).setup.pinned).toEqual([
      'footR',
    ]);
  });

  it('a hip bump sends them back over the side of the wrapped arm, 120 to 135°, upright and sat back', () => {
    const bump = hold('hips', 'press', 'waist', 'C');
    const wrapped = hold('armR', 'wrap', 'upper-arm');
    for (const weight of ['centred', 'back'] as const) {
      const signs: Signs = { 'top.stance': 'kneeling', 'top.posture': 'upright', 'top.weight': weight };
      const { arc } = arcOf(signs, wrapped, bump);
      expect([...arc], weight).toEqual(expect.arrayContaining([120, 135]));
      expect(arc.has(60) || arc.has(195) || arc.has(270), weight).toBe(false);
    }
    const other = arcOf(
      { 'top.stance': 'kneeling', 'top.posture': 'upright' },
      hold('armR', 'wrap', 'upper-arm', 'L'),
      bump,
    );
    expect([...other.arc]).toEqual(expect.arrayContaining([225, 240]));
  });

  it('who stands on one leg because the other is carried stands over it, and tilts to the carried side', () => {
    for (const [side, towards] of [
      ['R', [75, 90]],
      ['L', [270, 285]],
    ] as const) {
      const signs: Signs = {
        'top.stance': 'standing',
        [`top.leg${side}`]: 'light',
        [`top.hand${side}`]: 'trapped',
      };
      const { setup, arc } = arcOf(signs);
      const profile = tippingProfile({ ...setup, stature: 1.72, mass: 75 });
      expect(Math.min(...profile.directions.map(({ margin }) => margin)), side).toBeGreaterThan(0);
      expect([...arc]).toEqual(expect.arrayContaining([...towards]));
    }
  });
});
