import { minCostFlow } from './minCostFlow.ts';
import type { CoverProblem } from './problem.ts';

/** What branch and bound has decided so far: per arc and per start, 1 = at least once, −1 = never, 0 = open. */
export interface Decisions {
  arcs: Int8Array;
  starts: Int8Array;
}

/** How often each arc is walked and each position started from. */
export interface Walks {
  arcs: Float64Array;
  starts: Float64Array;
}

export interface CoverFlow extends Walks {
  /** Cost under the prices given. */
  cost: number;
  /** What one more walk of each arc, one more start at each position would add; 0 where that is free. */
  reducedArcs: Float64Array;
  reducedStarts: Float64Array;
}

/** Prices of arcs and starts: the real seconds, or those lowered by multipliers. */
export interface Prices {
  arcs: Float64Array;
  starts: Float64Array;
}

/**
 * The cheapest way to walk every arc that must be walked when a closed walk needs no start of its own: a
 * minimum-cost flow with lower bounds. Forced walks leave some positions with more arrivals than departures
 * (chains may end there, free) and some with fewer; the flow brings the missing walks from the former, or from
 * new starts. Undefined when the decisions leave no way.
 */
export function coverFlow(
  problem: CoverProblem,
  decisions: Decisions,
  prices: Prices,
): CoverFlow | undefined {
  const { nodes, ends, from, to, must } = problem;
  const arcCount = from.length;
  const arcs = new Float64Array(arcCount);
  const starts = new Float64Array(nodes);
  const surplus = new Float64Array(nodes);
  let cost = 0;
  for (let arc = 0; arc < arcCount; arc++) {
    if (!must[arc] && decisions.arcs[arc] !== 1) continue;
    arcs[arc] = 1;
    cost += prices.arcs[arc]!;
    surplus[from[arc]!]!--;
    if (to[arc] !== ends) surplus[to[arc]!]!++;
  }
  for (let node = 0; node < nodes; node++) {
    if (decisions.starts[node] !== 1) continue;
    starts[node] = 1;
    cost += prices.starts[node]!;
    surplus[node]!++;
  }

  // Nodes of the network: the positions, then the place where chains start, the source and the sink.
  const begin = nodes;
  const source = nodes + 1;
  const sink = nodes + 2;
  const size = arcCount + 2 * nodes + 1;
  const network = {
    nodes: nodes + 3,
    source,
    sink,
    from: new Int32Array(size),
    to: new Int32Array(size),
    capacity: new Float64Array(size),
    cost: new Float64Array(size),
  };
  const set = (slot: number, tail: number, head: number, capacity: number, price: number) => {
    network.from[slot] = tail;
    network.to[slot] = head;
    network.capacity[slot] = capacity;
    network.cost[slot] = price;
  };
  const plenty = arcCount + nodes + 1;
  let missing = 0;
  for (let arc = 0; arc < arcCount; arc++) {
    const open = to[arc] !== ends && decisions.arcs[arc] !== -1;
    set(arc, from[arc]!, to[arc] === ends ? from[arc]! : to[arc]!, open ? plenty : 0, prices.arcs[arc]!);
  }
  for (let node = 0; node < nodes; node++) {
    const open = decisions.starts[node] !== -1;
    set(arcCount + node, begin, node, open ? plenty : 0, prices.starts[node]!);
    const extra = surplus[node]!;
    if (extra >= 0) set(arcCount + nodes + node, source, node, extra, 0);
    else set(arcCount + nodes + node, node, sink, -extra, 0);
    missing += Math.max(0, -extra);
  }
  set(size - 1, source, begin, plenty, 0);

  const { flow, potential, sent } = minCostFlow(network, missing);
  if (sent < missing - 0.5) return undefined;
  const reducedArcs = new Float64Array(arcCount);
  const reducedStarts = new Float64Array(nodes);
  const reduced = (slot: number): number =>
    Math.max(0, network.cost[slot]! + potential[network.from[slot]!]! - potential[network.to[slot]!]!);
  for (let arc = 0; arc < arcCount; arc++) {
    const walked = Math.round(flow[arc]!);
    arcs[arc]! += walked;
    cost += walked * prices.arcs[arc]!;
    reducedArcs[arc] = reduced(arc);
  }
  for (let node = 0; node < nodes; node++) {
    const started = Math.round(flow[arcCount + node]!);
    starts[node]! += started;
    cost += started * prices.starts[node]!;
    reducedStarts[node] = reduced(arcCount + node);
  }
  return { arcs, starts, cost, reducedArcs, reducedStarts };
}
