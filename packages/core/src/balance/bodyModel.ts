import type { Contact } from '../model/contacts.ts';
import { type BodySegment, type Build, COM_SHARE, LENGTH, segmentShares } from './bodyTables.ts';
import type { Point } from './convexHull.ts';
import type { Aim, Stance } from './stances.ts';

export type Point3 = [x: number, y: number, z: number];
type Side = 'L' | 'R';

/** Where something of top touches the mat: the contact, and the corners of the patch, in metres from above. */
export interface Patch {
  contact: Contact;
  points: Point[];
}

export interface BodyModel {
  /** Centre of mass; x = top's right, y = front, z = up from the mat. The hips are over the origin. */
  com: Point3;
  joints: Record<string, Point3>;
  patches: Patch[];
}

const along = (aim: Aim, side: Side): Point3 => {
  const [azimuth, elevation] = [aim[0] * (side === 'L' ? -1 : 1), aim[1]].map(
    (deg) => (deg * Math.PI) / 180,
  ) as [number, number];
  const flat = Math.cos(elevation);
  return [Math.sin(azimuth) * flat, Math.cos(azimuth) * flat, Math.sin(elevation)];
};
const add = (a: Point3, b: Point3, times = 1): Point3 => [
  a[0] + b[0] * times,
  a[1] + b[1] * times,
  a[2] + b[2] * times,
];
const mix = (a: Point3, b: Point3, t: number): Point3 => add(a, [b[0] - a[0], b[1] - a[1], b[2] - a[2]], t);

/** How thick the body is where it meets the mat, as a share of stature: joint centres lie that much above it. */
const FLESH = { knee: 0.028, seat: 0.058, hand: 0.012, head: 0.05, back: 0.058 } as const;
/** What comes this near to the mat rests on it: joint angles are rounded, and flesh gives. */
const NEAR = 0.035;

interface Candidate {
  contact: Contact;
  at: Point3;
  flesh: number;
  points: () => Point[];
}

/**
 * Top as fourteen rigid segments in a stance, put down on the mat. What touches it follows from the joint angles:
 * patches are areas of the foot, knee and shin, hand, head and seat, not points.
 * @param stature in metres
 * @param spread how much further than usual each knee stands out to its side, in metres
 */
export function bodyModel(stance: Stance, stature: number, build: Build = 'average', spread = 0): BodyModel {
  const size = (share: number) => share * stature;
  const joints: Record<string, Point3> = { hips: [0, 0, 0] };
  joints.shoulders = add(joints.hips!, along(stance.trunk, 'R'), size(LENGTH.trunk));
  joints.crown = add(joints.shoulders!, along(stance.head, 'R'), size(LENGTH.head));
  for (const side of ['L', 'R'] as const) {
    const out = side === 'R' ? 1 : -1;
    const leg = stance[`leg${side}`];
    const arm = stance[`arm${side}`];
    joints[`hip${side}`] = [out * size(LENGTH.halfHips), 0, 0];
    const knee = add(joints[`hip${side}`]!, along(leg.thigh, side), size(LENGTH.thigh));
    joints[`knee${side}`] = add(knee, [out * spread, 0, 0]);
    joints[`ankle${side}`] = add(joints[`knee${side}`]!, along(leg.shank, side), size(LENGTH.shank));
    // The ankle stands a quarter of the foot before the heel.
    const foot = along(leg.foot, side);
    const sole = add(joints[`ankle${side}`]!, [0, 0, -size(leg.foot[1] === 0 ? LENGTH.ankleHeight : 0)]);
    joints[`heel${side}`] = add(sole, foot, -size(LENGTH.foot) * 0.25);
    joints[`toe${side}`] = add(sole, foot, size(LENGTH.foot) * 0.75);
    joints[`shoulder${side}`] = add(joints.shoulders!, [out * size(LENGTH.halfShoulders), 0, 0]);
    joints[`elbow${side}`] = add(joints[`shoulder${side}`]!, along(arm.upper, side), size(LENGTH.upperArm));
    joints[`wrist${side}`] = add(joints[`elbow${side}`]!, along(arm.fore, side), size(LENGTH.forearm));
    joints[`hand${side}`] = add(
      joints[`wrist${side}`]!,
      along(arm.hand ?? arm.fore, side),
      size(LENGTH.hand),
    );
  }
  const lowest = Math.min(...candidates(joints, stature).map(({ at, flesh }) => at[2] - flesh));
  for (const name of Object.keys(joints)) joints[name] = add(joints[name]!, [0, 0, -lowest]);
  const patches = candidates(joints, stature)
    .filter(({ at, flesh }) => at[2] - flesh <= NEAR * stature)
    .map(({ contact, points }) => ({ contact, points: points() }));
  return { com: centreOfMass(joints, build), joints, patches: merged(patches) };
}

