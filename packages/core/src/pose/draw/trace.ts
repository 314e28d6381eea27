/** A corner of a pixel, or a point of a line smoothed from such corners. */
export type Point = readonly [number, number];

/** Lines from corner to corner, by the corner they start at. */
class Edges {
  private readonly from = new Map<number, number[]>();
  add(a: number, b: number): void {
    const known = this.from.get(a);
    if (known) known.push(b);
    else this.from.set(a, [b]);
  }
  starts(): Iterable<number> {
    return this.from.keys();
  }
  degree(a: number): number {
    return this.from.get(a)?.length ?? 0;
  }
  take(a: number): number | undefined {
    return this.from.get(a)?.shift();
  }
  drop(a: number, b: number): void {
    const known = this.from.get(a);
    const at = known?.indexOf(b) ?? -1;
    if (at >= 0) known!.splice(at, 1);
  }
}

const LEAST_LOOP = 8;
const LEAST_LINE = 6;

/** Every pixel of a picture. */
function everyPixel(count: number): Int32Array {
  const all = new Int32Array(count);
  for (let i = 0; i < count; i++) all[i] = i;
  return all;
}

/**
 * The outlines of what is set in a mask, round each region with it on the right hand.
 * @param among pixels that may be set, in order
 */
export function outlines(
  mask: Uint8Array,
  width: number,
  height: number,
  among: Int32Array = everyPixel(mask.length),
): Point[][] {
  const edges = new Edges();
  const key = (x: number, y: number) => y * (width + 1) + x;
  const set = (x: number, y: number) =>
    x >= 0 && y >= 0 && x < width && y < height && mask[y * width + x] !== 0;
  for (const i of among) {
    if (!mask[i]) continue;
    const x = i % width;
    const y = (i - x) / width;
    if (!set(x, y - 1)) edges.add(key(x, y), key(x + 1, y));
    if (!set(x + 1, y)) edges.add(key(x + 1, y), key(x + 1, y + 1));
    if (!set(x, y + 1)) edges.add(key(x + 1, y + 1), key(x, y + 1));
    if (!set(x - 1, y)) edges.add(key(x, y + 1), key(x, y));
  }
  const loops: Point[][] = [];
  for (const start of edges.starts())
    while (edges.degree(start) > 0) {
      const loop: Point[] = [];
      let at: number | undefined = start;
      do {
        loop.push([at % (width + 1), Math.floor(at / (width + 1))]);
        at = edges.take(at);
      } while (at !== undefined && at !== start);
      if (loop.length >= LEAST_LOOP) loops.push(loop);
    }
  return loops;
}

/**
 * Lines between neighbouring pixels, as few long ones as there are, short ones left out.
 * @param among pixels that may be parted from the one to the right or below, in order
 */
export function linesBetween(
  width: number,
  height: number,
  parted: (one: number, other: number) => boolean,
  among: Int32Array = everyPixel(width * height),
): Point[][] {
  const edges = new Edges();
  const key = (x: number, y: number) => y * (width + 1) + x;
  const both = (a: number, b: number) => {
    edges.add(a, b);
    edges.add(b, a);
  };
  for (const i of among) {
    const x = i % width;
    const y = (i - x) / width;
    if (x + 1 < width && parted(i, i + 1)) both(key(x + 1, y), key(x + 1, y + 1));
    if (y + 1 < height && parted(i, i + width)) both(key(x, y + 1), key(x + 1, y + 1));
  }
  const lines: Point[][] = [];
  const walk = (start: number): Point[] => {
    const line: Point[] = [];
    for (let at: number | undefined = start; at !== undefined; ) {
      line.push([at % (width + 1), Math.floor(at / (width + 1))]);
      const next = edges.take(at);
      if (next !== undefined) edges.drop(next, at);
      at = next;
    }
    return line;
  };
  // Lines with two ends first, from their ends; then closed ones.
  for (const closed of [false, true])
    for (const start of [...edges.starts()])
      while (edges.degree(start) > 0 && (closed || edges.degree(start) % 2 === 1)) {
        const line = walk(start);
        if (line.length >= LEAST_LINE) lines.push(line);
      }
  return lines;
}

/** A line with each point drawn towards its neighbours, some times over. */
function smooth(line: readonly Point[], closed: boolean, times: number): readonly Point[] {
  let points = line;
  for (let k = 0; k < times; k++) {
    const before = points;
    const count = before.length;
    points = before.map((p, i) => {
      if (!closed && (i === 0 || i === count - 1)) return p;
      const a = before[(i - 1 + count) % count]!;
      const b = before[(i + 1) % count]!;
      return [(a[0] + 2 * p[0] + b[0]) / 4, (a[1] + 2 * p[1] + b[1]) / 4];
    });
  }
  return points;
}

/** The fewest points that stay within a distance of a line (Ramer, Douglas and Peucker, from memory). */
export function simplify(points: readonly Point[], within: number): readonly Point[] {
  if (points.length < 4) return points;
  const keep = new Uint8Array(points.length);
  keep[0] = 1;
  keep[points.length - 1] = 1;
  const open: [number, number][] = [[0, points.length - 1]];
  for (let span = open.pop(); span; span = open.pop()) {
    const [from, to] = span;
    const [x, y] = points[from]!;
    const dx = points[to]![0] - x;
    const dy = points[to]![1] - y;
    const long = Math.hypot(dx, dy);
    let most = within;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const px = points[i]![0] - x;
      const py = points[i]![1] - y;
      const off = long > 1e-6 ? Math.abs(px * dy - py * dx) / long : Math.hypot(px, py);
      if (off > most) {
        most = off;
        at = i;
      }
    }
    if (at < 0) continue;
    keep[at] = 1;
    open.push([from, at], [at, to]);
  }
  return points.filter((_, i) => keep[i]);
}

const short = (value: number): string => String(Math.round(value * 10) / 10);

/** A path of SVG through points, scaled. */
const pathOf = (points: readonly Point[], scale: number, closed: boolean): string =>
  points.length > 1
    ? `M${points.map(([x, y]) => `${short(x * scale)} ${short(y * scale)}`).join('L')}${closed ? 'Z' : ''}`
    : '';

/** How far a line may be from where it was traced, pixels. */
const WITHIN = 0.45;

/** The outlines of a mask as one path. */
export const maskPath = (
  mask: Uint8Array,
  width: number,
  height: number,
  scale: number,
  among?: Int32Array,
): string =>
  outlines(mask, width, height, among)
    .map((loop) => {
      const round = smooth(loop, true, 3);
      const points = simplify([...round, round[0]!], WITHIN).slice(0, -1);
      return points.length > 2 ? pathOf(points, scale, true) : '';
    })
    .join('');

/** Lines as one path. */
export const linesPath = (lines: readonly Point[][], scale: number): string =>
  lines.map((line) => pathOf(simplify(smooth(line, false, 3), WITHIN), scale, false)).join('');
