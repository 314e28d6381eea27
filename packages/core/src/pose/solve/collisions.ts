import type { Body } from '../bodies/body.ts';
import { BOTTOM, type Pair, TOP, type Who } from '../bodies/pair.ts';
import { SIDES } from '../bodies/skeleton.ts';
import type { Vec3 } from '../bodies/vec3.ts';
import { lever, type NormalEquations } from './normalEquations.ts';

/** Pieces of one body that may lie in one another: neighbours, and what the trunk is made of. */
const NEAR = neighbours();

function neighbours(): ReadonlySet<string> {
  const near = new Set<string>();
  const put = (a: string, b: string) => near.add(`${a}|${b}`).add(`${b}|${a}`);
  const trunk = ['pelvis', 'abdomen', 'chest', 'shoulders', 'neck', 'head'];
  for (const a of trunk) for (const b of trunk) put(a, b);
  for (const s of SIDES) {
    for (const other of [`fore${s}`, `hand${s}`, 'shoulders', 'chest', 'neck', 'head'])
      put(`upper${s}`, other);
    put(`fore${s}`, `hand${s}`);
    for (const other of ['pelvis', 'abdomen', `shank${s}`, `foot${s}`]) put(`thigh${s}`, other);
    put(`shank${s}`, `foot${s}`);
  }
  put('thighL', 'thighR');
  return near;
}

/** The pairs of pieces of one body that must not overlap, by place in its list. */
const ownPairs = new WeakMap<Body, (readonly [number, number])[]>();
function ownPairsOf(body: Body): (readonly [number, number])[] {
  const known = ownPairs.get(body);
  if (known) return known;
  const { capsules } = body;
  const pairs = capsules.flatMap((a, i) =>
    capsules.flatMap((b, j) => (j > i && !NEAR.has(`${a.name}|${b.name}`) ? [[i, j] as const] : [])),
  );
  ownPairs.set(body, pairs);
  return pairs;
}

export interface FleshShares {
  /** Of the radii between the two bodies, and within one: 0 = none, 1 = all. */
  between: number;
  within: number;
}

/**
 * Adds what overlaps, and finds the deepest overlap.
 * @returns metres
 */
export function addOverlaps(
  bodies: Pair,
  { between, within }: FleshShares,
  sigma: number,
  equations?: NormalEquations,
): number {
  const [bottom, top] = bodies;
  const ends = bodies.map(endsOf);
  let worst = 0;
  const test = (i: Who, a: number, j: Who, b: number, share: number) => {
    worst = Math.max(worst, addOverlap(bodies, ends, [i, a], [j, b], share, sigma, equations));
  };
  if (between > 0)
    for (let a = 0; a < bottom.capsules.length; a++)
      for (let b = 0; b < top.capsules.length; b++) test(BOTTOM, a, TOP, b, between);
  if (within > 0)
    for (const who of [BOTTOM, TOP] as const)
      for (const [a, b] of ownPairsOf(bodies[who])) test(who, a, who, b, within);
  return worst;
}

/** Both ends of every piece of a body: six numbers each. */
function endsOf(body: Body): Float64Array {
  const ends = new Float64Array(6 * body.capsules.length);
  for (const [i, { frame, a, b }] of body.capsules.entries()) {
    ends.set(body.point(frame, a), 6 * i);
    ends.set(body.point(frame, b), 6 * i + 3);
  }
  return ends;
}

