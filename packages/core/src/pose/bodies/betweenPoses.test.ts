import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { betweenPoses } from './betweenPoses.ts';
import type { BodyState } from './body.ts';
import { UNKNOWNS } from './skeleton.ts';
import { after, length, type Rotation, rotation, sub, unit, type Vec3 } from './vec3.ts';

const part = fc.double({ min: -1, max: 1, noNaN: true });
const vector: fc.Arbitrary<Vec3> = fc.tuple(part, part, part);
const turn = fc
  .tuple(
    vector.filter((v) => length(v) > 0.1),
    fc.oneof(fc.double({ min: -3.1, max: 3.1, noNaN: true }), fc.constant(Math.PI), fc.constant(0)),
  )
  .map(([axis, angle]) => rotation(unit(axis), angle));
const state: fc.Arbitrary<BodyState> = fc
  .tuple(vector, turn, fc.array(part, { minLength: UNKNOWNS, maxLength: UNKNOWNS }))
  .map(([place, to, angles]) => ({ place, turn: to, angles: Float64Array.from(angles) }));
const near = (a: Rotation, b: Rotation) => {
  for (const [i, value] of a.entries()) expect(value).toBeCloseTo(b[i]!, 5);
};

describe('a pose between two', () => {
  it('is the one at the beginning and the other at the end, and a body all the way', () => {
    fc.assert(
      fc.property(state, state, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, t) => {
        const [first] = betweenPoses([from, from], [to, to], 0);
        const [last] = betweenPoses([from, from], [to, to], 1);
        near(first.turn, from.turn);
        near(last.turn, to.turn);
        expect(length(sub(last.place, to.place))).toBeLessThan(1e-9);
        for (const [i, angle] of first.angles.entries()) expect(angle).toBeCloseTo(from.angles[i]!, 12);
        const [between] = betweenPoses([from, from], [to, to], t);
        const m = between.turn;
        const transposed: Rotation = [m[0], m[3], m[6], m[1], m[4], m[7], m[2], m[5], m[8]];
        near(after(m, transposed), [1, 0, 0, 0, 1, 0, 0, 0, 1]);
      }),
    );
  });

  it('has turned half as far half the way', () => {
    const still: BodyState = {
      place: [0, 0, 1],
      turn: rotation([0, 0, 1], 0.3),
      angles: new Float64Array(UNKNOWNS),
    };
    const turned = { ...still, turn: rotation([0, 0, 1], 1.5) };
    const [middle] = betweenPoses([still, still], [turned, turned], 0.5);
    near(middle.turn, rotation([0, 0, 1], 0.9));
  });
});
