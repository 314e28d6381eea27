import type { Hold } from '../../model/hold.ts';
import { type Signs, signOf } from '../../model/signs.ts';
import { Body } from '../bodies/body.ts';
import { landmark } from '../bodies/landmarks.ts';
import { BOTTOM, type Pair, TOP, type Who } from '../bodies/pair.ts';
import {
  bottomPreset,
  type Preset,
  presetTurn,
  type SupportPoint,
  supportPoints,
  topPreset,
} from '../bodies/presets.ts';
import {
  ARM,
  FRAME,
  LEG,
  type LeftRight,
  NECK,
  otherSide,
  type PoseBuild,
  SIDES,
  SPINE,
  UNKNOWNS,
} from '../bodies/skeleton.ts';
import {
  addScaled,
  columnOf,
  dot,
  length,
  mix,
  type Rotation,
  radians,
  scale,
  sub,
  unit,
  type Vec3,
} from '../bodies/vec3.ts';
import { addMat, addOverlaps, type FleshShares } from './collisions.ts';
import type { HoldTerms, Limb, Posed } from './holdPart.ts';
import { holdTerms } from './holdTerms.ts';
import { lever, type NormalEquations, turning } from './normalEquations.ts';
import { type Tip, touch } from './residuals.ts';

/** One position as a problem of least squares: two bodies, what is asked of them, and how much flesh they have for now. */
export interface PoseProblem {
  bodies: Pair;
  signs: Signs;
  presets: readonly [Preset, Preset];
  /** Where each begins, of whom it is said. */
  places: readonly [Vec3 | undefined, Vec3 | undefined];
  supports: readonly [SupportPoint[], SupportPoint[]];
  holds: HoldTerms[];
  /** How far to bottom's right top stands, metres. */
  offset: number;
  flesh: FleshShares;
  energy: (equations: NormalEquations) => void;
}

/** How far top has come round, by its line, metres. */
const LINE = { front: 0, 'knee-L': -0.22, 'knee-R': 0.22, 'hip-L': -0.42, 'hip-R': 0.42 } as const;
const ARM_PARTS = ['sleeve', 'wrist', 'forearm', 'elbow', 'upper-arm', 'armpit'];
const LEG_PARTS = ['thigh', 'knee', 'knee-crook', 'shin', 'ankle', 'heel', 'toes', 'trousers'];

/** What a position asks of two bodies. */
export function poseProblem(position: Posed, builds: readonly [PoseBuild, PoseBuild]): PoseProblem {
  const { signs } = position;
  const bodies: Pair = [new Body(builds[BOTTOM]), new Body(builds[TOP])];
  const presets = presetsOf(position);
  const holds = posedHolds(position).map(({ hold, by }) => holdTerms(bodies, position, hold, by));
  bendWorkingLimbs(presets, holds);
  sitInto(presets[TOP], signs, holds);
  const busy: [Set<Limb>, Set<Limb>] = [new Set(), new Set()];
  for (const { by, limbs } of holds) for (const limb of limbs) busy[by].add(limb);
  const sigmas = angleSigmas(signs, holds, busy);
  const supports: [SupportPoint[], SupportPoint[]] = [
    presets[BOTTOM].supports.flatMap((name) => supportPoints(bodies[BOTTOM], name)),
    presets[TOP].supports.flatMap((name) => supportPoints(bodies[TOP], name)),
  ];
  const turns = presets.map((preset) => presetTurn(preset, preset.yaw));
  const line = signOf(signs, 'top.line') as keyof typeof LINE;
  // Who goes round the outside of a leg needs the pair shifted that way.
  const outside = holds.find((hold) => hold.outside !== 0)?.outside ?? 0;
  const offset = LINE[line] - (line === 'front' ? outside * 0.18 : 0);
  const flesh: FleshShares = { between: 0, within: 0 };
  const lowLegs = new Set(
    holds
      .filter(({ by, hold }) => by === BOTTOM && (hold.action === 'pinch' || hold.action === 'lace'))
      .flatMap(({ limbs }) => [...limbs]),
  );

  const energy = (eq: NormalEquations): void => {
    for (const { terms } of holds) for (const term of terms) term(eq);
    if (flesh.between > 0 || flesh.within > 0) addOverlaps(bodies, flesh, 0.012, eq);
    addMat(bodies, 0.006, eq);
    for (const who of [BOTTOM, TOP] as const) {
      addPreset(eq, who, presets[who], turns[who]!, sigmas[who]!, signs);
      for (const { frame, at, height } of supports[who]) {
        const p = bodies[who].point(frame, at);
        eq.add(p[2] - height, 0.02, [lever(who, frame, p, [0, 0, 1])], 5);
      }
      addGaze(eq, who);
    }
    addLowFeet(eq, signs, busy[BOTTOM], lowLegs);
    addStanding(eq, signs, supports[TOP]);
    addRange(eq, signs, offset);
    addGrippingHands(eq, signs, busy[TOP]);
  };
  const places = [position.pose?.ownPlace, position.pose?.topPlace] as const;
  return { bodies, signs, presets, places, supports, holds, offset, flesh, energy };
}

