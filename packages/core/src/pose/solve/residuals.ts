import { type Landmark, nearestOn } from '../bodies/landmarks.ts';
import { type Who } from '../bodies/pair.ts';
import { addScaled, dot, length, scale, sub, unit, type Vec3 } from '../bodies/vec3.ts';
import { lever, type NormalEquations, turning } from './normalEquations.ts';

/** σ of where a hold is, of how it is turned (a cosine) and of the way round, metres. */
export const SIGMA = { place: 0.012, turn: 0.4, route: 0.03 } as const;

/** A point of one body, in the terms of one of its frames. */
export interface Tip {
  who: Who;
  frame: number;
  at: Vec3;
}
/** A landmark of one body. */
export interface Place {
  who: Who;
  mark: Landmark;
}

/** A tip is `gap` away from the surface of a place. */
export function touch(
  eq: NormalEquations,
  tip: Tip,
  place: Place,
  gap: number,
  sigma: number,
  robust = 0,
): void {
  const p = eq.bodies[tip.who].point(tip.frame, tip.at);
  const c = nearestOn(eq.bodies[place.who], place.mark, p);
  const apart = sub(p, c);
  const n = unit(apart);
  eq.add(
    length(apart) - gap - place.mark.radius,
    sigma,
    [lever(tip.who, tip.frame, p, n), lever(place.who, place.mark.frame, c, scale(n, -1))],
    robust,
  );
}

/** Two tips meet. */
export function meet(eq: NormalEquations, tip: Tip, other: Tip, sigma: number, robust = 0): void {
  const p = eq.bodies[tip.who].point(tip.frame, tip.at);
  const c = eq.bodies[other.who].point(other.frame, other.at);
  eq.addVector(
    sub(p, c),
    sigma,
    [
      [tip.who, tip.frame, p, 1],
      [other.who, other.frame, c, -1],
    ],
    robust,
  );
}

/** Two directions, `at` of each tip taken for one, have a cosine. */
export function align(eq: NormalEquations, one: Tip, other: Tip, cosine: number, sigma: number): void {
  const u = eq.bodies[one.who].direction(one.frame, one.at);
  const v = eq.bodies[other.who].direction(other.frame, other.at);
  eq.add(dot(u, v) - cosine, sigma, [
    turning(one.who, one.frame, u, v),
    turning(other.who, other.frame, v, u),
  ]);
}

/** A direction of a tip's frame points at a place, at least about so. */
export function face(
  eq: NormalEquations,
  tip: Tip,
  normal: Vec3,
  place: Place,
  sigma: number,
  least: number,
): void {
  const body = eq.bodies[tip.who];
  const p = body.point(tip.frame, tip.at);
  const c = nearestOn(eq.bodies[place.who], place.mark, p);
  const way = sub(c, p);
  const u = unit(way);
  const v = body.direction(tip.frame, normal);
  const short = dot(u, v) - least;
  if (short >= 0) return;
  const g = scale(addScaled(v, u, -dot(u, v)), 1 / Math.max(0.02, length(way)));
  eq.add(short, sigma, [
    turning(tip.who, tip.frame, v, u),
    lever(place.who, place.mark.frame, c, g),
    lever(tip.who, tip.frame, p, scale(g, -1)),
  ]);
}

/** A tip lies at least so far along a direction of another body's frame, from a point of it. */
export function beyond(
  eq: NormalEquations,
  tip: Tip,
  from: Tip,
  direction: Vec3,
  least: number,
  sigma: number,
): void {
  const p = eq.bodies[tip.who].point(tip.frame, tip.at);
  const other = eq.bodies[from.who];
  const c = other.point(from.frame, from.at);
  const d = other.direction(from.frame, direction);
  const apart = sub(p, c);
  const short = dot(apart, d) - least;
  if (short >= 0) return;
  eq.add(short, sigma, [
    lever(tip.who, tip.frame, p, d),
    lever(from.who, from.frame, c, scale(d, -1)),
    turning(from.who, from.frame, d, apart),
  ]);
}

/** Two tips are so far apart. */
export function keepApart(eq: NormalEquations, one: Tip, other: Tip, distance: number, sigma: number): void {
  const p = eq.bodies[one.who].point(one.frame, one.at);
  const q = eq.bodies[other.who].point(other.frame, other.at);
  const apart = sub(p, q);
  const n = unit(apart);
  eq.add(length(apart) - distance, sigma, [
    lever(one.who, one.frame, p, n),
    lever(other.who, other.frame, q, scale(n, -1)),
  ]);
}

/** Two tips lie on either side of a place: their middle is on its axis, and they are so far apart. */
export function straddle(
  eq: NormalEquations,
  left: Tip,
  right: Tip,
  place: Place,
  distance: number,
  sigma: number,
): void {
  const p = eq.bodies[left.who].point(left.frame, left.at);
  const q = eq.bodies[right.who].point(right.frame, right.at);
  const middle: Vec3 = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2, (p[2] + q[2]) / 2];
  const c = nearestOn(eq.bodies[place.who], place.mark, middle);
  eq.addVector(sub(middle, c), sigma, [
    [left.who, left.frame, p, 0.5],
    [right.who, right.frame, q, 0.5],
    [place.who, place.mark.frame, c, -1],
  ]);
  keepApart(eq, left, right, distance, SIGMA.place * 1.5);
}
