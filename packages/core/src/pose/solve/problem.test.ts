import { describe, expect, it } from 'vitest';
import { mirror } from '../../body/mirror.ts';
import { CONTACTS } from '../../model/contacts.ts';
import { HOLD_ACTIONS, HoldSchema, PARTS, type Target } from '../../model/hold.ts';
import { FACETS, type Signs } from '../../model/signs.ts';
import { Body } from '../bodies/body.ts';
import { landmark } from '../bodies/landmarks.ts';
import { BOTTOM, type Pair, TOP } from '../bodies/pair.ts';
import { bottomPreset, presetTurn, supportPoints, topPreset } from '../bodies/presets.ts';
import { AVERAGE_BUILD, LEG, LIMITS, SPINE, UNKNOWNS } from '../bodies/skeleton.ts';
import { degrees, length, sub } from '../bodies/vec3.ts';
import { holdTerms } from './holdTerms.ts';
import { routeOf } from './hookRoutes.ts';
import { NormalEquations } from './normalEquations.ts';
import { posedHolds, poseProblem, startYaws } from './poseProblem.ts';

const AVERAGE = [AVERAGE_BUILD, AVERAGE_BUILD] as const;
const hold = (contacts: string[], action: string, target: object, id = 'h') =>
  HoldSchema.parse({ id, contacts, action, target });
const posed = (
  holds: ReturnType<typeof hold>[],
  signs: Signs = {},
  topHolds: ReturnType<typeof hold>[] = [],
) => ({
  id: 'p',
  holds,
  topHolds,
  signs,
});

describe('presets', () => {
  const presets = [
    ...FACETS['top.stance'].flatMap((stance) =>
      FACETS['top.posture'].map((posture) => topPreset({ 'top.stance': stance, 'top.posture': posture })),
    ),
    ...FACETS['own.torso'].flatMap((torso) =>
      FACETS['own.hips'].map((hips) => bottomPreset({ 'own.torso': torso, 'own.hips': hips })),
    ),
  ];
  it('of every stance and torso bend nothing much further than it goes', () => {
    const slack = 0.4;
    for (const { angles } of presets)
      for (let i = SPINE; i < UNKNOWNS; i++) {
        expect(angles[i]).toBeGreaterThanOrEqual(LIMITS[i]![0] - slack);
        expect(angles[i]).toBeLessThanOrEqual(LIMITS[i]![1] + slack);
      }
  });

  it('stand about level on what they stand on', () => {
    for (const preset of presets) {
      const body = new Body(AVERAGE_BUILD);
      body.angles.set(preset.angles);
      body.turn = presetTurn(preset, preset.yaw);
      body.forward();
      const heights = preset.supports
        .flatMap((name) => supportPoints(body, name))
        .map(({ frame, at, height }) => body.point(frame, at)[2] - height);
      if (heights.length > 0) expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(0.55);
    }
  });

  it('of a lifted leg do not stand on it', () => {
    const { supports } = topPreset({ 'top.stance': 'standing', 'top.legL': 'lifted' });
    expect(supports).toEqual(['heel-R', 'toe-R']);
  });
});

describe('landmarks', () => {
  const body = new Body(AVERAGE_BUILD);
  it('are there for every part of a body, the left one the mirror of the right one', () => {
    for (const part of PARTS) {
      const at = (side: 'L' | 'R') =>
        landmark(body, { of: part === 'mat' ? 'mat' : 'top', part, side } as Target);
      const [left, right] = [at('L'), at('R')];
      if (part === 'mat') {
        expect(left).toBeUndefined();
        continue;
      }
      const [x, y, z] = body.point(left!.frame, left!.a);
      // What goes across the trunk begins at the other end.
      const ends = [right!.a, right!.b].map((end) => length(sub([-x, y, z], body.point(right!.frame, end))));
      expect(Math.min(...ends), part).toBeLessThan(1e-12);
      expect(left!.radius).toBe(right!.radius);
    }
  });
});

