import { CARD } from './card.ts';
import type { ChartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';
import type { ChartLayout, Placed } from './layoutChart.ts';

const KEY = 'aftersquall.layouts';
const KEPT = 12;
type Stored = [signature: string, places: [id: string, place: Placed][], width: number, height: number][];

/** What a layout depends on: the cards with their columns, and the lines between neighbouring columns. */
export function signature(graph: ChartGraph): string {
  const column = columns(graph);
  const cards = graph.nodes.map(({ kind, id }) => `${kind[0]}${column.get(id)}${id}`);
  return [...cards, ...forwardEdges(graph, column).map(({ id }) => id)].join(' ');
}

function stored(): Stored {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Stored;
  } catch {
    return [];
  }
}

/** A layout computed before for a graph of this shape. */
export function keptLayout(graph: ChartGraph): ChartLayout | undefined {
  const wanted = signature(graph);
  const cached = stored().find(([shape]) => shape === wanted);
  return cached && { nodes: new Map(cached[1]), width: cached[2], height: cached[3], computed: true };
}

/** Keeps a layout for the next visit; the oldest goes. */
export function keepLayout(graph: ChartGraph, { nodes, width, height }: ChartLayout): void {
  const shape = signature(graph);
  const others = stored().filter(([other]) => other !== shape);
  try {
    localStorage.setItem(KEY, JSON.stringify([[shape, [...nodes], width, height], ...others].slice(0, KEPT)));
  } catch {
    // The browser's store is full or closed: the layout is computed again next time.
  }
}

const GAP = { column: 96, row: 24 } as const;

/** A first placing, at once: the columns, each in the order of the map. Shown until the computed one is there. */
export function firstLayout(graph: ChartGraph): ChartLayout {
  const column = columns(graph);
  const heights = new Map<number, number>();
  const size = (kind: keyof typeof CARD) => ({ width: CARD[kind][0], height: CARD[kind][1] });
  for (const { id, kind } of graph.nodes) {
    const at = column.get(id)!;
    heights.set(at, (heights.get(at) ?? -GAP.row) + size(kind).height + GAP.row);
  }
  const height = Math.max(0, ...heights.values());
  const next = new Map([...heights].map(([at, own]) => [at, (height - own) / 2]));
  const nodes = new Map<string, Placed>();
  for (const { id, kind } of graph.nodes) {
    const at = column.get(id)!;
    const y = next.get(at)!;
    nodes.set(id, { x: at * (CARD.position[0] + GAP.column), y, ...size(kind) });
    next.set(at, y + size(kind).height + GAP.row);
  }
  const width = (Math.max(0, ...column.values()) + 1) * (CARD.position[0] + GAP.column) - GAP.column;
  return { nodes, width, height, computed: false };
}
