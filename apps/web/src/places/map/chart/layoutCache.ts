import type { ChartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';
import type { ChartLayout, Placed } from './layoutChart.ts';

const KEY = 'aftersquall.layouts.2';
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
