import type { Body } from '../bodies/body.ts';
import { type Flesh, fleshOf, PART } from '../bodies/flesh.ts';
import { BOTTOM, type Pair, TOP, type Who } from '../bodies/pair.ts';
import { FRAME } from '../bodies/skeleton.ts';
import { addScaled, dot, scale as scaled, unit, type Vec3 } from '../bodies/vec3.ts';
import type { PoseScene } from './poseScene.ts';
import { linesBetween, linesPath, maskPath } from './trace.ts';
import {
  type Axes,
  axesOf,
  centreOf,
  type DepthPicture,
  type Frame,
  frameFor,
  splat,
  toPicture,
  type View,
} from './view.ts';

/** What a path shows; the same of both players in their own colours. */
export const LAYERS = ['shadow', 'body', 'skin', 'hair', 'belt', 'lapel', 'shade', 'light', 'line'] as const;
export type Layer = (typeof LAYERS)[number];

/** A picture of two bodies as paths of SVG, to be drawn in order, and where the holds are in it. */
export interface DrawnBodies {
  width: number;
  height: number;
  /** Without a player: both, or neither. */
  paths: { layer: Layer; who?: Who; d: string }[];
  contacts: { id: string; by: Who; x: number; y: number; hidden: boolean }[];
}

export interface DrawOptions {
  width?: number;
  height?: number;
  /** All that is to have room in the picture, where that is more than the pair: pictures that follow one another. */
  room?: Flesh | undefined;
}

/** A picture is traced on so many pixels for each of its own: a small one finer, for its lines are closer together. */
const fineness = (width: number): number => (width < 240 ? 1.6 : 1.15);
const MARGIN = 6;
/** Room for the shadow under the pair. */
const BELOW = 16;
/** A contact this far behind what is seen is hidden, metres. */
const HIDDEN = 0.075;
const DARK = 0.28;
const BRIGHT = 0.88;
/** Depth jumps of a line within a part, and between parts, metres. */
const FOLD = { own: 0.03, other: 0.016 } as const;

const ZONE = { cloth: 0, skin: 1, hair: 2, belt: 3, lapel: 4 } as const;
const ZONES = 8;
const NO_SURFACE = -1;

/** Draws a pose as it is seen from somewhere: silhouettes, skin, hair, belts, two tones, and lines where depth jumps. */
export function drawBodies(scene: PoseScene, view: View, options: DrawOptions = {}): DrawnBodies {
  const { width = 320, height = 240 } = options;
  const { bodies, contacts, fists } = scene;
  const fine = fineness(width);
  const axes = axesOf(view);
  const flesh = fleshOf(bodies, fists, 1.2);
  const [w, h] = [Math.round(width * fine), Math.round(height * fine)];
  const fitted = frameFor(options.room ?? flesh, axes, w, h - BELOW * fine, MARGIN * fine);
  const frame: Frame = { ...fitted, height: h };
  const picture = splat(flesh, axes, frame);
  const filled = filledPixels(picture);
  const { zones, light } = shadeOf(bodies, flesh, axes, frame, picture, filled);
  soften(light, flesh, picture, frame, filled);
  const paths: DrawnBodies['paths'] = [];
  const put = (layer: Layer, who: Who | undefined, d: string) => {
    if (d) paths.push({ layer, ...(who !== undefined && { who }), d });
  };
  const mask = (is: (i: number) => boolean) => {
    const set = new Uint8Array(w * h);
    for (const i of filled) if (is(i)) set[i] = 1;
    return maskPath(set, w, h, 1 / fine, filled);
  };
  put('shadow', undefined, maskPath(shadowOf(flesh, axes, frame), w, h, 1 / fine));
  for (const who of [BOTTOM, TOP] as const)
    put(
      'body',
      who,
      mask((i) => whoOf(zones[i]!) === who),
    );
  for (const who of [BOTTOM, TOP] as const)
    for (const layer of ['skin', 'hair', 'belt', 'lapel'] as const)
      put(
        layer,
        who,
        mask((i) => zones[i] === who * ZONES + ZONE[layer]),
      );
  put(
    'shade',
    undefined,
    mask((i) => light[i]! < DARK),
  );
  put(
    'light',
    undefined,
    mask((i) => light[i]! > BRIGHT),
  );
  for (const who of [BOTTOM, TOP] as const)
    put('line', who, linesPath(foldsOf(who, zones, flesh, picture, frame, filled), 1 / fine));
  return {
    width,
    height,
    paths,
    contacts: contacts.map(({ id, by, at }) => {
      const [x, y] = toPicture(at, axes, frame);
      const near = picture.depth[Math.floor(y) * w + Math.floor(x)] ?? 0;
      return { id, by, x: x / fine, y: y / fine, hidden: near - dot(at, axes.towards) > HIDDEN };
    }),
  };
}

