import { radians, type Vec3 } from './vec3.ts';

export type LeftRight = 'L' | 'R';
export const SIDES = ['L', 'R'] as const;
export const otherSide = (side: LeftRight): LeftRight => (side === 'L' ? 'R' : 'L');
/** +1 to a player's right, −1 to the left. */
export const signOfSide = (side: LeftRight | 'C'): number => (side === 'R' ? 1 : -1);

/** What both bodies have, by the bone a frame moves with. */
export const FRAME = { pelvis: 0, abdomen: 1, chest: 2, neck: 3, head: 4 } as const;

interface Arm {
  clavicle: number;
  upper: number;
  fore: number;
  hand: number;
  /** The first of its joint angles: collarbone 2, shoulder 3, elbow, pronation, wrist. */
  angle: number;
}
interface Leg {
  thigh: number;
  shank: number;
  foot: number;
  /** The first of its joint angles: hip 3, knee, twist of the shank, ankle 2. */
  angle: number;
}
export const ARM: Record<LeftRight, Arm> = {
  L: { clavicle: 5, upper: 6, fore: 7, hand: 8, angle: 12 },
  R: { clavicle: 9, upper: 10, fore: 11, hand: 12, angle: 20 },
};
export const LEG: Record<LeftRight, Leg> = {
  L: { thigh: 13, shank: 14, foot: 15, angle: 28 },
  R: { thigh: 16, shank: 17, foot: 18, angle: 35 },
};
export const FRAMES = 19;
/** Unknowns of one body: where the pelvis is 3, how it is turned 3, spine 3, neck 3, then arms and legs. */
export const UNKNOWNS = 42;
export const SPINE = 6;
export const NECK = 9;

/** Lengths as shares of stature (common anthropometric tables; the hand to the knuckles' end). */
const SHARE = {
  foot: 0.152,
  shank: 0.246,
  thigh: 0.245,
  upperArm: 0.186,
  foreArm: 0.146,
  hand: 0.108,
  halfShoulders: 0.129,
  halfHips: 0.0955,
} as const;

/** Least and most of each joint angle, radians; the first six unknowns are free. Flexion, abduction, rotation. */
export const LIMITS: readonly (readonly [number, number])[] = limits();

function limits(): [number, number][] {
  const free: [number, number] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  const arm = [
    [-5, 30],
    [-15, 28],
    [-55, 175],
    [-50, 100],
    [-85, 80],
    [3, 148],
    [-85, 85],
    [-60, 60],
  ];
  const leg = [
    [-20, 135],
    [-28, 62],
    [-40, 60],
    [3, 148],
    [-20, 25],
    [-50, 28],
    [-28, 30],
  ];
  const trunk = [
    [-25, 75],
    [-35, 35],
    [-40, 40],
    [-35, 50],
    [-35, 35],
    [-65, 65],
  ];
  const bounds = [...trunk, ...arm, ...arm, ...leg, ...leg].map(([least, most]): [number, number] => [
    radians(least!),
    radians(most!),
  ]);
  return [...Array.from({ length: 6 }, () => free), ...bounds];
}

/** A joint turns by `gain` × an unknown about an axis of its frame: 0 = x, 1 = y, 2 = z, times `sign`. */
interface Joint {
  unknown: number;
  axis: 0 | 1 | 2;
  sign: number;
  gain: number;
}
export interface FrameDefinition {
  parent: number;
  /** Where it starts in the parent's frame, metres. */
  offset: Vec3;
  joints: readonly Joint[];
}

/** How a body is built: stature in metres, arms and legs as shares of the usual length. */
export interface PoseBuild {
  stature: number;
  arms: number;
  legs: number;
}
export const AVERAGE_BUILD: PoseBuild = { stature: 1.75, arms: 1, legs: 1 };

/** Lengths of a body, metres. */
export interface Lengths {
  stature: number;
  upperArm: number;
  foreArm: number;
  hand: number;
  thigh: number;
  shank: number;
  foot: number;
  halfShoulders: number;
  halfHips: number;
}

export const lengthsOf = ({ stature, arms, legs }: PoseBuild): Lengths => ({
  stature,
  upperArm: SHARE.upperArm * stature * arms,
  foreArm: SHARE.foreArm * stature * arms,
  hand: SHARE.hand * stature,
  thigh: SHARE.thigh * stature * legs,
  shank: SHARE.shank * stature * legs,
  foot: SHARE.foot * stature,
  halfShoulders: SHARE.halfShoulders * stature,
  halfHips: SHARE.halfHips * stature,
});

