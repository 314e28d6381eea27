import { device } from '../../../device/device.ts';
import type { ChartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';
import type { ChartLayout, Placed } from './layoutChart.ts';

const KEY = 'layouts';
const KEPT = 12;
type Stored = [signature: string, places: [id: string, place: Placed][], width: number, height: number][];

/** What a layout depends on: the cards with their columns, and the lines between neighbouring columns. */
export function signature(graph: ChartGraph): string {
  const column = columns(graph);
  const cards = graph.nodes.map(({ kind, id }) => `${kind[0]}${column.get(id)}${id}`);
  return [...cards, ...forwardEdges(graph, column).map(({ id }) => id)].join(' ');
}

const stored = (): Stored => device.cells.setting<Stored>(KEY) ?? [];

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
  const own: Stored[number] = [shape, [...nodes], width, height];
  device.cells.keepSetting(KEY, [own, ...others].slice(0, KEPT));
}
