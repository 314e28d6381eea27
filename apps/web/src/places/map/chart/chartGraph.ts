import {
  type Exchange,
  type GuardMap,
  type Hole,
  holes,
  indexMap,
  isOutcome,
  type Landing,
  OUTCOME_WORDS,
  type Outcome,
  type Position,
} from '@aftersquall/core';

export type ChartNode =
  | { kind: 'position'; id: string; position: Position; moves: number; holes: Hole[] }
  /** A position of another system that this one flows into. */
  | { kind: 'gate'; id: string; position: Position }
  | { kind: 'outcome'; id: string; outcome: Outcome; name: string; good: 'own' | 'top' | 'even' };

/** All exchanges from one position to one landing, drawn as one line. */
export interface ChartEdge {
  id: string;
  from: string;
  to: string;
  exchanges: Exchange[];
  /** Waiting leads there: nobody's move, but the tide's. */
  drift?: boolean;
}

export interface ChartGraph {
  nodes: ChartNode[];
  edges: ChartEdge[];
}

const GOOD: Record<Outcome, 'own' | 'top' | 'even'> = {
  'top-side': 'own',
  'top-mount': 'own',
  'top-knee-on-belly': 'own',
  'top-guard': 'own',
  back: 'own',
  submission: 'own',
  neutral: 'even',
  entangled: 'even',
  recovered: 'even',
  passed: 'top',
  'swept-back': 'top',
  submitted: 'top',
};

const nodeId = (landing: Landing): string =>
  isOutcome(landing) ? `outcome:${landing.outcome}` : landing.position;

/** What the chart of a map, or of one system of it, shows. A position and its mirror are one card. */
export function chartGraph(map: GuardMap, system?: string): ChartGraph {
  const index = indexMap(map);
  const shown = map.positions.filter((position) => !system || position.systems.includes(system));
  const inside = new Set(shown.map(({ id }) => id));
  const open = new Map<string, Hole[]>();
  for (const hole of holes(map)) open.set(hole.position.id, [...(open.get(hole.position.id) ?? []), hole]);
  const edges = new Map<string, ChartEdge>();
  const draw = (from: string, landing: Landing, exchange?: Exchange) => {
    const to = nodeId(landing);
    if (to === from) return;
    const id = `${exchange ? '' : 'drift:'}${from}>${to}`;
    const edge = edges.get(id) ?? { id, from, to, exchanges: [], ...(!exchange && { drift: true }) };
    if (exchange) edge.exchanges.push(exchange);
    edges.set(id, edge);
  };
  for (const position of shown) {
    for (const move of index.movesOf(position.id)) {
      for (const exchange of index.exchangesOf(move.id)) draw(position.id, exchange.to, exchange);
    }
    if (position.drift) draw(position.id, position.drift);
  }
  const reached = [...new Set([...edges.values()].map(({ to }) => to))].filter((id) => !inside.has(id));
  const nodes: ChartNode[] = shown.map((position) => ({
    kind: 'position',
    id: position.id,
    position,
    moves: index.movesOf(position.id).length,
    holes: open.get(position.id) ?? [],
  }));
  for (const id of reached) {
    const position = index.position.get(id);
    if (position) {
      nodes.push({ kind: 'gate', id, position });
      continue;
    }
    const outcome = id.replace('outcome:', '') as Outcome;
    nodes.push({ kind: 'outcome', id, outcome, name: OUTCOME_WORDS[outcome], good: GOOD[outcome] });
  }
  return { nodes, edges: [...edges.values()] };
}
