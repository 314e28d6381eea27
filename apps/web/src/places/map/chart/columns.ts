import type { ChartEdge, ChartGraph } from './chartGraph.ts';

/**
 * How many exchanges each card is from where rounds start, counted along lines that move on (0 = a start).
 * Cards that nothing leads to from a start stand with the starts; outcomes stand one behind the last card.
 */
export function columns(graph: ChartGraph): Map<string, number> {
  const cards = graph.nodes.filter(({ kind }) => kind !== 'outcome').map(({ id }) => id);
  const inside = new Set(cards);
  const out = new Map<string, string[]>();
  for (const { from, to, by } of graph.edges) {
    if (by === 'success' && inside.has(to)) out.set(from, [...(out.get(from) ?? []), to]);
  }
  const column = new Map<string, number>();
  const spread = (starts: string[]) => {
    const open = starts.filter((id) => !column.has(id));
    for (const id of open) column.set(id, 0);
    for (let id = open.shift(); id !== undefined; id = open.shift()) {
      for (const next of out.get(id) ?? []) {
        if (column.has(next)) continue;
        column.set(next, column.get(id)! + 1);
        open.push(next);
      }
    }
  };
  spread(
    graph.nodes.flatMap((node) =>
      (node.kind === 'position' && (node.position.entry ?? 0) > 0) || (node.kind === 'system' && node.entry)
        ? [node.id]
        : [],
    ),
  );
  for (const id of cards) if (!column.has(id)) spread([id]);
  const last = Math.max(0, ...column.values()) + 1;
  for (const node of graph.nodes) if (node.kind === 'outcome') column.set(node.id, last);
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