/** How both bodies are before any hold, with what the position's hints say of it. */
function presetsOf(position: Posed): [Preset, Preset] {
  const { signs, pose: hints } = position;
  const presets: [Preset, Preset] = [bottomPreset(signs), topPreset(signs)];
  presets[BOTTOM].yaw = hints?.ownYaw ?? sideClampYaw(position, presets[TOP].yaw) ?? presets[BOTTOM].yaw;
  if (hints?.topYaw !== undefined) presets[TOP].yaw = 180 + hints.topYaw;
  return presets;
}

/** How both bodies begin turned about the vertical, degrees from facing the other: what a hint would say of it. */
export function startYaws(position: Posed): { own: number; top: number } {
  const presets = presetsOf(position);
  return { own: presets[BOTTOM].yaw, top: presets[TOP].yaw - 180 };
}

/** Seated with a shoulder clamped, bottom sits beside top and faces the way top does. */
function sideClampYaw({ signs, holds }: Posed, topYaw: number): number | undefined {
  if (signOf(signs, 'own.torso') !== 'seated') return undefined;
  const clamp = holds.findLast(
    ({ action, contacts, target }) =>
      action === 'clamp' && contacts[0]!.startsWith('leg') && target.part === 'shoulder',
  );
  return clamp && (clamp.contacts[0]!.endsWith('L') ? -1 : 1) * 140 + topYaw - 180;
}

/** The holds that a pose is made of, in its order: bottom's, then top's. */
export const posedHolds = ({
  holds,
  topHolds,
}: Pick<Posed, 'holds' | 'topHolds'>): { hold: Hold; by: Who }[] => [
  ...oneHug(holds).map((hold) => ({ hold, by: BOTTOM }) as const),
  ...oneHug(topHolds).map((hold) => ({ hold, by: TOP }) as const),
];

/** Two arms that wrap the same thing by two holds are one hug. */
function oneHug(holds: readonly Hold[]): Hold[] {
  const merged: Hold[] = [];
  const isArm = ({ action, contacts }: Hold) =>
    action === 'wrap' && contacts.length === 1 && contacts[0]!.startsWith('arm');
  for (const hold of holds) {
    const twin = merged.findIndex(
      (other) => isArm(hold) && isArm(other) && JSON.stringify(other.target) === JSON.stringify(hold.target),
    );
    if (twin >= 0) merged[twin] = { ...merged[twin]!, contacts: ['armL', 'armR'] };
    else merged.push(hold);
  }
  return merged;
}

/** Arms and legs that go round something begin bent. */
function bendWorkingLimbs(presets: readonly [Preset, Preset], holds: readonly HoldTerms[]): void {
  for (const { by, on, hold } of holds)
    for (const contact of hold.contacts) {
      const side = contact.slice(-1) as LeftRight;
      const { angles } = presets[by];
      if (contact.startsWith('arm') && (hold.action === 'wrap' || hold.action === 'overhook'))
        angles[ARM[side].angle + 5] = radians(112);
      if (contact.startsWith('leg') && (hold.action === 'clamp' || hold.action === 'lace'))
        angles[LEG[side].angle + 3] = radians(on === by ? 105 : 100);
    }
}

/** Between legs that are closed round the trunk a kneeling top sits back towards the heels. */
function sitInto(top: Preset, signs: Signs, holds: readonly HoldTerms[]): void {
  const closed = holds.some(
    ({ by, hold }) =>
      by === BOTTOM &&
      hold.action === 'clamp' &&
      hold.contacts.some((contact) => contact.startsWith('leg')) &&
      hold.target.part === 'waist',
  );
  if (!closed || signOf(signs, 'top.stance') !== 'kneeling') return;
  const sat = signOf(signs, 'top.posture') === 'upright' ? SAT.upright : SAT.bent;
  for (const side of SIDES) {
    const { angle } = LEG[side];
    top.angles[angle] = Math.max(top.angles[angle]!, radians(sat - top.pitch));
    top.angles[angle + 3] = Math.max(top.angles[angle + 3]!, radians(90 + sat));
  }
}
/** So far the thighs of who sits back are from upright, degrees. */
const SAT = { upright: 40, bent: 22 } as const;

