import { type Signs, signOf } from '../../model/signs.ts';
import type { Body } from './body.ts';
import { ARM, FRAME, LEG, type LeftRight, NECK, otherSide, SIDES, SPINE, UNKNOWNS } from './skeleton.ts';
import { after, type Rotation, radians, rotation, type Vec3 } from './vec3.ts';

/** A part of a body that stands on the mat, by what it is called. */
export type Support =
  | 'seat'
  | 'back'
  | 'upper-back'
  | 'hips-raised'
  | `${'shoulder' | 'hip' | 'heel' | 'toe' | 'knee' | 'hand'}-${LeftRight}`;

/** How a body is before any hold pulls at it: joint angles, how the pelvis is turned (degrees), what it stands on. */
export interface Preset {
  angles: Float64Array;
  pitch: number;
  roll: number;
  yaw: number;
  supports: Support[];
}

/** Shoulder flexion, abduction, rotation, then the elbow; degrees. */
type ArmAngles = readonly [number, number, number, number];
/** Hip flexion, abduction, rotation, knee, ankle; degrees. */
type LegAngles = readonly [number, number, number, number, number];

function setArm(angles: Float64Array, side: LeftRight, [flexed, out, turned, elbow]: ArmAngles): void {
  angles.set([flexed, out, turned, elbow, 0].map(radians), ARM[side].angle + 2);
}
export function setLeg(
  angles: Float64Array,
  side: LeftRight,
  [flexed, out, turned, knee, ankle]: LegAngles,
): void {
  angles.set([flexed, out, turned, knee, 0, ankle].map(radians), LEG[side].angle);
}
const both = <T>(
  set: (angles: Float64Array, side: LeftRight, value: T) => void,
  angles: Float64Array,
  value: T,
) => {
  for (const side of SIDES) set(angles, side, value);
};

const FEET: Support[] = ['heel-L', 'toe-L', 'heel-R', 'toe-R'];
const KNEES: Support[] = ['knee-L', 'knee-R', 'toe-L', 'toe-R'];
const FACING = { square: 0, 'turned-left': 60, 'turned-right': -60, away: 180 } as const;

