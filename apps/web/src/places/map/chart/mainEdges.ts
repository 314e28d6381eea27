import { type ChartEdge, type ChartGraph, isOverview } from './chartGraph.ts';
import type { Tide } from './tide.ts';

/** Of what leaves a card, this much is drawn by the strongest lines; the rest shows when the card is pointed at. */
const SHARE = 0.6;
const MAX_MAIN_EDGES = 3;

/**
 * The lines drawn at rest. Between whole systems everything leads everywhere: of each card only the strongest are,
 * and what fails into top's hands, which is never hidden. Elsewhere all of them.
 */
export function mainEdges(graph: ChartGraph, tide: Tide | undefined): ReadonlySet<string> {
  if (!isOverview(graph)) return new Set(graph.edges.map(({ id }) => id));
  const strength = (edge: ChartEdge): number =>
    tide?.rates.get(edge.id) ?? edge.exchanges.reduce((sum, { chance }) => sum + chance, 0);
  const badly = new Set(
    graph.nodes.flatMap((node) => (node.kind === 'outcome' && node.good === 'top' ? [node.id] : [])),
  );
  const main = new Set(
    graph.edges.filter(({ to, by }) => by !== 'success' && badly.has(to)).map(({ id }) => id),
  );
  for (const { id } of graph.nodes) {
    const leaving = graph.edges.filter(({ from, by }) => from === id && by === 'success');
    leaving.sort((a, b) => strength(b) - strength(a));
    const all = leaving.reduce((sum, edge) => sum + strength(edge), 0);
    let drawn = 0;
    for (const edge of leaving.slice(0, MAX_MAIN_EDGES)) {
      if (drawn >= SHARE * all) break;
      main.add(edge.id);
      drawn += strength(edge);
    }
  }
  return main;
}