/** The tree of frames of a body, parents first. The rest pose stands upright with the limbs hanging down. */
export function framesOf(l: Lengths): FrameDefinition[] {
  const h = l.stature;
  const bend = (first: number): Joint[] => [
    { unknown: first, axis: 0, sign: -1, gain: 0.5 },
    { unknown: first + 1, axis: 1, sign: 1, gain: 0.5 },
    { unknown: first + 2, axis: 2, sign: 1, gain: 0.5 },
  ];
  const one = (unknown: number, axis: 0 | 1 | 2, sign: number): Joint => ({ unknown, axis, sign, gain: 1 });
  const frames: FrameDefinition[] = [
    { parent: -1, offset: [0, 0, 0], joints: [] },
    { parent: FRAME.pelvis, offset: [0, 0, 0.09 * h], joints: bend(SPINE) },
    { parent: FRAME.abdomen, offset: [0, 0, 0.09 * h], joints: bend(SPINE) },
    { parent: FRAME.chest, offset: [0, -0.008 * h, 0.118 * h], joints: bend(NECK) },
    { parent: FRAME.neck, offset: [0, 0, 0.04 * h], joints: bend(NECK) },
  ];
  for (const side of SIDES) {
    const g = signOfSide(side);
    const { clavicle, upper, fore, angle } = ARM[side];
    frames.push(
      {
        parent: FRAME.chest,
        offset: [g * 0.03 * h, 0, 0.108 * h],
        joints: [one(angle, 1, -g), one(angle + 1, 2, g)],
      },
      {
        parent: clavicle,
        offset: [g * (l.halfShoulders - 0.03 * h), 0, 0],
        joints: [one(angle + 2, 0, 1), one(angle + 3, 1, -g), one(angle + 4, 2, -g)],
      },
      { parent: upper, offset: [0, 0, -l.upperArm], joints: [one(angle + 5, 0, 1)] },
      { parent: fore, offset: [0, 0, -l.foreArm], joints: [one(angle + 6, 2, g), one(angle + 7, 1, -g)] },
    );
  }
  for (const side of SIDES) {
    const g = signOfSide(side);
    const { thigh, shank, angle } = LEG[side];
    frames.push(
      {
        parent: FRAME.pelvis,
        offset: [g * l.halfHips, 0, -0.005 * h],
        joints: [one(angle, 0, 1), one(angle + 1, 1, -g), one(angle + 2, 2, -g)],
      },
      { parent: thigh, offset: [0, 0, -l.thigh], joints: [one(angle + 3, 0, -1), one(angle + 4, 2, -g)] },
      { parent: shank, offset: [0, 0, -l.shank], joints: [one(angle + 5, 0, 1), one(angle + 6, 1, g)] },
    );
  }
  return frames;
}

/** A piece of flesh: a line between two points of a frame, with a radius at either end, metres. */
export interface Capsule {
  name: string;
  frame: number;
  a: Vec3;
  b: Vec3;
  ra: number;
  rb: number;
}

/** The flesh of a body. */
export function capsulesOf(l: Lengths): Capsule[] {
  const h = l.stature;
  const list: Capsule[] = [];
  const put = (name: string, frame: number, a: Vec3, b: Vec3, ra: number, rb = ra) =>
    list.push({ name, frame, a, b, ra: ra * h, rb: rb * h });
  put('pelvis', FRAME.pelvis, [-0.055 * h, 0, 0.01 * h], [0.055 * h, 0, 0.01 * h], 0.056);
  put('abdomen', FRAME.abdomen, [-0.028 * h, 0, 0.02 * h], [0.028 * h, 0, 0.02 * h], 0.058);
  put('chest', FRAME.chest, [-0.045 * h, 0.002 * h, 0.02 * h], [0.045 * h, 0.002 * h, 0.02 * h], 0.06);
  put('shoulders', FRAME.chest, [-0.06 * h, -0.004 * h, 0.085 * h], [0.06 * h, -0.004 * h, 0.085 * h], 0.048);
  put('neck', FRAME.neck, [0, 0, 0], [0, 0.005 * h, 0.04 * h], 0.03);
  put('head', FRAME.head, [0, 0.012 * h, 0.035 * h], [0, 0.014 * h, 0.075 * h], 0.05);
  for (const side of SIDES) {
    const { upper, fore, hand } = ARM[side];
    put(`upper${side}`, upper, [0, 0, 0], [0, 0, -l.upperArm], 0.03, 0.025);
    put(`fore${side}`, fore, [0, 0, 0], [0, 0, -l.foreArm], 0.025, 0.018);
    put(`hand${side}`, hand, [0, 0, -0.01 * h], [0, 0, -l.hand * 0.62], 0.017);
  }
  for (const side of SIDES) {
    const { thigh, shank, foot } = LEG[side];
    put(`thigh${side}`, thigh, [0, 0, 0], [0, 0, -l.thigh], 0.047, 0.033);
    put(`shank${side}`, shank, [0, 0, 0], [0, 0, -l.shank], 0.032, 0.022);
    put(`foot${side}`, foot, [0, -0.018 * h, -0.018 * h], [0, 0.085 * h, -0.024 * h], 0.019, 0.015);
  }
  return list;
}
