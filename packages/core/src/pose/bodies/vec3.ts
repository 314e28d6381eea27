/** A point or a direction: x to the right, y forward, z up; metres where it is a point. */
export type Vec3 = readonly [number, number, number];

export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
/** a + k·b. */
export const addScaled = (a: Vec3, b: Vec3, k: number): Vec3 => [
  a[0] + b[0] * k,
  a[1] + b[1] * k,
  a[2] + b[2] * k,
];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const length = (a: Vec3): number => Math.sqrt(dot(a, a));
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** The direction of a vector; some direction for one without length. */
export const unit = (a: Vec3): Vec3 => scale(a, 1 / (length(a) || 1e-9));
/** The point that lies the share t of the way from a to b. */
export const mix = (a: Vec3, b: Vec3, t: number): Vec3 => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];
export const clamp = (value: number, least: number, most: number): number =>
  value < least ? least : value > most ? most : value;
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (angle: number): number => (angle * 180) / Math.PI;

/** A rotation, row by row. */
export type Rotation = readonly [number, number, number, number, number, number, number, number, number];

export const NO_ROTATION: Rotation = [1, 0, 0, 0, 1, 0, 0, 0, 1];

/** The rotation by an angle about a unit axis. */
export function rotation([x, y, z]: Vec3, angle: number): Rotation {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const k = 1 - c;
  return [
    c + x * x * k,
    x * y * k - z * s,
    x * z * k + y * s,
    y * x * k + z * s,
    c + y * y * k,
    y * z * k - x * s,
    z * x * k - y * s,
    z * y * k + x * s,
    c + z * z * k,
  ];
}

/** First b, then a. */
export function after(a: Rotation, b: Rotation): Rotation {
  const at = (i: number, j: number) =>
    a[i * 3]! * b[j]! + a[i * 3 + 1]! * b[3 + j]! + a[i * 3 + 2]! * b[6 + j]!;
  return [at(0, 0), at(0, 1), at(0, 2), at(1, 0), at(1, 1), at(1, 2), at(2, 0), at(2, 1), at(2, 2)];
}

export const columnOf = (r: Rotation, j: 0 | 1 | 2): Vec3 => [r[j]!, r[3 + j]!, r[6 + j]!];
