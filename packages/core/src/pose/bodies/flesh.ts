import type { Body } from './body.ts';
import { BOTTOM, type Pair, TOP } from './pair.ts';
import { ARM, FRAME, LEG, type LeftRight, SIDES, signOfSide } from './skeleton.ts';
import { length, mix, sub, type Vec3 } from './vec3.ts';

/** What a sphere of flesh belongs to. */
export const PART = {
  trunk: 0,
  head: 1,
  armL: 2,
  armR: 3,
  legL: 4,
  legR: 5,
  handL: 6,
  handR: 7,
  footL: 8,
  footR: 9,
} as const;
export const PARTS_OF_BODY = 10;

/** Both bodies as spheres: where, how large (metres), whose, of which part and frame. */
export interface Flesh {
  count: number;
  centres: Float64Array;
  radii: Float64Array;
  whos: Uint8Array;
  parts: Uint8Array;
  frames: Uint8Array;
}

/** Several pairs as one, to find room for all of them. */
export function allOf(fleshes: readonly Flesh[]): Flesh {
  const all = (pick: (flesh: Flesh) => ArrayLike<number>) =>
    fleshes.flatMap((flesh) => Array.from(pick(flesh)));
  return {
    count: fleshes.reduce((sum, { count }) => sum + count, 0),
    centres: Float64Array.from(all(({ centres }) => centres)),
    radii: Float64Array.from(all(({ radii }) => radii)),
    whos: Uint8Array.from(all(({ whos }) => whos)),
    parts: Uint8Array.from(all(({ parts }) => parts)),
    frames: Uint8Array.from(all(({ frames }) => frames)),
  };
}

/** One knot of a tube: a frame, a point of it, a radius as a share of stature. */
type Knot = readonly [frame: number, at: Vec3, radius: number];

/** Sections of the trunk from the pelvis up: frame, middle, half its width, radius; shares of stature. */
const TRUNK: readonly (readonly [number, Vec3, number, number])[] = [
  [FRAME.pelvis, [0, -0.008, -0.025], 0.045, 0.05],
  [FRAME.pelvis, [0, -0.002, 0.02], 0.05, 0.053],
  [FRAME.abdomen, [0, 0, 0], 0.04, 0.05],
  [FRAME.abdomen, [0, 0.002, 0.045], 0.04, 0.051],
  [FRAME.chest, [0, 0.002, 0], 0.045, 0.055],
  [FRAME.chest, [0, 0.004, 0.05], 0.058, 0.057],
  [FRAME.chest, [0, -0.003, 0.095], 0.072, 0.042],
];

/** Hands that are fists: they hold cloth or a limb. */
export type Fists = readonly [ReadonlySet<LeftRight>, ReadonlySet<LeftRight>];

/**
 * The flesh of both bodies as spheres that overlap.
 * @param density 1 to draw with, less to look where to draw from
 */
export function fleshOf(bodies: Pair, fists: Fists, density = 1): Flesh {
  const centres: number[] = [];
  const radii: number[] = [];
  const whos: number[] = [];
  const parts: number[] = [];
  const frames: number[] = [];
  for (const who of [BOTTOM, TOP] as const)
    addBody(bodies[who], fists[who], density, (p, radius, part, frame) => {
      centres.push(...p);
      radii.push(radius);
      whos.push(who);
      parts.push(part);
      frames.push(frame);
    });
  return {
    count: radii.length,
    centres: Float64Array.from(centres),
    radii: Float64Array.from(radii),
    whos: Uint8Array.from(whos),
    parts: Uint8Array.from(parts),
    frames: Uint8Array.from(frames),
  };
}

type Put = (p: Vec3, radius: number, part: number, frame: number) => void;

