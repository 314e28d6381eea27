import type { ElkNode, LayoutOptions } from 'elkjs/lib/elk-api.js';
import { cardSize } from './card.ts';
import type { ChartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';

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

/**
 * The graph as the layout engine takes it: cards in columns, starts first and outcomes last. Only the lines from one
 * column to the next are given to it: lines that come back or skip columns would only push the cards apart.
 */
export function elkGraph(graph: ChartGraph): ElkNode {
  const column = columns(graph);
  return {
    id: 'chart',
    layoutOptions: OPTIONS,
    children: graph.nodes.map((node) => ({
      id: node.id,
      ...cardSize(node),
      layoutOptions: { 'elk.partitioning.partition': String(column.get(node.id)) },
    })),
    edges: forwardEdges(graph, column).map((edge) => ({
      id: edge.id,
      sources: [edge.from],
      targets: [edge.to],
    })),
  };
}
