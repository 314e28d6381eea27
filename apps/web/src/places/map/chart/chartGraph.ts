import { OUTCOME_GOOD, OUTCOME_WORDS } from '@aftersquall/core/body';
import { type Hole, holes } from '@aftersquall/core/check';
import {
  type Exchange,
  type GuardMap,
  indexMap,
  isOutcome,
  type Landing,
  type Outcome,
  type Position,
  type RulesProfile,
  type System,
} from '@aftersquall/core/model';
import { legality } from '@aftersquall/core/rules';

export type ChartNode =
  | { kind: 'position'; id: string; position: Position; moves: number; holes: Hole[] }
  /** A whole system as one card; as a gate it is what the system shown flows into. */
  | {
      kind: 'system';
      id: string;
      system: System;
      positions: number;
      holes: number;
      /** Where most of its rounds start: its way in. */
      start: Position | undefined;
      gate: boolean;
    }
  /** A position of another system that this one flows into. */
  | { kind: 'gate'; id: string; position: Position }
  | { kind: 'outcome'; id: string; outcome: Outcome; name: string; good: 'own' | 'top' | 'even' };

/** All exchanges from one position to one landing, drawn as one line. */
export interface ChartEdge {
  id: string;
  from: string;
  to: string;
  exchanges: Exchange[];
  /** What leads along it: the answers working, them failing, or waiting, which is nobody's move but the tide's. */
  by: 'success' | 'failure' | 'drift';
}

export interface ChartGraph {
  nodes: ChartNode[];
  edges: ChartEdge[];
  /** The card on which a position is found, for those that are shown. */
  cards: ReadonlyMap<string, string>;
}

export interface ChartOptions {
  /** Which positions the filters leave. */
  shown?: (position: Position) => boolean;
  /** Which positions outside may stand at the edge, where those inside lead to them. */
  beyond?: (position: Position) => boolean;
  /** The one system that is looked at. */
  system?: string | undefined;
  /** Moves that this profile bars are not drawn. */
  rules?: RulesProfile | undefined;
  /** Whether systems stand as one card each, with the lines between them. */
  folded?: boolean | undefined;
}

/** More positions than this, or more at the edge of a system, and whole systems are drawn as one card each. */
const MOST_POSITIONS = 24;
const MOST_GATES = 8;

/** What the chart of a map, or of one system of it, shows. A position and its mirror are one card. */
export function chartGraph(map: GuardMap, options: ChartOptions = {}): ChartGraph {
  const { shown = () => true, beyond = () => true, system, rules } = options;
  const index = indexMap(map);
  const inside = new Set(map.positions.filter(shown).map(({ id }) => id));
  const folded = options.folded ?? (!system && inside.size > MOST_POSITIONS);
  const home = (position: Position): string => {
    const own = position.systems[0];
    return own ? `system:${own}` : position.id;
  };
  const open = new Map<string, Hole[]>();
  for (const hole of holes(map)) open.set(hole.position.id, [...(open.get(hole.position.id) ?? []), hole]);

  const mergeGates = gatesOf(map, inside, beyond).size > MOST_GATES;
  /** The card that stands for a landing, if there is one. */
  const cardOf = (landing: Landing): string | undefined => {
    if (isOutcome(landing)) return `outcome:${landing.outcome}`;
    const position = index.position.get(landing.position)!;
    if (inside.has(position.id)) return folded ? home(position) : position.id;
    if (!beyond(position)) return undefined;
    return mergeGates || folded ? home(position) : position.id;
  };
  const edges = new Map<string, ChartEdge>();
  const draw = (from: string, landing: Landing, by: ChartEdge['by'], exchange?: Exchange) => {
    const to = cardOf(landing);
    if (!to || to === from) return;
    const id = `${by === 'success' ? '' : `${by}:`}${from}>${to}`;
    const edge = edges.get(id) ?? { id, from, to, exchanges: [], by };
    if (exchange) edge.exchanges.push(exchange);
    edges.set(id, edge);
  };
  const nodes = new Map<string, ChartNode>();
  for (const position of map.positions) {
    if (!inside.has(position.id)) continue;
    const from = folded ? home(position) : position.id;
    const moves = index.movesOf(position.id).filter((move) => legality(move.hazards, rules).legal);
    if (from === position.id) {
      nodes.set(from, {
        kind: 'position',
        id: from,
        position,
        moves: moves.length,
        holes: open.get(position.id) ?? [],
      });
    } else {
      const before = nodes.get(from);
      const node =
        before?.kind === 'system'
          ? before
          : systemNode(from, index.system.get(from.replace('system:', ''))!, false);
      node.positions++;
      node.holes += open.get(position.id)?.length ?? 0;
      if ((position.entry ?? 0) > (node.start?.entry ?? 0)) node.start = position;
      nodes.set(from, node);
    }
    for (const move of moves)
      for (const exchange of index.exchangesOf(move.id)) {
        draw(from, exchange.to, 'success', exchange);
        if (exchange.otherwise && exchange.chance < 1) draw(from, exchange.otherwise, 'failure', exchange);
      }
    if (position.drift) draw(from, position.drift, 'drift');
  }
  for (const { to } of edges.values()) {
    if (nodes.has(to)) continue;
    const position = index.position.get(to);
    if (position) nodes.set(to, { kind: 'gate', id: to, position });
    else if (to.startsWith('system:'))
      nodes.set(to, systemNode(to, index.system.get(to.replace('system:', ''))!, true));
    else {
      const outcome = to.replace('outcome:', '') as Outcome;
      nodes.set(to, {
        kind: 'outcome',
        id: to,
        outcome,
        name: OUTCOME_WORDS[outcome],
        good: OUTCOME_GOOD[outcome],
      });
    }
  }
  const cards = new Map([...inside].map((id) => [id, cardOf({ position: id }) ?? id]));
  return { nodes: [...nodes.values()], edges: [...edges.values()], cards };
}

/** Whether a graph shows whole systems side by side, as the first look at a big map does. */
export const isOverview = ({ nodes }: ChartGraph): boolean =>
  nodes.some((node) => node.kind === 'system' && !node.gate);

const systemNode = (id: string, system: System, gate: boolean): Extract<ChartNode, { kind: 'system' }> => ({
  kind: 'system',
  id,
  system,
  positions: 0,
  holes: 0,
  start: undefined,
  gate,
});

/** Positions outside that those inside lead to. */
function gatesOf(
  map: GuardMap,
  inside: ReadonlySet<string>,
  beyond: (position: Position) => boolean,
): Set<string> {
  const index = indexMap(map);
  const gates = new Set<string>();
  for (const id of inside) {
    for (const move of index.movesOf(id)) {
      for (const { to } of index.exchangesOf(move.id))
        if (!isOutcome(to) && !inside.has(to.position) && beyond(index.position.get(to.position)!))
          gates.add(to.position);
    }
  }
  return gates;
}
