import type { ChartGraph } from './chartGraph.ts';

/** Columns per card, for a screen that is wider than high with cards that are, too. */
const PER_CARD = 0.8;

/**
 * The columns of a graph of whole systems. All of them may be starts, so steps from a start say nothing: those that
 * flow into the others stand left, those that the others flow into right, in as many columns as fill the screen.
 */
export function overviewColumns({ nodes, edges }: ChartGraph): Map<string, number> {
  const cards = nodes.filter(({ kind }) => kind !== 'outcome').map(({ id }) => id);
  const inside = new Set(cards);
  const out = new Map<string, number>();
  const into = new Map<string, number>();
  for (const { from, to, by, exchanges } of edges) {
    if (by !== 'success' || !inside.has(to)) continue;
    const flow = exchanges.reduce((sum, { chance }) => sum + chance, 0);
    out.set(from, (out.get(from) ?? 0) + flow);
    into.set(to, (into.get(to) ?? 0) + flow);
  }
  /** From 1 (only flows out) to −1 (is only flowed into). */
  const source = (id: string): number => {
    const [away, towards] = [out.get(id) ?? 0, into.get(id) ?? 0];
    return away + towards > 0 ? (away - towards) / (away + towards) : 0;
  };
  const count = Math.max(1, Math.round(Math.sqrt(cards.length * PER_CARD)));
  const inColumn = Math.ceil(cards.length / count);
  const order = [...cards].sort((a, b) => source(b) - source(a));
  return new Map(order.map((id, i) => [id, Math.floor(i / inColumn)]));
}