function centreOfMass(joints: Record<string, Point3>, build: Build): Point3 {
  const share = segmentShares(build);
  const j = (name: string) => joints[name]!;
  const parts: [BodySegment, Point3, Point3][] = [
    ['head', j('shoulders'), j('crown')],
    ['trunk', j('shoulders'), j('hips')],
  ];
  for (const side of ['L', 'R']) {
    parts.push(
      ['upperArm', j(`shoulder${side}`), j(`elbow${side}`)],
      ['forearm', j(`elbow${side}`), j(`wrist${side}`)],
      ['hand', j(`wrist${side}`), j(`hand${side}`)],
      ['thigh', j(`hip${side}`), j(`knee${side}`)],
      ['shank', j(`knee${side}`), j(`ankle${side}`)],
      ['foot', j(`heel${side}`), j(`toe${side}`)],
    );
  }
  return parts.reduce<Point3>(
    (sum, [segment, from, to]) => add(sum, mix(from, to, COM_SHARE[segment]), share[segment]),
    [0, 0, 0],
  );
}

function candidates(joints: Record<string, Point3>, stature: number): Candidate[] {
  const size = (share: number) => share * stature;
  const j = (name: string) => joints[name]!;
  const round = (at: Point3, radius: number) => () =>
    Array.from({ length: 8 }, (_, i): Point => {
      const turn = (i * Math.PI) / 4;
      return [at[0] + radius * Math.cos(turn), at[1] + radius * Math.sin(turn)];
    });
  const strip = (from: Point3, to: Point3, half: number) => (): Point[] => {
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
    const [nx, ny] = [(-(to[1] - from[1]) / length) * half, ((to[0] - from[0]) / length) * half];
    return [
      [from[0] + nx, from[1] + ny],
      [to[0] + nx, to[1] + ny],
      [to[0] - nx, to[1] - ny],
      [from[0] - nx, from[1] - ny],
    ];
  };
  const list: Candidate[] = [
    {
      contact: 'head',
      at: j('crown'),
      flesh: size(FLESH.head) * 0.4,
      points: round(j('crown'), size(FLESH.head)),
    },
    {
      contact: 'back',
      at: j('shoulders'),
      flesh: size(FLESH.back),
      points: strip(j('shoulderL'), j('shoulderR'), size(0.05)),
    },
  ];
  for (const side of ['L', 'R'] as const) {
    const half = size(LENGTH.footBreadth) / 2;
    const toeStrip = mix(j(`toe${side}`), j(`heel${side}`), 0.35);
    list.push(
      {
        contact: `foot${side}`,
        at: j(`heel${side}`),
        flesh: 0,
        points: strip(j(`heel${side}`), j(`toe${side}`), half),
      },
      {
        contact: `foot${side}`,
        at: j(`toe${side}`),
        flesh: 0,
        points: strip(toeStrip, j(`toe${side}`), half),
      },
      {
        contact: `leg${side}`,
        at: j(`knee${side}`),
        flesh: size(FLESH.knee),
        points: round(j(`knee${side}`), size(FLESH.knee)),
      },
      {
        contact: 'hips',
        at: j(`hip${side}`),
        flesh: size(FLESH.seat),
        points: round(j(`hip${side}`), size(0.045)),
      },
      {
        contact: `hand${side}`,
        at: j(`hand${side}`),
        flesh: size(FLESH.hand),
        points: strip(j(`wrist${side}`), j(`hand${side}`), size(0.025)),
      },
    );
  }
  return list;
}

/** Patches of one contact as one. */
function merged(patches: readonly Patch[]): Patch[] {
  const by = new Map<Contact, Point[]>();
  for (const { contact, points } of patches) by.set(contact, [...(by.get(contact) ?? []), ...points]);
  return [...by].map(([contact, points]) => ({ contact, points }));
}
