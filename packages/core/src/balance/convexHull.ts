export type Point = [x: number, y: number];

const cross = (o: Point, a: Point, b: Point): number =>
  (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/**
 * The convex hull, counter-clockwise, without points on its edges; of points on one line its two ends. Source: A. M.
 * Andrew, "Another efficient algorithm for convex hulls in two dimensions", Information Processing Letters 9 (1979).
 */
export function convexHull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const distinct = sorted.filter(
    (p, i) => i === 0 || p[0] !== sorted[i - 1]![0] || p[1] !== sorted[i - 1]![1],
  );
  if (distinct.length < 3) return distinct;
  const chain = (list: readonly Point[]): Point[] => {
    const hull: Point[] = [];
    for (const point of list) {
      while (hull.length >= 2 && cross(hull.at(-2)!, hull.at(-1)!, point) <= 0) hull.pop();
      hull.push(point);
    }
    return hull.slice(0, -1);
  };
  return [...chain(distinct), ...chain(distinct.toReversed())];
}
