/** A directed network; the arrays run over its arcs. Costs must not be negative. */
export interface FlowNetwork {
  nodes: number;
  from: Int32Array;
  to: Int32Array;
  capacity: Float64Array;
  cost: Float64Array;
  source: number;
  sink: number;
}

export interface Flow {
  /** Units on each arc. */
  flow: Float64Array;
  /** Node prices under which no arc with room left has a negative reduced cost. */
  potential: Float64Array;
  /** Units that reached the sink. */
  sent: number;
}

const EPS = 1e-9;

/**
 * The cheapest flow that brings as much as possible, at most `amount`, from source to sink; integral where the
 * capacities are. Primal-dual: shortest paths under node prices, then all augmenting paths of that length at
 * once (Ford & Fulkerson, *Flows in Networks*, 1962, chapter III), so the number of rounds is at most the
 * number of different path lengths.
 */
export function minCostFlow(network: FlowNetwork, amount: number): Flow {
  const { nodes, source, sink } = network;
  const residual = makeResidual(network);
  const { head, start, arcAt, room, price } = residual;
  const potential = new Float64Array(nodes);
  const distance = new Float64Array(nodes);
  const visited = new Uint8Array(nodes);
  let sent = 0;

  function push(node: number, limit: number): number {
    if (node === sink) return limit;
    visited[node] = 1;
    let pushed = 0;
    for (let i = start[node]!; i < start[node + 1]!; i++) {
      const arc = arcAt[i]!;
      const next = head[arc]!;
      if (visited[next] || room[arc]! <= EPS) continue;
      if (price[arc]! + potential[node]! - potential[next]! > EPS) continue;
      const part = push(next, Math.min(limit - pushed, room[arc]!));
      if (part <= 0) continue;
      room[arc]! -= part;
      room[arc ^ 1]! += part;
      pushed += part;
      if (limit - pushed <= EPS) {
        visited[node] = 0;
        break;
      }
    }
    return pushed;
  }

  while (sent < amount - EPS && shortestDistances(residual, network, potential, distance)) {
    const reach = distance[sink]!;
    for (let node = 0; node < nodes; node++) potential[node]! += Math.min(distance[node]!, reach);
    for (let part = 1; part > 0 && sent < amount - EPS; ) {
      visited.fill(0);
      part = push(source, amount - sent);
      sent += part;
    }
  }

  const flow = new Float64Array(network.from.length);
  for (let arc = 0; arc < flow.length; arc++) flow[arc] = room[2 * arc + 1]!;
  return { flow, potential, sent };
}

interface Residual {
  /** Arc 2k is arc k of the network, 2k + 1 its reverse. */
  head: Int32Array;
  room: Float64Array;
  price: Float64Array;
  /** Arcs out of node n are arcAt[start[n]] … arcAt[start[n + 1] − 1]. */
  start: Int32Array;
  arcAt: Int32Array;
}

function makeResidual({ nodes, from, to, capacity, cost }: FlowNetwork): Residual {
  const count = from.length;
  const head = new Int32Array(2 * count);
  const room = new Float64Array(2 * count);
  const price = new Float64Array(2 * count);
  const start = new Int32Array(nodes + 1);
  for (let arc = 0; arc < count; arc++) {
    head[2 * arc] = to[arc]!;
    head[2 * arc + 1] = from[arc]!;
    room[2 * arc] = capacity[arc]!;
    price[2 * arc] = cost[arc]!;
    price[2 * arc + 1] = -cost[arc]!;
    start[from[arc]! + 1]!++;
    start[to[arc]! + 1]!++;
  }
  for (let node = 0; node < nodes; node++) start[node + 1]! += start[node]!;
  const arcAt = new Int32Array(2 * count);
  const next = start.slice();
  for (let arc = 0; arc < count; arc++) {
    arcAt[next[from[arc]!]!++] = 2 * arc;
    arcAt[next[to[arc]!]!++] = 2 * arc + 1;
  }
  return { head, room, price, start, arcAt };
}

/** Dijkstra under the node prices, stopped once the sink is settled; false when it cannot be reached. */
function shortestDistances(
  { head, room, price, start, arcAt }: Residual,
  { nodes, source, sink }: FlowNetwork,
  potential: Float64Array,
  distance: Float64Array,
): boolean {
  distance.fill(Number.POSITIVE_INFINITY);
  distance[source] = 0;
  const settled = new Uint8Array(nodes);
  const heap = new NodeHeap(distance);
  heap.add(source);
  for (let node = heap.take(); node >= 0; node = heap.take()) {
    if (settled[node]) continue;
    settled[node] = 1;
    if (node === sink) {
      // What is not settled is at least as far as the sink; tentative labels above it do no harm.
      return true;
    }
    for (let i = start[node]!; i < start[node + 1]!; i++) {
      const arc = arcAt[i]!;
      if (room[arc]! <= EPS) continue;
      const other = head[arc]!;
      const reduced = Math.max(0, price[arc]! + potential[node]! - potential[other]!);
      const far = distance[node]! + reduced;
      if (far < distance[other]! - EPS) {
        distance[other] = far;
        heap.add(other, far);
      }
    }
  }
  return false;
}

/** A binary heap of nodes by a distance fixed when they were added; stale entries are skipped by the caller. */
class NodeHeap {
  private readonly keys: number[] = [];
  private readonly nodes: number[] = [];
  private readonly distance: Float64Array;
  constructor(distance: Float64Array) {
    this.distance = distance;
  }

  add(node: number, key = this.distance[node]!): void {
    let place = this.keys.length;
    this.keys.push(key);
    this.nodes.push(node);
    while (place > 0) {
      const parent = (place - 1) >> 1;
      if (this.keys[parent]! <= key) break;
      this.keys[place] = this.keys[parent]!;
      this.nodes[place] = this.nodes[parent]!;
      place = parent;
    }
    this.keys[place] = key;
    this.nodes[place] = node;
  }

  /** The nearest node, or −1 when there is none. */
  take(): number {
    const node = this.nodes[0];
    if (node === undefined) return -1;
    const key = this.keys.pop()!;
    const last = this.nodes.pop()!;
    const count = this.keys.length;
    if (count > 0) {
      let place = 0;
      for (let child = 1; child < count; child = 2 * place + 1) {
        if (child + 1 < count && this.keys[child + 1]! < this.keys[child]!) child++;
        if (this.keys[child]! >= key) break;
        this.keys[place] = this.keys[child]!;
        this.nodes[place] = this.nodes[child]!;
        place = child;
      }
      this.keys[place] = key;
      this.nodes[place] = last;
    }
    return node;
  }
}
