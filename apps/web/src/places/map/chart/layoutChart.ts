import ELK, { type ElkNode, type LayoutOptions } from 'elkjs/lib/elk-api';
import elkWorkerUrl from 'elkjs/lib/elk-worker.min.js?url';
import { CARD } from './card.ts';
import type { ChartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';

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

const OPTIONS: LayoutOptions = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'POLYLINE',
  'elk.partitioning.activate': 'true',
  'elk.separateConnectedComponents': 'false',
  'elk.layered.spacing.nodeNodeBetweenLayers': '96',
  'elk.spacing.nodeNode': '24',
  'elk.spacing.edgeNode': '6',
  'elk.spacing.edgeEdge': '2',
  'elk.layered.spacing.edgeNodeBetweenLayers': '8',
  'elk.layered.spacing.edgeEdgeBetweenLayers': '2',
  'elk.layered.nodePlacement.strategy': 'BRANDES_KOEPF',
  'elk.layered.nodePlacement.bk.fixedAlignment': 'BALANCED',
};

/** Begun at once, so that the engine is awake by the time the map has arrived. */
const elk = new ELK({ workerFactory: () => new Worker(elkWorkerUrl) });

/**
 * Places the cards in columns, starts first and outcomes last, in a worker. Only the lines from one column to
 * the next are given to the engine: lines that come back or skip columns would only push the cards apart.
 */
export async function layoutChart(graph: ChartGraph): Promise<ChartLayout> {
  const column = columns(graph);
  const laid: ElkNode = await elk.layout({
    id: 'chart',
    layoutOptions: OPTIONS,
    children: graph.nodes.map((node) => ({
      id: node.id,
      width: CARD[node.kind][0],
      height: CARD[node.kind][1],
      layoutOptions: { 'elk.partitioning.partition': String(column.get(node.id)) },
    })),
    edges: forwardEdges(graph, column).map((edge) => ({
      id: edge.id,
      sources: [edge.from],
      targets: [edge.to],
    })),
  });
  return {
    nodes: new Map(
      (laid.children ?? []).map(({ id, x = 0, y = 0, width = 0, height = 0 }) => [
        id,
        { x, y, width, height },
      ]),
    ),
    width: laid.width ?? 0,
    height: laid.height ?? 0,
    computed: true,
  };
}
