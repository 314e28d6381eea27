import type { Walks } from './coverFlow.ts';
import type { CoverProblem } from './problem.ts';

/**
 * The groups of positions that walks join together, have an arc to cover and no start: each is a round that
 * nobody ever steps into. Walks round a group with nothing to cover are struck out (they cost and serve nothing).
 */
export function startFreeGroups(problem: CoverProblem, walks: Walks): number[][] {
  const { nodes, ends, from, to, must } = problem;
  const parent = Int32Array.from({ length: nodes }, (_, node) => node);
  const find = (node: number): number => {
    let root = node;
    while (parent[root] !== root) root = parent[root]!;
    while (parent[node] !== root) [parent[node], node] = [root, parent[node]!];
    return root;
  };
  const used = new Uint8Array(nodes);
  for (let arc = 0; arc < from.length; arc++) {
    if (walks.arcs[arc] === 0) continue;
    used[from[arc]!] = 1;
    if (to[arc] === ends) continue;
    used[to[arc]!] = 1;
    parent[find(from[arc]!)] = find(to[arc]!);
  }
  const started = new Uint8Array(nodes);
  const wanted = new Uint8Array(nodes);
  for (let node = 0; node < nodes; node++) if (walks.starts[node]! > 0) started[find(node)] = 1;
  for (let arc = 0; arc < from.length; arc++) if (must[arc]) wanted[find(from[arc]!)] = 1;

  const groups = new Map<number, number[]>();
  for (let node = 0; node < nodes; node++) {
    const root = find(node);
    if (!used[node] || started[root]) continue;
    if (wanted[root]) groups.set(root, [...(groups.get(root) ?? []), node]);
  }
  for (let arc = 0; arc < from.length; arc++) {
    const root = find(from[arc]!);
    if (walks.arcs[arc]! > 0 && !started[root] && !wanted[root]) walks.arcs[arc] = 0;
  }
  return [...groups.values()];
}
