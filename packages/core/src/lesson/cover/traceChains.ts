import type { Walks } from './coverFlow.ts';
import type { CoverProblem } from './problem.ts';

/** A chain in numbers: where it starts and the arcs it walks, in order. */
export interface Trail {
  start: number;
  arcs: number[];
}

/**
 * Chains that walk every arc exactly as often as given. Walks, starts and ends together make one closed walk
 * through a hub (every group has a start), found as Hierholzer did (*Mathematische Annalen* 6, 1873) and cut at
 * the hub. Nothing is cheaper or dearer by the order; the first arc of the list is walked first.
 */
export function traceChains(problem: CoverProblem, walks: Walks): Trail[] {
  const { nodes, ends, from, to } = problem;
  const hub = nodes;
  interface Walk {
    arc: number;
    to: number;
  }
  const out: Walk[][] = Array.from({ length: nodes + 1 }, () => []);
  const balance = new Float64Array(nodes);
  for (let node = 0; node < nodes; node++) {
    for (let i = 0; i < walks.starts[node]!; i++) out[hub]!.push({ arc: -1, to: node });
    balance[node] = walks.starts[node]!;
  }
  for (let arc = 0; arc < from.length; arc++) {
    for (let i = 0; i < walks.arcs[arc]!; i++)
      out[from[arc]!]!.push({ arc, to: to[arc] === ends ? hub : to[arc]! });
    balance[from[arc]!]! -= walks.arcs[arc]!;
    if (to[arc] !== ends) balance[to[arc]!]! += walks.arcs[arc]!;
  }
  for (let node = 0; node < nodes; node++) {
    for (let i = 0; i < balance[node]!; i++) out[node]!.push({ arc: -1, to: hub });
  }
  for (const list of out) list.reverse();

  const circuit: Walk[] = [];
  const stack: Walk[] = [{ arc: -1, to: hub }];
  while (stack.length > 0) {
    const here = stack.at(-1)!;
    const next = out[here.to]!.pop();
    if (next) stack.push(next);
    else circuit.push(stack.pop()!);
  }
  circuit.reverse();

  const trails: Trail[] = [];
  let at = hub;
  for (const walk of circuit.slice(1)) {
    if (at === hub) trails.push({ start: walk.to, arcs: [] });
    else if (walk.arc >= 0) trails.at(-1)!.arcs.push(walk.arc);
    at = walk.to;
  }
  return trails.filter((trail) => trail.arcs.length > 0);
}