/** How freely each joint angle may leave its preset, radians: limbs that work freely, those that are held less, others least. */
function angleSigmas(signs: Signs, holds: readonly HoldTerms[], busy: readonly [Set<Limb>, Set<Limb>]) {
  const held: [Set<string>, Set<string>] = [new Set(), new Set()];
  for (const { on, hold } of holds) {
    if (on === undefined || hold.target.side === 'C') continue;
    if (ARM_PARTS.includes(hold.target.part)) held[on].add(`arm${hold.target.side}`);
    if (LEG_PARTS.includes(hold.target.part)) held[on].add(`leg${hold.target.side}`);
  }
  const sigmas = [new Float64Array(UNKNOWNS).fill(0.45), new Float64Array(UNKNOWNS).fill(0.4)];
  for (const who of [BOTTOM, TOP] as const) {
    const sigma = sigmas[who]!;
    sigma.fill(0.3, SPINE, NECK + 3);
    for (const side of SIDES) {
      const arm = ARM[side].angle;
      const leg = LEG[side].angle;
      sigma.set([0.25, 0.25], arm);
      sigma.set([0.7, 0.5], arm + 6);
      sigma.set([0.2, 0.5, 0.3], leg + 4);
      if (busy[who].has(`arm${side}`) || held[who].has(`arm${side}`)) sigma.fill(1.1, arm + 2, arm + 6);
      if (busy[who].has(`leg${side}`)) sigma.fill(1.1, leg, leg + 4);
      else if (held[who].has(`leg${side}`)) sigma.fill(0.6, leg, leg + 4);
    }
  }
  if (signOf(signs, 'top.stance') === 'standing')
    for (const side of SIDES) {
      const leg = LEG[side].angle;
      for (let i = leg; i < leg + 4; i++) sigmas[TOP]![i] = Math.min(sigmas[TOP]![i]!, 0.35);
    }
  return sigmas;
}

/** Joint angles and the way the pelvis is turned, as the preset has them. */
function addPreset(
  eq: NormalEquations,
  who: Who,
  preset: Preset,
  turn: Rotation,
  sigma: Float64Array,
  signs: Signs,
): void {
  const body = eq.bodies[who];
  for (let i = SPINE; i < UNKNOWNS; i++) eq.addAngle(who, i, body.angles[i]! - preset.angles[i]!, sigma[i]!);
  const firm = who === BOTTOM && /back|shoulder|kneeling|standing|all-fours/.test(signOf(signs, 'own.torso'));
  const yaw = firm ? 0.5 : 0.8;
  for (const j of [0, 1, 2] as const) {
    const axis: Vec3 = [Number(j === 0), Number(j === 1), Number(j === 2)];
    const d = body.direction(FRAME.pelvis, axis);
    const wanted = columnOf(turn, j);
    eq.add(d[2] - wanted[2], 0.22, [turning(who, FRAME.pelvis, d, [0, 0, 1])]);
    eq.add(d[0] - wanted[0], yaw, [turning(who, FRAME.pelvis, d, [1, 0, 0])]);
    eq.add(d[1] - wanted[1], yaw, [turning(who, FRAME.pelvis, d, [0, 1, 0])]);
  }
}

const chestOf = (eq: NormalEquations, who: Who): Vec3 =>
  eq.bodies[who].point(FRAME.chest, [0, 0, 0.05 * eq.bodies[who].lengths.stature]);

/** Each looks about at the other's chest. */
function addGaze(eq: NormalEquations, who: Who): void {
  const other = who === BOTTOM ? TOP : BOTTOM;
  const body = eq.bodies[who];
  const head = body.origin(FRAME.head);
  const chest = chestOf(eq, other);
  const way = sub(chest, head);
  const u = unit(way);
  const ahead = body.direction(FRAME.head, [0, 1, 0]);
  const short = dot(u, ahead) - 0.8;
  if (short >= 0) return;
  const g = scale(addScaled(ahead, u, -dot(u, ahead)), 1 / length(way));
  eq.add(short, 1, [
    turning(who, FRAME.head, ahead, u),
    lever(other, FRAME.chest, chest, g),
    lever(who, FRAME.head, head, scale(g, -1)),
  ]);
}

