import type { Flesh } from '../bodies/flesh.ts';
import { cross, dot, radians, type Vec3 } from '../bodies/vec3.ts';

/** Where a pair is looked at from, degrees: azimuth 0 from behind bottom's head, 90 from bottom's right; elevation above the mat. */
export interface View {
  azimuth: number;
  elevation: number;
}

/** The directions of a picture in the world: to its right, up in it, and towards who looks. */
export interface Axes {
  right: Vec3;
  up: Vec3;
  towards: Vec3;
}

export function axesOf({ azimuth, elevation }: View): Axes {
  const a = radians(azimuth);
  const e = radians(elevation);
  const towards: Vec3 = [Math.cos(e) * Math.sin(a), -Math.cos(e) * Math.cos(a), Math.sin(e)];
  const right: Vec3 = [Math.cos(a), Math.sin(a), 0];
  return { right, up: cross(towards, right), towards };
}

/** How the world lies in a picture: pixels a metre, and what is at its left and its upper edge, metres. */
export interface Frame {
  width: number;
  height: number;
  scale: number;
  left: number;
  top: number;
  /** Of what is shown, metres. */
  wide: number;
  high: number;
}

/** The frame in which all flesh is seen, in the middle, with a margin in pixels. */
export function frameFor(flesh: Flesh, axes: Axes, width: number, height: number, margin: number): Frame {
  let [x0, x1, y0, y1] = [1e9, -1e9, 1e9, -1e9];
  for (let i = 0; i < flesh.count; i++) {
    const p = centreOf(flesh, i);
    const r = flesh.radii[i]!;
    const x = dot(p, axes.right);
    const y = dot(p, axes.up);
    x0 = Math.min(x0, x - r);
    x1 = Math.max(x1, x + r);
    y0 = Math.min(y0, y - r);
    y1 = Math.max(y1, y + r);
  }
  const wide = x1 - x0;
  const high = y1 - y0;
  const scale = Math.min((width - 2 * margin) / wide, (height - 2 * margin) / high);
  return {
    width,
    height,
    scale,
    left: (x0 + x1) / 2 - width / 2 / scale,
    top: (y0 + y1) / 2 + height / 2 / scale,
    wide,
    high,
  };
}

export const centreOf = ({ centres }: Flesh, i: number): Vec3 => [
  centres[3 * i]!,
  centres[3 * i + 1]!,
  centres[3 * i + 2]!,
];

/** A point of the world in a picture: pixels from the left and from above. */
export const toPicture = (p: Vec3, { right, up }: Axes, { left, top, scale }: Frame): [number, number] => [
  (dot(p, right) - left) * scale,
  (top - dot(p, up)) * scale,
];

/** What is seen at every pixel: how near it is (metres towards who looks) and which sphere; −1 where nothing is. */
export interface DepthPicture {
  depth: Float32Array;
  sphere: Int32Array;
}

/** Splats every sphere; the nearest is seen. */
export function splat(flesh: Flesh, axes: Axes, frame: Frame): DepthPicture {
  const { width, height, scale } = frame;
  const depth = new Float32Array(width * height).fill(-1e9);
  const sphere = new Int32Array(width * height).fill(-1);
  for (let i = 0; i < flesh.count; i++) {
    const p = centreOf(flesh, i);
    const [x, y] = toPicture(p, axes, frame);
    const near = dot(p, axes.towards);
    const radius = flesh.radii[i]! * scale;
    const lastX = Math.min(width - 1, Math.ceil(x + radius));
    const lastY = Math.min(height - 1, Math.ceil(y + radius));
    for (let py = Math.max(0, Math.floor(y - radius)); py <= lastY; py++) {
      const dy = py + 0.5 - y;
      for (let px = Math.max(0, Math.floor(x - radius)); px <= lastX; px++) {
        const dx = px + 0.5 - x;
        const rest = radius * radius - dx * dx - dy * dy;
        if (rest <= 0) continue;
        const d = near + Math.sqrt(rest) / scale;
        const at = py * width + px;
        if (d > depth[at]!) {
          depth[at] = d;
          sphere[at] = i;
        }
      }
    }
  }
  return { depth, sphere };
}