describe('what holds ask for', () => {
  it('is known for every contact, action and part: it can be summed up anywhere, and says how far off it is', () => {
    const bodies: Pair = [new Body(AVERAGE_BUILD), new Body(AVERAGE_BUILD)];
    bodies[TOP].place = [0.1, 0.6, 1];
    bodies[TOP].forward();
    const eq = new NormalEquations(bodies);
    for (const contact of CONTACTS)
      for (const action of HOLD_ACTIONS)
        for (const part of PARTS) {
          const of = part === 'mat' ? 'mat' : 'top';
          const one = hold([contact], action, { of, part, side: 'L' });
          const terms = holdTerms(bodies, posed([one]), one, BOTTOM);
          eq.clear();
          for (const term of terms.terms) term(eq);
          expect(Number.isFinite(eq.energy), `${contact} ${action} ${part}`).toBe(true);
          for (const error of terms.errors) expect(error()).toBeGreaterThanOrEqual(0);
        }
  });

  it('of two arms by two holds on one thing is one hug', () => {
    const [left, right] = [
      hold(['armL'], 'wrap', { of: 'top', part: 'shin', side: 'R' }, 'l'),
      hold(['armR'], 'wrap', { of: 'top', part: 'shin', side: 'R' }, 'r'),
    ];
    const merged = posedHolds(posed([left, right]));
    expect(merged.map((one) => one.hold.contacts)).toEqual([['armL', 'armR']]);
    expect(posedHolds(posed([left, { ...right, target: { ...right.target, side: 'L' } }]))).toHaveLength(2);
  });

  it('of a leg whose foot holds something else is only about there', () => {
    const pinch = hold(['legL', 'legR'], 'pinch', { of: 'top', part: 'knee', side: 'R' }, 'pinch');
    const foot = hold(['footL'], 'place', { of: 'top', part: 'hip', side: 'R' }, 'foot');
    const bodies: Pair = [new Body(AVERAGE_BUILD), new Body(AVERAGE_BUILD)];
    const energy = (holds: ReturnType<typeof hold>[]) => {
      const eq = new NormalEquations(bodies);
      for (const term of holdTerms(bodies, posed(holds), pinch, BOTTOM).terms) term(eq);
      return eq.energy;
    };
    expect(energy([pinch, foot])).toBeLessThan(energy([pinch]) / 3);
  });
});

describe('the way a hooking foot goes', () => {
  const hook = (side: 'L' | 'R', part: string, on: 'L' | 'R') =>
    hold([`foot${side}`], 'hook', { of: 'top', part, side: on });
  const way = (one: ReturnType<typeof hold>, side: 'L' | 'R', signs: Signs, by: 0 | 1 = BOTTOM) =>
    routeOf({ by, hold: one, position: posed([one], signs) } as Parameters<typeof routeOf>[0], side);
  const standing: Signs = { 'top.stance': 'standing', 'own.torso': 'on-back' };

  it('is outside of a leg that top stands on, inside of one that kneels, behind a knee', () => {
    expect(way(hook('L', 'thigh', 'R'), 'L', standing)).toBe('outside');
    expect(way(hook('L', 'hip', 'R'), 'L', standing)).toBe('outside');
    expect(way(hook('L', 'hip', 'R'), 'L', {})).toBeUndefined();
    expect(way(hook('L', 'thigh', 'R'), 'L', {})).toBe('inside');
    expect(way(hook('L', 'thigh', 'L'), 'L', standing)).toBe('inside');
    expect(way(hook('L', 'knee-crook', 'R'), 'L', standing)).toBe('behind');
    expect(way(hook('L', 'thigh', 'R'), 'L', standing, TOP)).toBe('behind');
  });

  it('is what a hint says', () => {
    const one = hook('L', 'thigh', 'R');
    const position = { ...posed([one], standing), pose: { routes: { footL: 'behind' as const } } };
    expect(routeOf({ by: BOTTOM, hold: one, position } as Parameters<typeof routeOf>[0], 'L')).toBe('behind');
  });
});

describe('a position as a problem', () => {
  it('turns players as hints say, and the mirror image the other way', () => {
    const position = { ...posed([]), pose: { ownYaw: 40, topYaw: -20 } };
    const { presets } = poseProblem(position, AVERAGE);
    expect(presets.map(({ yaw }) => yaw)).toEqual([40, 160]);
    const other = mirror('position', { ...position, looks: [] } as never);
    expect(poseProblem(other, AVERAGE).presets.map(({ yaw }) => yaw)).toEqual([-40, 200]);
    expect(startYaws(position)).toEqual({ own: 40, top: -20 });
    // What is said to begin with can be said as a hint, and changes nothing.
    const turned = posed([], { 'top.facing': 'turned-left' });
    const { own, top } = startYaws(turned);
    const hinted = poseProblem({ ...turned, pose: { ownYaw: own, topYaw: top } }, AVERAGE);
    expect(hinted.presets).toEqual(poseProblem(turned, AVERAGE).presets);
  });

  it('sets a kneeling top back between legs that are closed round the waist, and no other', () => {
    const closed = hold(['legL', 'legR'], 'clamp', { of: 'top', part: 'waist' });
    const knee = (holds: ReturnType<typeof hold>[], signs: Signs) =>
      degrees(poseProblem(posed(holds, signs), AVERAGE).presets[TOP].angles[LEG.L.angle + 3]!);
    expect(knee([closed], {})).toBeGreaterThan(knee([], {}) + 20);
    expect(knee([closed], { 'top.stance': 'standing' })).toBe(knee([], { 'top.stance': 'standing' }));
  });
});