/** The pixels in which anything is seen, in order. */
function filledPixels({ sphere }: DepthPicture): Int32Array {
  const filled = new Int32Array(sphere.length);
  let count = 0;
  for (let i = 0; i < sphere.length; i++) if (sphere[i]! >= 0) filled[count++] = i;
  return filled.subarray(0, count);
}

const whoOf = (zone: number): number => (zone < ZONES ? BOTTOM : TOP);

/** Of every pixel whose and which zone it is, and how much light it has. */
function shadeOf(
  bodies: Pair,
  flesh: Flesh,
  axes: Axes,
  frame: Frame,
  { depth, sphere }: DepthPicture,
  filled: Int32Array,
) {
  const { width, height, left, top, scale } = frame;
  const { right, up, towards } = axes;
  const { centres } = flesh;
  const zones = new Int8Array(width * height).fill(NO_SURFACE);
  const light = new Float32Array(width * height);
  const from = unit(addScaled(addScaled(scaled(towards, 0.55), up, 0.75), right, -0.45));
  for (const i of filled) {
    const x = i % width;
    const y = (i - x) / width;
    const s = sphere[i]!;
    // The point of the surface; written out, since this is done for every pixel.
    const [a, b, c] = [left + (x + 0.5) / scale, top - (y + 0.5) / scale, depth[i]!];
    const p: Vec3 = [
      right[0] * a + up[0] * b + towards[0] * c,
      right[1] * a + up[1] * b + towards[1] * c,
      right[2] * a + up[2] * b + towards[2] * c,
    ];
    const [cx, cy, cz] = [centres[3 * s]!, centres[3 * s + 1]!, centres[3 * s + 2]!];
    light[i] = ((p[0] - cx) * from[0] + (p[1] - cy) * from[1] + (p[2] - cz) * from[2]) / flesh.radii[s]!;
    const who = flesh.whos[s]!;
    zones[i] = who * ZONES + zoneOf(bodies[who as Who], flesh.parts[s]!, flesh.frames[s]!, p);
  }
  return { zones, light };
}

/** Cloth, skin, hair, belt or lapel: what shows which way a body faces. */
function zoneOf(body: Body, part: number, frame: number, p: Vec3): number {
  const h = body.lengths.stature;
  if (part >= PART.handL) return ZONE.skin;
  if (part === PART.head) {
    if (frame !== FRAME.head) return ZONE.skin;
    const [, y, z] = scaled(body.local(FRAME.head, p), 1 / h);
    return z > 0.092 || (y < 0 && z > 0.025) || (y < 0.02 && z > 0.075) ? ZONE.hair : ZONE.skin;
  }
  if (part !== PART.trunk) return ZONE.cloth;
  if (Math.abs(body.local(FRAME.abdomen, p)[2] / h) < 0.013) return ZONE.belt;
  const [x, y, z] = scaled(body.local(FRAME.chest, p), 1 / h);
  if (z > 0.125 && Math.abs(x) < 0.05) return y > 0.02 ? ZONE.skin : ZONE.lapel;
  if (y <= 0.01 || z <= -0.1) return ZONE.cloth;
  const opening = Math.max(0, z + 0.07) * 0.28;
  if (Math.abs(Math.abs(x) - opening) < 0.011) return ZONE.lapel;
  return Math.abs(x) < opening && z > 0.03 ? ZONE.skin : ZONE.cloth;
}

