import { cardSize } from './card.ts';
import { type ChartGraph, type ChartNode, isOverview } from './chartGraph.ts';
import { columns } from './columns.ts';
import type { ChartLayout, Placed } from './layoutChart.ts';

const GAP = { column: 96, row: 24 } as const;
const GOOD = ['own', 'even', 'top'];

/**
 * Cards in their columns, one under the other, each column centred. Whole systems stand spread over the height, in
 * the order that the engine gave them where it has; outcomes from the best for bottom to the worst.
 */
export function stackColumns(graph: ChartGraph, ordered?: ReadonlyMap<string, Placed>): ChartLayout {
  const column = columns(graph);
  const spread = isOverview(graph);
  const rank = (node: ChartNode): number => {
    if (!spread) return 0;
    return node.kind === 'outcome' ? GOOD.indexOf(node.good) : (ordered?.get(node.id)?.y ?? 0);
  };
  const count = Math.max(0, ...column.values()) + 1;
  const inColumn = Array.from({ length: count }, (_, at) =>
    graph.nodes.filter(({ id }) => column.get(id) === at).sort((a, b) => rank(a) - rank(b)),
  );
  const ownHeight = (cards: readonly ChartNode[]): number =>
    cards.reduce((sum, node) => sum + cardSize(node).height, 0);
  const heightOf = (cards: readonly ChartNode[]): number => ownHeight(cards) + GAP.row * (cards.length - 1);
  const height = Math.max(0, ...inColumn.map(heightOf));
  const nodes = new Map<string, Placed>();
  let x = 0;
  for (const cards of inColumn) {
    const gap = spread && cards.length > 1 ? (height - ownHeight(cards)) / (cards.length - 1) : GAP.row;
    let y = spread && cards.length > 1 ? 0 : (height - heightOf(cards)) / 2;
    for (const node of cards) {
      nodes.set(node.id, { x, y, ...cardSize(node) });
      y += cardSize(node).height + gap;
    }
    x += Math.max(0, ...cards.map((node) => cardSize(node).width)) + GAP.column;
  }
  return { nodes, width: x - GAP.column, height, computed: Boolean(ordered) };
}
