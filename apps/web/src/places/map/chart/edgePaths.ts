import { linkHorizontal } from 'd3-shape';
import type { ChartEdge } from './chartGraph.ts';
import type { Placed } from './layoutChart.ts';

type Point = [number, number];
interface Ends {
  edge: ChartEdge;
  from: Placed;
  to: Placed;
}

const line = linkHorizontal<{ source: Point; target: Point }, Point>();
const middle = ({ y, height }: Placed): number => y + height / 2;
/** How far a line that does not move on swings out beside its cards. */
const SWING = 46;

/**
 * A curve for every line. Lines leave a card on its right and enter on the left, spread along the edge in the
 * order of where they go, so that they do not all meet in one point; lines back swing round. Bundled, the lines of
 * one kind leave and enter a card as one.
 */
export function edgePaths(
  edges: readonly ChartEdge[],
  places: ReadonlyMap<string, Placed>,
  bundled = false,
): Map<string, string> {
  const ports = bundled ? bundledPorts : spreadPorts;
  const drawn = edges.flatMap((edge): Ends[] => {
    const [from, to] = [places.get(edge.from), places.get(edge.to)];
    return from && to ? [{ edge, from, to }] : [];
  });
  const leave = ports(
    drawn,
    ({ edge }) => edge.from,
    ({ to }) => middle(to),
    ({ from }) => from,
  );
  const enter = ports(
    drawn,
    ({ edge }) => edge.to,
    ({ from }) => middle(from),
    ({ to }) => to,
  );
  return new Map(
    drawn.map((ends) => [ends.edge.id, curve(ends, leave.get(ends.edge.id)!, enter.get(ends.edge.id)!)]),
  );
}

/** How far down a card the lines of each kind leave it and enter it, in bundles. */
const BUNDLE = { success: 0.42, failure: 0.72, drift: 0.86 } as const;

function bundledPorts(
  drawn: readonly Ends[],
  _card: (ends: Ends) => string,
  _towards: (ends: Ends) => number,
  place: (ends: Ends) => Placed,
): Map<string, number> {
  return new Map(
    drawn.map((ends) => [ends.edge.id, place(ends).y + place(ends).height * BUNDLE[ends.edge.by]]),
  );
}

/** The height at which each line touches its card. */
function spreadPorts(
  drawn: readonly Ends[],
  card: (ends: Ends) => string,
  towards: (ends: Ends) => number,
  place: (ends: Ends) => Placed,
): Map<string, number> {
  const groups = new Map<string, Ends[]>();
  for (const ends of drawn) groups.set(card(ends), [...(groups.get(card(ends)) ?? []), ends]);
  const heights = new Map<string, number>();
  for (const group of groups.values()) {
    group.sort((a, b) => towards(a) - towards(b));
    group.forEach((ends, i) => {
      const { y, height } = place(ends);
      heights.set(ends.edge.id, y + (height * (i + 1)) / (group.length + 1));
    });
  }
  return heights;
}

function curve({ from, to }: Ends, y1: number, y2: number): string {
  const x1 = from.x + from.width;
  if (to.x > x1) return line({ source: [x1, y1], target: [to.x, y2] }) ?? '';
  if (to.x + to.width > from.x) {
    // The same column: out on the right and in on the right.
    const x2 = to.x + to.width;
    const x = Math.max(x1, x2) + SWING;
    return `M${x1} ${y1} C${x} ${y1} ${x} ${y2} ${x2} ${y2}`;
  }
  const x2 = to.x + to.width;
  return `M${from.x} ${y1} C${from.x - SWING} ${y1} ${x2 + SWING} ${y2} ${x2} ${y2}`;
}

/** How thick a line is: one exchange is thin, many are thick, and a hundred are not thicker than thirty. */
export const edgeWidth = ({ exchanges }: ChartEdge): number =>
  Math.min(6.5, 1.2 + Math.log2(Math.max(1, exchanges.length)) * 1.1);

/** How thick a line is once the map is weighed: by how often it is gone along in a round, of the most there is. */
export const flowWidth = (rate: number, most: number): number =>
  most > 0 ? 0.9 + 7 * Math.sqrt(Math.min(1, rate / most)) : 0.9;