/** How top is before any hold, by stance, posture, weight and base. Top faces bottom, who faces +y. */
export function topPreset(signs: Signs): Preset {
  const sign = <F extends Parameters<typeof signOf>[1]>(facet: F) => signOf(signs, facet);
  const posture = sign('top.posture') as 'upright' | 'leaning' | 'broken';
  const weight = sign('top.weight');
  const angles = new Float64Array(UNKNOWNS);
  let lean = { upright: 4, leaning: 26, broken: 52 }[posture];
  if (weight === 'forward') lean += 10;
  if (weight === 'back') lean -= 8;
  let spine = { upright: 6, leaning: 24, broken: 42 }[posture];
  let neck = { upright: 5, leaning: -8, broken: 15 }[posture];
  const out = { normal: 16, wide: 32, narrow: 6 }[sign('top.base') as 'normal' | 'wide' | 'narrow'];
  let supports: Support[] = [];
  let roll = 0;
  both(setArm, angles, [{ upright: 35, leaning: 62, broken: 75 }[posture], 12, 10, 45]);
  switch (sign('top.stance')) {
    case 'kneeling': {
      const sat = weight === 'back' ? 55 : posture === 'upright' ? 8 : 16;
      both(setLeg, angles, [lean + sat, out, 0, 90 + sat, -35]);
      supports = KNEES;
      break;
    }
    case 'standing':
      lean *= 0.95;
      both(setLeg, angles, [lean + 22, out, 8, 32, 10]);
      supports = FEET;
      break;
    case 'squatting':
      lean = Math.max(lean, 25);
      both(setLeg, angles, [lean + 75, out + 12, 10, 115, 22]);
      supports = FEET;
      break;
    case 'half-kneeling': {
      const up = sign('top.kneeR') === 'inward' || sign('top.legL') === 'stepped-over' ? 'L' : 'R';
      const down = otherSide(up);
      setLeg(angles, up, [lean + 80, out, 5, 88, 0]);
      setLeg(angles, down, [lean, out, 0, 92, -30]);
      supports = [`heel-${up}`, `toe-${up}`, `knee-${down}`, `toe-${down}`];
      break;
    }
    case 'all-fours':
      lean = posture === 'broken' ? 72 : 65;
      spine = 15;
      neck = -10;
      both(setLeg, angles, [lean + 5, out, 0, 95, -40]);
      both(setArm, angles, [lean + 20, 12, 0, 20]);
      supports = KNEES;
      break;
    case 'seated':
      lean = posture === 'leaning' ? 5 : weight === 'back' ? -28 : -16;
      spine = 22;
      neck = 5;
      both(setLeg, angles, [70, out + 6, 10, 45, 0]);
      both(setArm, angles, [-15, 20, 10, 25]);
      supports = ['seat'];
      break;
    case 'on-back':
      lean = -82;
      spine = 10;
      neck = 20;
      both(setLeg, angles, [80, out + 6, 10, 80, 0]);
      supports = ['seat', 'back'];
      for (const side of SIDES) {
        if (sign(`top.leg${side}`) !== 'posted') continue;
        setLeg(angles, side, [48, out - 6, 0, 100, -5]);
        supports.push(`heel-${side}`, `toe-${side}`);
      }
      break;
    case 'side-L':
    case 'side-R': {
      const side = sign('top.stance') === 'side-L' ? 'L' : 'R';
      lean = -84;
      roll = side === 'L' ? 62 : -62;
      spine = 15;
      neck = 10;
      both(setLeg, angles, [60, 20, 10, 70, 0]);
      supports = [`shoulder-${side}`, `hip-${side}`];
      break;
    }
    case 'prone':
      lean = 80;
      spine = 5;
      neck = -10;
      both(setLeg, angles, [15, 18, 0, 25, -40]);
      break;
  }
  if (sign('top.head') !== 'high') {
    neck += 18;
    spine += 8;
  }
  angles[SPINE] = radians(spine);
  angles[NECK] = radians(neck);
  for (const side of SIDES) {
    const leg = sign(`top.leg${side}`);
    if (leg === 'lifted' || leg === 'light') supports = supports.filter((name) => !name.endsWith(`-${side}`));
    if (sign(`top.hand${side}`) === 'posted') supports = [...supports, `hand-${side}`];
    const knee = sign(`top.knee${side}`);
    if (knee !== 'neutral') angles[LEG[side].angle + 2]! += radians(knee === 'inward' ? -25 : 25);
    if (sign(`top.elbow${side}`) === 'straight') angles[ARM[side].angle + 5] = radians(10);
    if (sign(`top.elbow${side}`) === 'bent-trapped') setArm(angles, side, [12, 38, -60, 95]);
  }
  const facing = FACING[sign('top.facing') as keyof typeof FACING];
  return { angles, pitch: -lean, roll, yaw: 180 + facing, supports };
}

const ANGLE = { square: 0, left: -32, right: 32 } as const;

