import { type ChartEdge, type ChartGraph, isOverview } from './chartGraph.ts';
import type { Tide } from './tide.ts';

/** So many lines leave a card at rest, and so many come into one; the rest shows when the card is pointed at. */
const MAX_WAYS = 2;

/**
 * The lines drawn at rest. Between whole systems everything leads everywhere: each card keeps its two strongest ways out
 * and in, and the one failure that most often ends in top's hands. Elsewhere all lines are drawn.
 */
export function mainEdges(graph: ChartGraph, tide: Tide | undefined): ReadonlySet<string> {
  if (!isOverview(graph)) return new Set(graph.edges.map(({ id }) => id));
  const strength = (edge: ChartEdge): number =>
    tide?.rates.get(edge.id) ?? edge.exchanges.reduce((sum, { chance }) => sum + chance, 0);
  const strongest = (edges: readonly ChartEdge[], count: number) =>
    edges.toSorted((a, b) => strength(b) - strength(a)).slice(0, count);
  const badly = new Set(
    graph.nodes.flatMap((node) => (node.kind === 'outcome' && node.good === 'top' ? [node.id] : [])),
  );
  const ends = new Set(graph.nodes.flatMap(({ kind, id }) => (kind === 'outcome' ? [id] : [])));
  const out = graph.nodes.flatMap(({ id }) => {
    const leaving = graph.edges.filter(({ from }) => from === id);
    return [
      ...strongest(
        leaving.filter(({ by }) => by === 'success'),
        MAX_WAYS,
      ),
      ...strongest(
        leaving.filter(({ by, to }) => by === 'failure' && badly.has(to)),
        1,
      ),
    ];
  });
  const crowded = graph.nodes.flatMap(({ id }) => {
    const coming = out.filter(({ to, by }) => to === id && by === 'success' && !ends.has(to));
    return coming.filter((edge) => !strongest(coming, MAX_WAYS).includes(edge));
  });
  return new Set(out.filter((edge) => !crowded.includes(edge)).map(({ id }) => id));
}