/** Evens the light out within a part, so that it makes a few large shapes. */
function soften(
  light: Float32Array,
  { whos, parts }: Flesh,
  { depth, sphere }: DepthPicture,
  { width, height }: Frame,
  filled: Int32Array,
): void {
  const pieces = Int16Array.from(sphere, (s) => (s < 0 ? -1 : whos[s]! * 16 + parts[s]!));
  const around = [-width - 1, -width, -width + 1, -1, 1, width - 1, width, width + 1];
  // Which of its neighbours are of the same surface is the same in every pass: a bit each.
  const inside = filled.filter((i) => {
    const x = i % width;
    return x > 0 && x < width - 1 && i >= width && i < width * (height - 1);
  });
  const alike = new Uint8Array(inside.length);
  for (let n = 0; n < inside.length; n++) {
    const i = inside[n]!;
    let bits = 0;
    for (let k = 0; k < 8; k++) {
      const j = i + around[k]!;
      if (pieces[j] === pieces[i] && Math.abs(depth[j]! - depth[i]!) < 0.04) bits |= 1 << k;
    }
    alike[n] = bits;
  }
  for (let pass = 0; pass < 3; pass++) {
    const before = light.slice();
    for (let n = 0; n < inside.length; n++) {
      const i = inside[n]!;
      let sum = before[i]!;
      let count = 1;
      for (let bits = alike[n]!, k = 0; bits > 0; bits >>= 1, k++) {
        if ((bits & 1) === 0) continue;
        sum += before[i + around[k]!]!;
        count++;
      }
      light[i] = sum / count;
    }
  }
}

/** The shadow on the mat of what is near it. */
function shadowOf(flesh: Flesh, axes: Axes, frame: Frame): Uint8Array {
  const { width, height, scale } = frame;
  const set = new Uint8Array(width * height);
  const flat = Math.max(0.15, axes.towards[2]);
  for (let i = 0; i < flesh.count; i++) {
    const p = centreOf(flesh, i);
    if (p[2] > 0.45) continue;
    const wide = flesh.radii[i]! * scale * 1.05;
    const high = wide * flat;
    const [x, y] = toPicture([p[0], p[1], 0], axes, frame);
    for (let py = Math.max(0, Math.floor(y - high)); py <= Math.min(height - 1, y + high); py++)
      for (let px = Math.max(0, Math.floor(x - wide)); px <= Math.min(width - 1, x + wide); px++)
        if (((px + 0.5 - x) / wide) ** 2 + ((py + 0.5 - y) / high) ** 2 <= 1) set[py * width + px] = 1;
  }
  return set;
}

/** Lines of a player: where it lies in front of the other one, and where its own depth jumps. */
function foldsOf(
  who: Who,
  zones: Int8Array,
  { parts }: Flesh,
  { depth, sphere }: DepthPicture,
  { width, height }: Frame,
  filled: Int32Array,
) {
  const parted = (i: number, j: number) => {
    if (zones[i] === NO_SURFACE || zones[j] === NO_SURFACE) return false;
    const front = depth[i]! > depth[j]! ? i : j;
    if (whoOf(zones[front]!) !== who) return false;
    if (whoOf(zones[i]!) !== whoOf(zones[j]!)) return true;
    const jump = Math.abs(depth[i]! - depth[j]!);
    return jump > (parts[sphere[i]!] === parts[sphere[j]!] ? FOLD.own : FOLD.other);
  };
  return linesBetween(width, height, parted, filled);
}
