import type { Target } from '../../model/hold.ts';
import type { Body } from './body.ts';
import { ARM, FRAME, LEG, type LeftRight, signOfSide } from './skeleton.ts';
import { addScaled, clamp, dot, sub, unit, type Vec3 } from './vec3.ts';

/** What a hold is on, in terms of one body: a stretch of a limb with a radius, or one spot of the surface. */
export interface Landmark {
  frame: number;
  /** The axis, in the frame's terms; both ends the same for a spot. */
  a: Vec3;
  b: Vec3;
  radius: number;
  side: LeftRight;
  /** The way the surface faces there, where it matters. */
  normal?: Vec3;
  kind: 'limb' | 'spot' | 'ball' | 'trunk';
  /** The frame in whose terms "in front" is meant, where that is another one. */
  facing?: number;
  /** The hollow of a knee: from behind. */
  crook?: boolean;
}

/**
 * Where a target is on a body; undefined for the mat.
 * @param inner the inside of a hip rather than its front: what a hook is on
 */
export function landmark(
  { lengths: l }: Body,
  { part, side: named, at }: Target,
  inner = false,
): Landmark | undefined {
  const h = l.stature;
  const side: LeftRight = named === 'C' ? 'R' : named;
  const g = signOfSide(side);
  const off = named === 'C' ? 0 : g;
  const arm = ARM[side];
  const leg = LEG[side];
  const limb = (
    frame: number,
    long: number,
    from: number,
    to: number,
    radius: number,
    normal?: Vec3,
  ): Landmark => ({
    frame,
    a: [0, 0, -long * from],
    b: [0, 0, -long * to],
    radius: radius * h,
    side,
    kind: 'limb',
    ...(normal && { normal }),
  });
  const upperArm = (from: number, to: number, radius: number, normal?: Vec3) =>
    limb(arm.upper, l.upperArm, from, to, radius, normal);
  const foreArm = (from: number, to: number, radius: number) => limb(arm.fore, l.foreArm, from, to, radius);
  const thigh = (from: number, to: number, radius: number, normal?: Vec3) =>
    limb(leg.thigh, l.thigh, from, to, radius, normal);
  const shank = (from: number, to: number, radius: number) => limb(leg.shank, l.shank, from, to, radius);
  const spot = (frame: number, [x, y, z]: Vec3, normal: Vec3, radius = 0): Landmark => ({
    frame,
    a: [x * h, y * h, z * h],
    b: [x * h, y * h, z * h],
    radius: radius * h,
    side,
    normal: unit(normal),
    kind: 'spot',
  });
  switch (part) {
    case 'collar':
      return spot(FRAME.chest, [g * 0.045, 0.05, 0.118], [g * 0.2, 1, 0.3]);
    case 'lapel':
      return spot(FRAME.chest, [g * 0.04, 0.065, 0.05], [0, 1, 0]);
    case 'sleeve':
      return at === 'elbow' ? upperArm(0.85, 1, 0.027) : foreArm(0.72, 1, 0.02);
    case 'wrist':
      return foreArm(0.85, 1.05, 0.02);
    case 'forearm':
      return foreArm(0.2, 0.7, 0.023);
    case 'elbow':
      return upperArm(0.9, 1, 0.027);
    case 'upper-arm':
      return upperArm(0.4, 0.8, 0.029, [0, 1, 0]);
    case 'shoulder':
      return { ...spot(arm.upper, [0, 0, 0], [0, 1, 0], 0.046), kind: 'ball', facing: FRAME.chest };
    case 'armpit':
      return spot(FRAME.chest, [g * 0.1, 0, 0.055], [g, 0, -0.4]);
    case 'neck':
      return {
        frame: FRAME.neck,
        a: [0, 0, -0.01 * h],
        b: [0, 0, 0.04 * h],
        radius: 0.034 * h,
        side,
        kind: 'limb',
      };
    case 'head':
      return { ...spot(FRAME.head, [0, 0.012, 0.058], [0, 1, 0], 0.056), kind: 'ball' };
    case 'chest':
      return spot(FRAME.chest, [off * 0.05, 0.064, 0.05], [0, 1, 0]);
    case 'back':
    case 'jacket-back':
      return spot(FRAME.chest, [off * 0.05, -0.06, 0.05], [0, -1, 0]);
    case 'waist':
    case 'belt':
      return {
        frame: FRAME.abdomen,
        a: [-0.03 * h, 0, 0],
        b: [0.03 * h, 0, 0],
        radius: 0.06 * h,
        side,
        normal: [0, 1, 0],
        kind: 'trunk',
      };
    case 'hip':
      return inner
        ? spot(FRAME.pelvis, [g * 0.06, 0.05, -0.03], [-g * 0.3, 0.9, -0.3])
        : spot(FRAME.pelvis, [g * 0.08, 0.055, 0.025], [g * 0.25, 1, -0.1]);
    case 'skirt':
      return spot(FRAME.pelvis, [off * 0.085, 0.055, -0.02], [off * 0.4, 1, -0.2]);
    case 'trousers':
      if (at === 'waist') return spot(FRAME.pelvis, [off * 0.075, 0.055, 0.045], [off * 0.3, 1, 0.1]);
      if (at === 'hip') return spot(FRAME.pelvis, [g * 0.115, 0.01, 0], [g, 0.2, 0]);
      return at === 'knee' ? thigh(0.85, 1, 0.037) : shank(0.82, 1, 0.024);
    case 'thigh':
      return thigh(0.4, 0.85, 0.042, [0, 1, 0]);
    case 'knee':
      return thigh(0.88, 1, 0.037, [0, 1, 0]);
    case 'knee-crook':
      return { ...thigh(0.9, 1.02, 0.036, [0, -1, 0]), crook: true };
    case 'shin':
      return shank(0.25, 0.8, 0.029);
    case 'ankle':
      return shank(0.82, 1, 0.024);
    case 'heel':
      return spot(leg.foot, [0, -0.03, -0.02], [0, -1, 0], 0.01);
    case 'toes':
      return spot(leg.foot, [0, 0.09, -0.025], [0, 1, 0], 0.012);
    case 'mat':
      return undefined;
  }
}

/** The point of a landmark's axis that is closest to a point of the world. */
export function nearestOn(body: Body, { frame, a, b }: Landmark, p: Vec3): Vec3 {
  const from = body.point(frame, a);
  const along = sub(body.point(frame, b), from);
  const long = dot(along, along);
  if (long < 1e-9) return from;
  return addScaled(from, along, clamp(dot(sub(p, from), along) / long, 0, 1));
}
