import type { Hold } from '../../model/hold.ts';
import type { HOOK_ROUTES } from '../../model/poseHints.ts';
import { signOf } from '../../model/signs.ts';
import type { Body } from '../bodies/body.ts';
import { TOP } from '../bodies/pair.ts';
import { FRAME, LEG, type LeftRight, otherSide, signOfSide } from '../bodies/skeleton.ts';
import { addScaled, clamp, degrees, dot, length, scale, sub, type Vec3 } from '../bodies/vec3.ts';
import type { HoldPart } from './holdPart.ts';
import type { NormalEquations } from './normalEquations.ts';
import { lever, turning } from './normalEquations.ts';
import { beyond, SIGMA, type Tip } from './residuals.ts';

export type Route = (typeof HOOK_ROUTES)[number];

/** A leg that has gone round another has swept so far about it, degrees. */
const WOUND = 150;

/** Which way a hooking foot of bottom's goes: round the outside of top's facing leg, inside between the legs, or behind; undefined where nothing says so. */
export function routeOf({ by, hold, position }: HoldPart, side: LeftRight): Route | undefined {
  const hint = position.pose?.routes?.[hold.contacts[0]!];
  if (hint) return hint;
  if (by === TOP || hold.target.of === 'own') return 'behind';
  const { part, side: on } = hold.target;
  const stance = signOf(position.signs, 'top.stance');
  const onFeet = stance === 'standing' || stance === 'squatting';
  // Only a leg that top stands on can be gone round to its hip.
  if (part === 'hip') return onFeet ? 'outside' : undefined;
  if (part !== 'thigh') return 'behind';
  // Facing one another, the own left is on the side of top's right.
  const facing = on === otherSide(side);
  if (!facing || !onFeet) return 'inside';
  const heldLow = position.holds.some(
    (other) =>
      isLow(other, otherSide(side)) &&
      other.contacts.some((contact) => contact === `hand${side}` || contact === `arm${side}`),
  );
  return heldLow || signOf(position.signs, 'own.torso') !== 'seated' ? 'outside' : 'inside';
}

/** Whether a hold is on the lower part of top's leg of a side. */
const isLow = ({ target }: Hold, side: LeftRight): boolean =>
  target.of === 'top' &&
  target.side === side &&
  (['shin', 'ankle', 'heel'].includes(target.part) || (target.part === 'trousers' && target.at === 'cuff'));

/** The foot comes between the legs to the inner side, or to the back of the knee. */
export function addInside(
  eq: NormalEquations,
  { by, body, place }: HoldPart,
  side: LeftRight,
  instep: Tip,
): void {
  const { mark, who } = place;
  const h = body.lengths.stature;
  const inner = -signOfSide(mark.side);
  const end: Tip = { who, frame: mark.frame, at: mark.b };
  const shank: Tip = { who: by, frame: LEG[side].shank, at: [0, 0, -body.lengths.shank * 0.6] };
  beyond(eq, shank, end, [inner, 0, 0], 0.03 * h, SIGMA.route);
  beyond(eq, instep, end, mark.crook ? [0, -1, 0] : [inner * 0.75, -0.65, 0], 0.03 * h, SIGMA.route);
}

export function addBehind(eq: NormalEquations, { body, place }: HoldPart, instep: Tip): void {
  const { mark, who } = place;
  beyond(
    eq,
    instep,
    { who, frame: mark.frame, at: mark.b },
    [0, -1, 0],
    0.025 * body.lengths.stature,
    SIGMA.route,
  );
}

/**
 * The leg goes round the outside of top's facing leg: the hip in front of it, thigh and knee beside it, the shank behind,
 * the foot through to the inner side.
 */
