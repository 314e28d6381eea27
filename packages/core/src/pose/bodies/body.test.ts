import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addOverlaps } from '../solve/collisions.ts';
import { dampedStep } from '../solve/dampedStep.ts';
import { winding } from '../solve/hookRoutes.ts';
import { ALL_UNKNOWNS, NormalEquations } from '../solve/normalEquations.ts';
import { align, beyond, face, keepApart, meet, touch } from '../solve/residuals.ts';
import { Body, type BodyState } from './body.ts';
import { landmark } from './landmarks.ts';
import { mirrorPoint, mirrorPose } from './mirrorPose.ts';
import { BOTTOM, type Pair, TOP } from './pair.ts';
import { ARM, AVERAGE_BUILD, FRAMES, LEG, LIMITS, SIDES, SPINE, UNKNOWNS } from './skeleton.ts';
import { dot, length, rotation, sub, unit, type Vec3 } from './vec3.ts';

const small = fc.double({ min: -1, max: 1, noNaN: true });
const vector: fc.Arbitrary<Vec3> = fc.tuple(small, small, small);
const direction = vector.filter((v) => length(v) > 0.1).map(unit);
const state: fc.Arbitrary<BodyState> = fc
  .tuple(
    vector,
    direction,
    fc.double({ min: -3, max: 3, noNaN: true }),
    fc.array(fc.double({ min: 0.02, max: 0.98, noNaN: true }), { minLength: UNKNOWNS, maxLength: UNKNOWNS }),
  )
  .map(([place, axis, angle, shares]) => ({
    place,
    turn: rotation(axis, angle),
    angles: Float64Array.from(shares, (share, i) => {
      if (i < SPINE) return 0;
      const [least, most] = LIMITS[i]!;
      return least + share * (most - least);
    }),
  }));
const pair = (bottom: BodyState, top: BodyState): Pair => {
  const bodies: Pair = [new Body(AVERAGE_BUILD), new Body(AVERAGE_BUILD)];
  bodies[BOTTOM].load(bottom);
  bodies[TOP].load(top);
  return bodies;
};
/** How the energy of some residuals really changes with every unknown, by small steps both ways. */
function slopes(bodies: Pair, add: (eq: NormalEquations) => void): number[] {
  const energyAt = () => {
    const eq = new NormalEquations(bodies);
    add(eq);
    return eq.energy;
  };
  const tiny = 1e-6;
  return Array.from({ length: ALL_UNKNOWNS }, (_, n) => {
    const body = bodies[n < UNKNOWNS ? BOTTOM : TOP];
    const at = n % UNKNOWNS;
    const before = body.save();
    const energies = [tiny, -tiny].map((by) => {
      const step = new Float64Array(UNKNOWNS);
      step[at] = by;
      body.move(step, 0);
      const energy = energyAt();
      body.load(before);
      return energy;
    });
    return (energies[0]! - energies[1]!) / (2 * tiny);
  });
}
function expectTrueGradient(bodies: Pair, add: (eq: NormalEquations) => void): void {
  const eq = new NormalEquations(bodies);
  add(eq);
  const real = slopes(bodies, add);
  const size = Math.max(1, ...real.map(Math.abs));
  for (const [n, slope] of real.entries())
    expect(Math.abs(2 * eq.right[n]! - slope)).toBeLessThan(2e-4 * size);
}

