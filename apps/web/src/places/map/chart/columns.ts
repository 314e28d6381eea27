import { type ChartEdge, type ChartGraph, isOverview } from './chartGraph.ts';
import { overviewColumns } from './overviewColumns.ts';

/**
 * How many exchanges each card is from where rounds start, counted along lines that move on (0 = a start).
 * What only failing leads to stands one on from where it fails, what nothing leads to with the starts; whole systems stand as overviewColumns says;
 * outcomes stand one behind the last card.
 */
export function columns(graph: ChartGraph): Map<string, number> {
  const column = isOverview(graph) ? overviewColumns(graph) : stepColumns(graph);
  const last = Math.max(-1, ...column.values()) + 1;
  for (const node of graph.nodes) if (node.kind === 'outcome') column.set(node.id, last);
  return column;
}

function stepColumns(graph: ChartGraph): Map<string, number> {
  const cards = graph.nodes.filter(({ kind }) => kind !== 'outcome').map(({ id }) => id);
  const inside = new Set(cards);
  const out = new Map<string, string[]>();
  for (const { from, to, by } of graph.edges) {
    if (by === 'success' && inside.has(to)) out.set(from, [...(out.get(from) ?? []), to]);
  }
  const column = new Map<string, number>();
  const spread = (open: string[]) => {
    for (let id = open.shift(); id !== undefined; id = open.shift()) {
      for (const next of out.get(id) ?? []) {
        if (column.has(next)) continue;
        column.set(next, column.get(id)! + 1);
        open.push(next);
      }
    }
  };
  const spreadFrom = (id: string, at: number) => {
    column.set(id, at);
    spread([id]);
  };
  const starts = graph.nodes.flatMap((node) =>
    node.kind === 'position' && (node.position.entry ?? 0) > 0 ? [node.id] : [],
  );
  for (const id of starts) column.set(id, 0);
  spread(starts);
  // What only failing or waiting leads to stands one on from there.
  for (const { from, to } of graph.edges)
    if (inside.has(to) && !column.has(to) && column.has(from)) spreadFrom(to, column.get(from)! + 1);
  for (const id of cards) if (!column.has(id)) spreadFrom(id, 0);
  return column;
}

/** The lines that lead one column on: what the layout is computed from. */
export function forwardEdges(graph: ChartGraph, column: ReadonlyMap<string, number>): ChartEdge[] {
  const seen = new Set<string>();
  return graph.edges.filter(({ from, to, by }) => {
    const forward =
      by === 'success' && column.get(to) === column.get(from)! + 1 && !seen.has(`${from}>${to}`);
    if (forward) seen.add(`${from}>${to}`);
    return forward;
  });
}