/** Free feet of a bottom player who is down stay low, pinching ones a little. */
function addLowFeet(
  eq: NormalEquations,
  signs: Signs,
  busy: ReadonlySet<Limb>,
  lowLegs: ReadonlySet<Limb>,
): void {
  if (!/back|side|shoulder|seated/.test(signOf(signs, 'own.torso'))) return;
  const body = eq.bodies[BOTTOM];
  const h = body.lengths.stature;
  for (const side of SIDES) {
    const limb: Limb = `leg${side}`;
    const sigma = busy.has(limb) ? (lowLegs.has(limb) ? 0.35 : 0) : 0.16;
    if (sigma === 0) continue;
    const { foot } = LEG[side];
    const p = body.point(foot, [0, 0.03 * h, -0.03 * h]);
    eq.add(p[2] - 0.01, sigma, [lever(BOTTOM, foot, p, [0, 0, 1])], 3);
  }
}

/** Top stands over its feet, and they are not too far apart. */
function addStanding(eq: NormalEquations, signs: Signs, supports: readonly SupportPoint[]): void {
  const stance = signOf(signs, 'top.stance');
  const body = eq.bodies[TOP];
  if (stance === 'standing') {
    const left = body.origin(LEG.L.foot);
    const right = body.origin(LEG.R.foot);
    const apart = sub(left, right);
    const far = length(apart);
    const n = unit(apart);
    if (far > 0.7)
      eq.add(far - 0.7, 0.08, [lever(TOP, LEG.L.foot, left, n), lever(TOP, LEG.R.foot, right, scale(n, -1))]);
  }
  if (!['standing', 'squatting', 'half-kneeling'].includes(stance) || supports.length < 4) return;
  const trunk = mix(body.origin(FRAME.pelvis), body.origin(FRAME.chest), 0.6);
  const feet = supports.map(({ frame, at }) => ({ frame, p: body.point(frame, at) }));
  for (const axis of [0, 1] as const) {
    const middle = feet.reduce((sum, { p }) => sum + p[axis], 0) / feet.length;
    const g: Vec3 = axis === 0 ? [1, 0, 0] : [0, 1, 0];
    eq.add(trunk[axis] - middle, 0.14, [
      lever(TOP, FRAME.abdomen, trunk, g),
      ...feet.map(({ frame, p }) => lever(TOP, frame, p, scale(g, -1 / feet.length))),
    ]);
  }
}

/** How far from one another, how far to the side, and both near the origin. */
function addRange(eq: NormalEquations, signs: Signs, offset: number): void {
  const own = eq.bodies[BOTTOM].origin(FRAME.pelvis);
  const other = eq.bodies[TOP].origin(FRAME.pelvis);
  eq.add(other[0] - own[0] - offset, 0.25, [
    lever(TOP, FRAME.pelvis, other, [1, 0, 0]),
    lever(BOTTOM, FRAME.pelvis, own, [-1, 0, 0]),
  ]);
  const range = signOf(signs, 'top.range');
  if (range === 'chest') {
    const u = chestOf(eq, BOTTOM);
    const v = chestOf(eq, TOP);
    const n = unit(sub(u, v));
    eq.add(length(sub(u, v)) - 0.28, 0.06, [
      lever(BOTTOM, FRAME.chest, u, n),
      lever(TOP, FRAME.chest, v, scale(n, -1)),
    ]);
  }
  if (range === 'out-of-reach')
    eq.add(other[1] - own[1] - 1.3, 0.1, [
      lever(TOP, FRAME.pelvis, other, [0, 1, 0]),
      lever(BOTTOM, FRAME.pelvis, own, [0, -1, 0]),
    ]);
  eq.add(own[0], 1, [lever(BOTTOM, FRAME.pelvis, own, [1, 0, 0])]);
  eq.add(own[1], 1, [lever(BOTTOM, FRAME.pelvis, own, [0, 1, 0])]);
}

/** A hand of top's that grips, nobody says what, is at the knee in front of it. */
function addGrippingHands(eq: NormalEquations, signs: Signs, busy: ReadonlySet<Limb>): void {
  const body = eq.bodies[TOP];
  const h = body.lengths.stature;
  for (const side of SIDES) {
    if (signOf(signs, `top.hand${side}`) !== 'gripping' || busy.has(`arm${side}`)) continue;
    const knee = landmark(eq.bodies[BOTTOM], { of: 'own', part: 'knee', side: otherSide(side) })!;
    const palm: Tip = { who: TOP, frame: ARM[side].hand, at: [0, 0, -0.042 * h] as Vec3 };
    touch(eq, palm, { who: BOTTOM, mark: knee }, 0.017 * h, 0.05, 3);
  }
}

export const outsideSide = (outside: number): LeftRight => (outside > 0 ? 'R' : 'L');