/** How bottom is before any hold, by torso, angle and hips; the head goes the way of the angle. */
export function bottomPreset(signs: Signs): Preset {
  const torso = signOf(signs, 'own.torso');
  const angle = signOf(signs, 'own.angle') as keyof typeof ANGLE;
  const raised = signOf(signs, 'own.hips') === 'raised';
  const angles = new Float64Array(UNKNOWNS);
  let pitch = 15;
  let roll = 0;
  let spine = 25;
  let neck = 12;
  let supports: Support[] = ['seat'];
  both(setLeg, angles, [92, 26, 15, 85, 0]);
  both(setArm, angles, [42, 8, -10, 95]);
  switch (torso) {
    case 'on-back':
      pitch = raised ? 103 : 80;
      spine = raised ? 34 : 26;
      neck = 28;
      supports = raised ? ['upper-back', 'hips-raised'] : ['seat', 'back'];
      both(setLeg, angles, [98, 28, 15, 80, 0]);
      break;
    case 'side-L':
    case 'side-R': {
      const side = torso === 'side-L' ? 'L' : 'R';
      pitch = 84;
      roll = side === 'L' ? 62 : -62;
      spine = 22;
      neck = 15;
      supports = [`shoulder-${side}`, `hip-${side}`];
      angles[SPINE + 1] = radians(side === 'R' ? -8 : 8);
      both(setLeg, angles, [85, 22, 10, 80, 0]);
      break;
    }
    case 'on-shoulder':
      pitch = 104;
      roll = angle === 'left' ? 28 : angle === 'right' ? -28 : 0;
      spine = 40;
      neck = 30;
      supports = ['upper-back', 'hips-raised'];
      both(setLeg, angles, [100, 25, 12, 75, 0]);
      break;
    case 'inverted':
      pitch = 150;
      spine = 50;
      neck = 40;
      supports = ['upper-back'];
      both(setLeg, angles, [110, 25, 10, 60, 0]);
      break;
    case 'prone':
      pitch = -85;
      spine = -5;
      neck = -20;
      both(setLeg, angles, [5, 15, 10, 20, -40]);
      break;
    case 'kneeling':
      pitch = -25;
      neck = 5;
      both(setLeg, angles, [45, 16, 0, 108, -35]);
      supports = KNEES;
      break;
    case 'all-fours':
      pitch = -62;
      spine = 12;
      neck = -5;
      both(setLeg, angles, [68, 18, 0, 100, -40]);
      both(setArm, angles, [80, 14, 0, 40]);
      supports = KNEES;
      break;
    case 'half-kneeling-L':
    case 'half-kneeling-R': {
      const up = torso.endsWith('L') ? 'L' : 'R';
      const down = otherSide(up);
      pitch = -15;
      neck = 5;
      setLeg(angles, up, [95, 16, 5, 88, 0]);
      setLeg(angles, down, [20, 16, 0, 92, -30]);
      supports = [`heel-${up}`, `toe-${up}`, `knee-${down}`, `toe-${down}`];
      break;
    }
    case 'standing':
      pitch = -18;
      both(setLeg, angles, [42, 14, 8, 32, 10]);
      supports = FEET;
      break;
  }
  angles[SPINE] = radians(spine);
  angles[NECK] = radians(neck);
  return { angles, pitch, roll, yaw: ANGLE[angle], supports };
}

/** How the pelvis of a preset is turned: rolled, then pitched, then turned about the vertical. */
export const presetTurn = ({ pitch, roll }: Pick<Preset, 'pitch' | 'roll'>, yaw: number): Rotation =>
  after(
    rotation([0, 0, 1], radians(yaw)),
    after(rotation([1, 0, 0], radians(pitch)), rotation([0, 0, 1], radians(roll))),
  );

/** A point of a body that stands on the mat: its frame, where it is in it, and how high it lies then, metres. */
export interface SupportPoint {
  frame: number;
  at: Vec3;
  height: number;
}

/** The points of what a body stands on. */
export function supportPoints({ lengths: { stature: h } }: Body, name: Support): SupportPoint[] {
  const [part, side] = name.split(/-(?=[LR]$)/) as [string, LeftRight];
  const pair = (frame: number, x: number, y: number, z: number, height: number): SupportPoint[] =>
    [-x, x].map((at) => ({ frame, at: [at * h, y * h, z * h], height: height * h }));
  switch (part) {
    case 'seat':
      return pair(FRAME.pelvis, 0.06, -0.01, 0, 0.055);
    case 'back':
      return pair(FRAME.chest, 0.05, 0, 0.06, 0.058);
    case 'upper-back':
      return pair(FRAME.chest, 0.06, 0, 0.09, 0.052);
    case 'hips-raised':
      return [{ frame: FRAME.pelvis, at: [0, 0, 0], height: 0.15 * h }];
    case 'shoulder':
      return [{ frame: ARM[side].upper, at: [0, 0, 0], height: 0.04 * h }];
    case 'hip':
      return [{ frame: LEG[side].thigh, at: [0, 0, 0], height: 0.058 * h }];
    case 'heel':
      return [{ frame: LEG[side].foot, at: [0, -0.025 * h, -0.037 * h], height: 0.002 }];
    case 'toe':
      return [{ frame: LEG[side].foot, at: [0, 0.09 * h, -0.037 * h], height: 0.004 }];
    case 'knee':
      return [{ frame: LEG[side].shank, at: [0, 0, 0], height: 0.036 * h }];
    default:
      return [{ frame: ARM[side].hand, at: [0, 0, -0.045 * h], height: 0.016 * h }];
  }
}
