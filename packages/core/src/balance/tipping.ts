import { GRAVITY } from './bodyTables.ts';
import { convexHull, type Point } from './convexHull.ts';

export interface TippingInput {
  /** What the body stands on, in metres; its hull counts. */
  polygon: readonly Point[];
  /** The centre of mass from above, and its height over the mat. */
  com: Point;
  height: number;
  /** Where the push goes: 0 = front, clockwise from above. */
  degrees: number;
  /** In kilograms. */
  mass: number;
  /** Height of the push; that of the centre of mass when absent. */
  forceHeight?: number;
  /** Between body and mat; 0.6 when absent (common practice, no published source). */
  friction?: number;
}

export interface Tipping {
  /** Metres to the edge along the push; negative where the body falls that way already. */
  margin: number;
  /** Degrees of tilt at which it tips. */
  tipAngle: number;
  /** Joules that lift the centre of mass over the edge. */
  energy: number;
  /** Newtons at the height of the push. */
  force: number;
  /** Pushed so low that it slides before it tips. */
  slides: boolean;
}

/** The unit vector of a direction: x = right, y = front. */
export const heading = (degrees: number): Point => {
  const radians = (degrees * Math.PI) / 180;
  return [Math.sin(radians), Math.cos(radians)];
};

/**
 * Which push along a direction tips a rigid body that stands on a polygon: a block of half-width b and weight W pushed
 * at height z tips at W·b/z, and on a slope at tan θ = b/h (any statics text, e.g. OpenStax University Physics 1,
 * ch. 12). With fewer than three corners that are not on a line the body never stands inside.
 * @throws RangeError where a height or the mass is not above zero.
 */
export function tipping(input: TippingInput): Tipping {
  const { com, height, degrees, mass, forceHeight = height, friction = 0.6 } = input;
  if (!(height > 0) || !(forceHeight > 0) || !(mass > 0))
    throw new RangeError('height, forceHeight and mass must be above zero');
  const hull = convexHull(input.polygon);
  const way = heading(degrees);
  const crossed = edgeAlong(hull, com, way);
  const margin = crossed ? crossed.margin : outsideMargin(hull, com, way);
  const falls = margin <= 0;
  const p = crossed?.perpendicular ?? 0;
  return {
    margin,
    tipAngle: falls ? 0 : (Math.atan(margin / height) * 180) / Math.PI,
    energy: falls ? 0 : mass * GRAVITY * (Math.hypot(height, p) - height),
    force: falls ? 0 : (mass * GRAVITY * margin) / forceHeight,
    slides: !falls && margin / forceHeight > friction,
  };
}

/** The edge that a ray from inside crosses: how far along the ray, and how far from the edge's line. */
function edgeAlong(hull: readonly Point[], [x, y]: Point, [dx, dy]: Point) {
  if (hull.length < 3) return undefined;
  let found: { margin: number; perpendicular: number } | undefined;
  for (const [i, [ax, ay]] of hull.entries()) {
    const [bx, by] = hull[(i + 1) % hull.length]!;
    const length = Math.hypot(bx - ax, by - ay);
    // Outward normal of an edge of a counter-clockwise polygon.
    const [nx, ny] = [(by - ay) / length, -(bx - ax) / length];
    const perpendicular = (ax - x) * nx + (ay - y) * ny;
    if (perpendicular < 0) return undefined;
    const towards = dx * nx + dy * ny;
    if (towards <= 1e-12) continue;
    const margin = perpendicular / towards;
    if (!found || margin < found.margin) found = { margin, perpendicular };
  }
  return found;
}

/** Outside, the margin is how far the polygon is left behind in that direction; inside lines and points too. */
function outsideMargin(hull: readonly Point[], com: Point, way: Point): number {
  const nearest = nearestOn(hull, com);
  if (!nearest) return 0;
  const [fx, fy] = [com[0] - nearest[0], com[1] - nearest[1]];
  const distance = Math.hypot(fx, fy);
  if (distance === 0) return 0;
  return -Math.max(0, fx * way[0] + fy * way[1]);
}

function nearestOn(hull: readonly Point[], [x, y]: Point): Point | undefined {
  let best: Point | undefined;
  let least = Number.POSITIVE_INFINITY;
  for (const [i, [ax, ay]] of hull.entries()) {
    const [bx, by] = hull[(i + 1) % hull.length]!;
    const square = (bx - ax) ** 2 + (by - ay) ** 2;
    const t =
      square === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square));
    const point: Point = [ax + t * (bx - ax), ay + t * (by - ay)];
    const distance = Math.hypot(x - point[0], y - point[1]);
    if (distance < least) [best, least] = [point, distance];
  }
  return best;
}