function addBody(body: Body, fists: ReadonlySet<LeftRight>, density: number, put: Put): void {
  const { lengths: l } = body;
  const h = l.stature;
  const at = (x: number, y: number, z: number): Vec3 => [x * h, y * h, z * h];
  const tube = (knots: readonly Knot[], part: number, spacing = 0.012) => {
    for (const [i, [toFrame, to, toRadius]] of knots.entries()) {
      if (i === 0) continue;
      const [fromFrame, from, fromRadius] = knots[i - 1]!;
      const a = body.point(fromFrame, from);
      const b = body.point(toFrame, to);
      const steps = Math.max(2, Math.ceil((length(sub(a, b)) * density) / (spacing * h)));
      for (let k = 0; k <= steps; k++) {
        const t = k / steps;
        const radius = (fromRadius + (toRadius - fromRadius) * t) * h;
        put(mix(a, b, t), radius, part, t < 0.5 ? fromFrame : toFrame);
      }
    }
  };
  const layers = Math.round(8 * density);
  for (const [i, [frame, middle, wide, radius]] of TRUNK.entries()) {
    const next = TRUNK[i + 1];
    if (!next) break;
    const [nextFrame, nextMiddle, nextWide, nextRadius] = next;
    for (let k = 0; k < layers; k++)
      for (let across = -3; across <= 3; across++) {
        const x = across / 3;
        const t = k / layers;
        const from = body.point(frame, at(middle[0] + x * wide, middle[1], middle[2]));
        const to = body.point(nextFrame, at(x * nextWide, nextMiddle[1], nextMiddle[2]));
        const r = (radius + (nextRadius - radius) * t - Math.abs(x) * 0.006) * h;
        put(mix(from, to, t), r, PART.trunk, t < 0.5 ? frame : nextFrame);
      }
  }
  const { head, neck, chest, pelvis } = FRAME;
  tube(
    [
      [neck, at(0, -0.004, -0.015), 0.034],
      [head, at(0, 0.002, 0.02), 0.03],
    ],
    PART.head,
  );
  for (const [y, z, radius] of [
    [0, 0.075, 0.051],
    [0.012, 0.068, 0.049],
    [0.022, 0.045, 0.04],
    [0.03, 0.025, 0.03],
    [-0.01, 0.062, 0.048],
  ] as const)
    put(body.point(head, at(0, y, z)), radius * h, PART.head, head);
  // The nose.
  tube(
    [
      [head, at(0, 0.055, 0.06), 0.008],
      [head, at(0, 0.067, 0.042), 0.009],
    ],
    PART.head,
  );
  for (const side of SIDES) {
    const g = signOfSide(side);
    const { upper, fore, hand } = ARM[side];
    const { thigh, shank, foot } = LEG[side];
    const down = (long: number, share: number): Vec3 => [0, 0, -long * share];
    tube(
      [
        [chest, at(g * 0.07, 0, 0.1), 0.042],
        [upper, [0, 0, 0], 0.036],
        [upper, down(l.upperArm, 0.45), 0.031],
        [fore, [0, 0, 0], 0.026],
        [fore, down(l.foreArm, 0.3), 0.027],
        [fore, down(l.foreArm, 0.92), 0.02],
      ],
      PART[`arm${side}`],
    );
    const palm = PART[`hand${side}`];
    tube(
      [
        [fore, down(l.foreArm, 0.9), 0.016],
        [hand, at(0, 0, -0.02), 0.017],
      ],
      palm,
    );
    for (const y of [-0.012, 0, 0.012]) {
      const ends: Knot[] = fists.has(side)
        ? [
            [hand, at(g * -0.03, y * 0.9, -0.058), 0.0105],
            [hand, at(g * -0.036, y * 0.9, -0.036), 0.0095],
          ]
        : [[hand, at(g * -0.022, y * 0.9, -0.078), 0.0095]];
      tube(
        [[hand, at(0, y, -0.015), 0.013], [hand, at(g * -0.004, y, -0.052), 0.0115], ...ends],
        palm,
        0.008,
      );
    }
    tube(
      [
        [hand, at(0, 0.014, -0.012), 0.011],
        [hand, at(g * -0.02, 0.026, -0.045), 0.0095],
      ],
      palm,
      0.008,
    );
    tube(
      [
        [pelvis, at(g * 0.06, -0.005, -0.01), 0.056],
        [thigh, [0, 0, 0], 0.052],
        [thigh, down(l.thigh, 0.5), 0.047],
        [shank, [0, 0, 0], 0.035],
        [shank, [0, -0.006 * h, -l.shank * 0.3], 0.036],
        [shank, down(l.shank, 0.85), 0.024],
      ],
      PART[`leg${side}`],
    );
    const sole = PART[`foot${side}`];
    tube(
      [
        [shank, down(l.shank, 0.85), 0.021],
        [foot, at(0, -0.004, -0.008), 0.021],
        [foot, at(0, -0.022, -0.018), 0.0185],
      ],
      sole,
      0.008,
    );
    tube(
      [
        [foot, at(0, -0.02, -0.02), 0.0175],
        [foot, at(0, 0.03, -0.014), 0.021],
        [foot, at(0, 0.075, -0.023), 0.014],
      ],
      sole,
      0.008,
    );
    for (const x of [-0.012, 0, 0.012])
      tube(
        [
          [foot, at(x * 0.6, 0.03, -0.018), 0.017],
          [foot, at(x, 0.07, -0.024), 0.0125],
          [foot, at(x, 0.098 - Math.abs(x) * 0.3, -0.027), 0.0095],
        ],
        sole,
        0.008,
      );
  }
}
