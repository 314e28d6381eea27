import type { BodyState } from './body.ts';
import type { PairState } from './pair.ts';
import { after, clamp, length, mix, NO_ROTATION, type Rotation, rotation, scale, type Vec3 } from './vec3.ts';

/** The pose that lies the share t of the way from one to another: joint angles evenly, the pelvis turned the short way. */
export const betweenPoses = (
  [bottom, top]: PairState,
  [toBottom, toTop]: PairState,
  t: number,
): PairState => [betweenBodies(bottom, toBottom, t), betweenBodies(top, toTop, t)];

function betweenBodies(from: BodyState, to: BodyState, t: number): BodyState {
  return {
    place: mix(from.place, to.place, t),
    turn: after(partOf(after(to.turn, transposed(from.turn)), t), from.turn),
    angles: from.angles.map((angle, i) => angle + (to.angles[i]! - angle) * t),
  };
}

const transposed = (m: Rotation): Rotation => [m[0], m[3], m[6], m[1], m[4], m[7], m[2], m[5], m[8]];

/** A share of a rotation about its own axis. */
function partOf(m: Rotation, t: number): Rotation {
  const axis: Vec3 = [m[7] - m[5], m[2] - m[6], m[3] - m[1]];
  const sine = length(axis) / 2;
  const angle = Math.atan2(sine, clamp((m[0] + m[4] + m[8] - 1) / 2, -1, 1));
  if (angle < 1e-9) return NO_ROTATION;
  // Half a turn has no side: the axis is what stays where it is.
  if (sine < 1e-8) return rotation(stillAxis(m), angle * t);
  return rotation(scale(axis, 1 / (2 * sine)), angle * t);
}

function stillAxis(m: Rotation): Vec3 {
  const squares = [(m[0] + 1) / 2, (m[4] + 1) / 2, (m[8] + 1) / 2].map((value) => Math.max(0, value));
  const most = squares.indexOf(Math.max(...squares));
  const columns: Vec3[] = [
    [m[0] + 1, m[3], m[6]],
    [m[1], m[4] + 1, m[7]],
    [m[2], m[5], m[8] + 1],
  ];
  const column = columns[most]!;
  return scale(column, 1 / length(column));
}