export function addOutside(eq: NormalEquations, { by, body, place }: HoldPart, side: LeftRight): void {
  const near = otherSide(side);
  const g = signOfSide(near);
  const l = body.lengths;
  const h = l.stature;
  const { thigh, shank, foot } = LEG[side];
  const at = (frame: number, point: Vec3, direction: Vec3, least: number) =>
    addBeside(eq, near, { who: by, frame, at: point }, direction, least * h);
  at(thigh, [0, 0, 0], [0, 1, 0], 0.05);
  at(thigh, [0, 0, -l.thigh * 0.4], [g * 0.6, 0.8, 0], 0.06);
  at(thigh, [0, 0, -l.thigh * 0.7], [g, 0, 0], 0.07);
  at(shank, [0, 0, 0], [g, 0, 0], 0.07);
  at(shank, [0, 0, -l.shank * 0.25], [g, 0, 0], 0.02);
  at(shank, [0, 0, -l.shank * 0.7], [0, -1, 0], 0.05);
  at(foot, [0, 0.02 * h, -0.02 * h], [-g, 0, 0], 0);
  if (place.mark.kind !== 'spot')
    beyond(
      eq,
      { who: by, frame: foot, at: [0, 0.06 * h, -0.02 * h] },
      { who: place.who, frame: place.mark.frame, at: place.mark.b },
      [-g, 0, 0],
      0.03 * h,
      SIGMA.route,
    );
}

/** Beside top's leg at the same height; beside and behind are taken by the line of the hips, since the thigh itself may turn. */
function addBeside(eq: NormalEquations, near: LeftRight, tip: Tip, direction: Vec3, least: number): void {
  const top = eq.bodies[TOP];
  const { thigh, shank, foot } = LEG[near];
  const p = eq.bodies[tip.who].point(tip.frame, tip.at);
  const [hip, knee, ankle] = [top.origin(thigh), top.origin(shank), top.origin(foot)];
  const low = p[2] < knee[2];
  const share = low
    ? clamp((knee[2] - p[2]) / Math.max(0.1, knee[2] - ankle[2]), 0, 1)
    : clamp((hip[2] - p[2]) / Math.max(0.1, hip[2] - knee[2]), 0, 1);
  const frame = low ? shank : thigh;
  const c = top.point(frame, [0, 0, -(low ? top.lengths.shank : top.lengths.thigh) * share]);
  const d = top.direction(FRAME.pelvis, direction);
  const apart = sub(p, c);
  const short = dot(apart, d) - least;
  if (short >= 0) return;
  eq.add(short, 0.015, [
    lever(tip.who, tip.frame, p, d),
    lever(TOP, frame, c, scale(d, -1)),
    turning(TOP, FRAME.pelvis, d, apart),
  ]);
}

/** How far bottom's leg is from having gone round the outside of top's facing one, degrees. */
export function windingMissing([bottom, top]: readonly [Body, Body], side: LeftRight): number {
  const near = otherSide(side);
  return Math.max(0, WOUND + degrees(winding(bottom, side, top, near)) * signOfSide(near));
}

/**
 * The angle that a leg, from the hip to the toes, sweeps about a leg of the other body, radians; counter-clockwise seen from
 * its hip.
 */
export function winding(body: Body, side: LeftRight, other: Body, around: LeftRight): number {
  const l = body.lengths;
  const own = LEG[side];
  const along = (frame: number, long: number, shares: number[]): Vec3[] =>
    shares.map((share) => body.point(frame, [0, 0, -long * share]));
  const points: Vec3[] = [
    ...along(own.thigh, l.thigh, [0, 0.35, 0.7]),
    ...along(own.shank, l.shank, [0, 0.35, 0.7]),
    body.origin(own.foot),
    body.point(own.foot, [0, 0.05 * l.stature, -0.02 * l.stature]),
    body.point(own.foot, [0, 0.1 * l.stature, -0.025 * l.stature]),
  ];
  const leg = LEG[around];
  const [hip, knee, ankle] = [other.origin(leg.thigh), other.origin(leg.shank), other.origin(leg.foot)];
  const x = other.direction(leg.thigh, [1, 0, 0]);
  const y = other.direction(leg.thigh, [0, 1, 0]);
  let swept = 0;
  let last: number | undefined;
  for (const p of points) {
    const [u, v] = [nearestOnLine(p, hip, knee), nearestOnLine(p, knee, ankle)];
    const apart = sub(p, length(sub(p, u)) < length(sub(p, v)) ? u : v);
    const angle = Math.atan2(dot(apart, y), dot(apart, x));
    if (last !== undefined) {
      const turn = angle - last;
      swept += turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
    }
    last = angle;
  }
  return swept;
}

function nearestOnLine(p: Vec3, a: Vec3, b: Vec3): Vec3 {
  const along = sub(b, a);
  return addScaled(a, along, clamp(dot(sub(p, a), along) / dot(along, along), 0, 1));
}
