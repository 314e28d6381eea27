import ELK, { type ElkNode } from 'elkjs/lib/elk-api.js';
import elkWorkerUrl from 'elkjs/lib/elk-worker.min.js?url';
import { type ChartGraph, isOverview } from './chartGraph.ts';
import { elkGraph } from './elkGraph.ts';
import { stackColumns } from './stackColumns.ts';

export interface Placed {
  x: number;
  y: number;
  width: number;
  height: number;
}
export interface ChartLayout {
  nodes: Map<string, Placed>;
  width: number;
  height: number;
  /** Computed by the engine, not only placed in columns. */
  computed: boolean;
}

let engine: InstanceType<typeof ELK> | undefined;

/** The layout engine, begun at the first call. */
const elk = () =>
  (engine ??= new ELK({ algorithms: ['layered'], workerFactory: () => new Worker(elkWorkerUrl) }));

// Where a map is opened first, the engine is awake by the time the map has arrived.
if (/^\/map\/[^/]+\/?$/.test(location.pathname)) elk();

/** Places the cards, in a worker. */
export async function layoutChart(graph: ChartGraph): Promise<ChartLayout> {
  const laid: ElkNode = await elk().layout(elkGraph(graph));
  const nodes = new Map(
    (laid.children ?? []).map(({ id, x = 0, y = 0, width = 0, height = 0 }) => [id, { x, y, width, height }]),
  );
  if (isOverview(graph)) return stackColumns(graph, nodes);
  return { nodes, width: laid.width ?? 0, height: laid.height ?? 0, computed: true };
}
