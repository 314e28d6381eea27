import type { BodyState } from './body.ts';
import type { PairState } from './pair.ts';
import { ARM, LEG, NECK, SPINE } from './skeleton.ts';
import type { Vec3 } from './vec3.ts';

export const mirrorPoint = ([x, y, z]: Vec3): Vec3 => [-x, y, z];

/** A pose on the other side: reflected in the plane between left and right, each limb taken for its twin. */
export const mirrorPose = ([bottom, top]: PairState): PairState => [mirrorBody(bottom), mirrorBody(top)];

function mirrorBody({ place, turn: m, angles }: BodyState): BodyState {
  const mirrored = angles.slice();
  for (const first of [SPINE, NECK]) {
    mirrored[first + 1] = -angles[first + 1]!;
    mirrored[first + 2] = -angles[first + 2]!;
  }
  for (const limbs of [ARM, LEG]) {
    const [left, right] = [limbs.L.angle, limbs.R.angle];
    const count = limbs === ARM ? 8 : 7;
    for (let i = 0; i < count; i++) {
      mirrored[left + i] = angles[right + i]!;
      mirrored[right + i] = angles[left + i]!;
    }
  }
  return {
    place: mirrorPoint(place),
    turn: [m[0], -m[1], -m[2], -m[3], m[4], m[5], -m[6], m[7], m[8]],
    angles: mirrored,
  };
}