function addOverlap(
  bodies: Pair,
  ends: readonly Float64Array[],
  [i, a]: readonly [Who, number],
  [j, b]: readonly [Who, number],
  share: number,
  sigma: number,
  equations: NormalEquations | undefined,
): number {
  const first = bodies[i].capsules[a]!;
  const second = bodies[j].capsules[b]!;
  const p = ends[i]!;
  const q = ends[j]!;
  const at = 6 * a;
  const bt = 6 * b;
  // From the start of the one to its end, of the other to its end, and from the other's start to the one's.
  const d1x = p[at + 3]! - p[at]!;
  const d1y = p[at + 4]! - p[at + 1]!;
  const d1z = p[at + 5]! - p[at + 2]!;
  const d2x = q[bt + 3]! - q[bt]!;
  const d2y = q[bt + 4]! - q[bt + 1]!;
  const d2z = q[bt + 5]! - q[bt + 2]!;
  const rx = p[at]! - q[bt]!;
  const ry = p[at + 1]! - q[bt + 1]!;
  const rz = p[at + 2]! - q[bt + 2]!;
  const aa = d1x * d1x + d1y * d1y + d1z * d1z;
  const ee = d2x * d2x + d2y * d2y + d2z * d2z;
  // Far apart: the middles lie further from one another than all of it reaches.
  const reach = (Math.max(first.ra, first.rb) + Math.max(second.ra, second.rb)) * share;
  const far = reach + (Math.sqrt(aa) + Math.sqrt(ee)) / 2;
  const mx = rx + (d1x - d2x) / 2;
  const my = ry + (d1y - d2y) / 2;
  const mz = rz + (d1z - d2z) / 2;
  if (mx * mx + my * my + mz * mz > far * far) return 0;
  // The closest points of two segments (C. Ericson, Real-Time Collision Detection, 2005, from memory).
  const f = d2x * rx + d2y * ry + d2z * rz;
  const c = d1x * rx + d1y * ry + d1z * rz;
  const bb = d1x * d2x + d1y * d2y + d1z * d2z;
  const det = aa * ee - bb * bb;
  let s = det > 1e-9 ? Math.min(1, Math.max(0, (bb * f - c * ee) / det)) : 0.5;
  let t = ee > 1e-9 ? (bb * s + f) / ee : 0;
  if (t < 0) {
    t = 0;
    s = aa > 1e-9 ? Math.min(1, Math.max(0, -c / aa)) : 0;
  } else if (t > 1) {
    t = 1;
    s = aa > 1e-9 ? Math.min(1, Math.max(0, (bb - c) / aa)) : 0;
  }
  const nx = rx + d1x * s - d2x * t;
  const ny = ry + d1y * s - d2y * t;
  const nz = rz + d1z * s - d2z * t;
  const radius = (first.ra + (first.rb - first.ra) * s + second.ra + (second.rb - second.ra) * t) * share;
  const apart = Math.sqrt(nx * nx + ny * ny + nz * nz);
  const depth = radius - apart;
  if (depth <= 0) return 0;
  if (equations) {
    const k = apart > 1e-6 ? 1 / apart : 0;
    const n: Vec3 = k > 0 ? [nx * k, ny * k, nz * k] : [0, 0, 1];
    const u: Vec3 = [p[at]! + d1x * s, p[at + 1]! + d1y * s, p[at + 2]! + d1z * s];
    const v: Vec3 = [q[bt]! + d2x * t, q[bt + 1]! + d2y * t, q[bt + 2]! + d2z * t];
    equations.add(depth, sigma, [
      lever(i, first.frame, u, [-n[0], -n[1], -n[2]]),
      lever(j, second.frame, v, n),
    ]);
  }
  return depth;
}

/** Of a piece's radius so much may not sink into the mat: flesh gives. */
const FIRM = 0.9;

/** Adds what sinks into the mat. */
export function addMat(bodies: Pair, sigma: number, equations: NormalEquations): void {
  for (const who of [BOTTOM, TOP] as const) {
    const body = bodies[who];
    for (const { frame, a, b, ra, rb } of body.capsules)
      for (const [end, radius] of [
        [a, ra],
        [b, rb],
      ] as const) {
        const p = body.point(frame, end);
        const depth = radius * FIRM - p[2];
        if (depth > 0) equations.add(depth, sigma, [lever(who, frame, p, [0, 0, -1])]);
      }
  }
}

/** How far the lowest piece lies under the mat, metres; negative where none touches it. */
export const belowMat = (bodies: Pair): number =>
  Math.max(
    ...bodies.flatMap((body) =>
      body.capsules.flatMap(({ frame, a, b, ra, rb }) => [
        ra - body.point(frame, a)[2],
        rb - body.point(frame, b)[2],
      ]),
    ),
  );