describe('a body', () => {
  it('keeps its lengths however it is bent, and its joints within their limits however it is moved', () => {
    fc.assert(
      fc.property(
        state,
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: UNKNOWNS, maxLength: UNKNOWNS }),
        (from, by) => {
          const body = new Body(AVERAGE_BUILD);
          body.load(from);
          body.move(Float64Array.from(by), 0);
          const { thigh, shank, upperArm, foreArm } = body.lengths;
          for (const side of SIDES) {
            const leg = LEG[side];
            const arm = ARM[side];
            const apart = (a: number, b: number) => length(sub(body.origin(a), body.origin(b)));
            expect(apart(leg.thigh, leg.shank)).toBeCloseTo(thigh, 12);
            expect(apart(leg.shank, leg.foot)).toBeCloseTo(shank, 12);
            expect(apart(arm.upper, arm.fore)).toBeCloseTo(upperArm, 12);
            expect(apart(arm.fore, arm.hand)).toBeCloseTo(foreArm, 12);
          }
          for (const [i, [least, most]] of LIMITS.entries()) {
            expect(body.angles[i]).toBeGreaterThanOrEqual(least);
            expect(body.angles[i]).toBeLessThanOrEqual(most);
          }
        },
      ),
    );
  });

  it('bends a knee back and an elbow to the front: nothing bends the wrong way', () => {
    const body = new Body(AVERAGE_BUILD);
    for (const side of SIDES) {
      body.angles[LEG[side].angle + 3] = 1;
      body.angles[ARM[side].angle + 5] = 1;
    }
    body.forward();
    for (const side of SIDES) {
      expect(body.origin(LEG[side].foot)[1]).toBeLessThan(body.origin(LEG[side].shank)[1] - 0.1);
      expect(body.origin(ARM[side].hand)[1]).toBeGreaterThan(body.origin(ARM[side].fore)[1] + 0.1);
    }
  });

  it('knows a point of the world in the terms of each of its frames', () => {
    fc.assert(
      fc.property(state, vector, fc.integer({ min: 0, max: FRAMES - 1 }), (from, p, frame) => {
        const body = new Body(AVERAGE_BUILD);
        body.load(from);
        const back = body.point(frame, body.local(frame, p));
        expect(length(sub(back, p))).toBeLessThan(1e-12);
      }),
    );
  });

  it('is reflected limb by limb, and reflected twice it is what it was', () => {
    fc.assert(
      fc.property(state, state, vector, (bottom, top, at) => {
        const [turned] = mirrorPose([bottom, top]);
        const [again] = mirrorPose(mirrorPose([bottom, top]));
        expect(again).toEqual(bottom);
        const [one, other] = [new Body(AVERAGE_BUILD), new Body(AVERAGE_BUILD)];
        one.load(bottom);
        other.load(turned);
        for (const limbs of [ARM, LEG])
          for (const [l, r] of [
            ['L', 'R'],
            ['R', 'L'],
          ] as const)
            for (const [bone, frame] of Object.entries(limbs[l])) {
              if (bone === 'angle') continue;
              const twin = limbs[r][bone as keyof (typeof limbs)['L']] as number;
              const reflected = other.point(twin, mirrorPoint(at));
              expect(length(sub(reflected, mirrorPoint(one.point(frame as number, at))))).toBeLessThan(1e-9);
            }
        for (const [a, b] of [
          ['L', 'R'],
          ['R', 'L'],
        ] as const) {
          // A step of just half a turn may be counted either way round: the same but for whole turns.
          const turns = (winding(other, a, other, b) + winding(one, b, one, a)) / (2 * Math.PI);
          expect(Math.abs(turns - Math.round(turns))).toBeLessThan(1e-6);
          expect(Math.abs(turns)).toBeLessThan(1.5);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('residuals', () => {
  const tip = (who: 0 | 1, frame: number, at: Vec3) => ({ who, frame, at });
  it('say truly how they change with every joint of both bodies', () => {
    fc.assert(
      fc.property(state, state, vector, direction, direction, (bottom, top, at, one, other) => {
        const bodies = pair(bottom, top);
        const hand = tip(BOTTOM, ARM.R.hand, [at[0] * 0.05, at[1] * 0.05, -0.07]);
        const foot = tip(TOP, LEG.L.foot, [0, 0.05, at[2] * 0.03]);
        const mark = landmark(bodies[TOP], { of: 'top', part: 'shin', side: 'L' })!;
        const place = { who: TOP, mark } as const;
        expectTrueGradient(bodies, (eq) => touch(eq, hand, place, 0.03, 0.1));
        expectTrueGradient(bodies, (eq) => touch(eq, hand, place, 0.03, 0.1, 3));
        expectTrueGradient(bodies, (eq) => meet(eq, hand, foot, 0.1));
        expectTrueGradient(bodies, (eq) => keepApart(eq, hand, foot, 0.2, 0.1));
        expectTrueGradient(bodies, (eq) =>
          align(eq, { ...hand, at: one }, { ...foot, at: other }, -0.5, 0.4),
        );
        expectTrueGradient(bodies, (eq) => beyond(eq, hand, foot, one, 3, 0.1));
      }),
      { numRuns: 15 },
    );
  });

  it('of what faces a fixed spot and of what overlaps, too', () => {
    fc.assert(
      fc.property(state, state, direction, (bottom, top, normal) => {
        const bodies = pair({ ...bottom, place: [0, 0, 0] }, { ...top, place: [0.05, 0.1, 0] });
        const mark = landmark(bodies[TOP], { of: 'top', part: 'chest', side: 'L' })!;
        const palm = tip(BOTTOM, ARM.L.hand, [0, 0, -0.07]);
        expectTrueGradient(bodies, (eq) => face(eq, palm, normal, { who: TOP, mark }, 0.4, 2));
        const shares = { between: 0.9, within: 0.9 };
        const deep = addOverlaps(bodies, shares, 1);
        const eq = new NormalEquations(bodies);
        expect(addOverlaps(bodies, shares, 0.1, eq)).toBe(deep);
        expect(eq.energy > 0).toBe(deep > 0);
      }),
      { numRuns: 15 },
    );
  });
});

describe('a damped step', () => {
  it('solves its equations, whatever is tied to what', () => {
    const row = fc.tuple(
      fc.uniqueArray(fc.integer({ min: 0, max: ALL_UNKNOWNS - 1 }), { minLength: 1, maxLength: 12 }),
      fc.double({ min: -3, max: 3, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(row, { maxLength: 120 }), fc.constantFrom(1e-3, 1e-1, 10), (rows, damping) => {
        const matrix = new Float64Array(ALL_UNKNOWNS * ALL_UNKNOWNS);
        const right = new Float64Array(ALL_UNKNOWNS);
        for (const [used, r] of rows)
          for (const [k, i] of used.entries()) {
            const ji = 1 + k / 7;
            right[i] = right[i]! + ji * r;
            for (const [m, j] of used.entries())
              if (j <= i) matrix[i * ALL_UNKNOWNS + j]! += ji * (1 + m / 7);
          }
        const step = dampedStep(matrix, right, damping)!;
        for (let i = 0; i < ALL_UNKNOWNS; i++) {
          let sum = (matrix[i * ALL_UNKNOWNS + i]! * damping + 2 * damping + 1e-6) * step[i]!;
          for (let j = 0; j < ALL_UNKNOWNS; j++)
            sum += (j <= i ? matrix[i * ALL_UNKNOWNS + j]! : matrix[j * ALL_UNKNOWNS + i]!) * step[j]!;
          expect(sum).toBeCloseTo(-right[i]!, 6);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('the angle a leg sweeps', () => {
  it('is none past a leg far beside, and half a turn and more round one it goes about', () => {
    const bodies = pair(new Body(AVERAGE_BUILD).save(), {
      ...new Body(AVERAGE_BUILD).save(),
      place: [3, 0, 1],
    });
    expect(Math.abs(winding(bodies[BOTTOM], 'L', bodies[TOP], 'R'))).toBeLessThan(0.2);
    expect(dot([0, 0, 1], bodies[BOTTOM].direction(0, [0, 0, 1]))).toBe(1);
  });
});
