export interface Arc {
  id: string;
  from: string;
  to: string;
  /** Not below zero. */
  cost: number;
}
export interface Path {
  arcs: string[];
  cost: number;
}

interface Query {
  arcs: readonly Arc[];
  from: string;
  to: string;
  count: number;
}

const EPSILON = 1e-12;

/** Cheaper first; at the same cost fewer arcs, then the ids in their order. */
function before(a: Path, b: Path): number {
  if (Math.abs(a.cost - b.cost) > EPSILON) return a.cost - b.cost;
  if (a.arcs.length !== b.arcs.length) return a.arcs.length - b.arcs.length;
  const at = a.arcs.findIndex((id, i) => id !== b.arcs[i]);
  return at < 0 ? 0 : a.arcs[at]! < b.arcs[at]! ? -1 : 1;
}

/**
 * The cheapest simple paths, parallel arcs kept apart: no node comes twice. Source: J. Y. Yen, "Finding the k shortest
 * loopless paths in a network", Management Science 17 (1971), over Dijkstra's method.
 * @throws RangeError where a cost is below zero.
 */
export function shortestPaths({ arcs, from, to, count }: Query): Path[] {
  for (const { id, cost } of arcs)
    if (!(cost >= 0)) throw new RangeError(`the cost of "${id}" is below zero`);
  const out = new Map<string, Arc[]>();
  for (const arc of arcs) out.set(arc.from, [...(out.get(arc.from) ?? []), arc]);
  const byId = new Map(arcs.map((arc) => [arc.id, arc]));
  const first = cheapest(out, from, to, new Set(), new Set());
  if (!first || count < 1) return [];
  const found: Path[] = [first];
  const open: Path[] = [];
  const known = new Set([first.arcs.join('\n')]);
  while (found.length < count) {
    const last = found.at(-1)!;
    const root: Arc[] = [];
    const passed = new Set<string>();
    for (let i = 0; i < last.arcs.length; i++) {
      const spur = i === 0 ? from : root[i - 1]!.to;
      const start = last.arcs.slice(0, i).join('\n');
      // Arcs by which a path that begins the same goes on already are not taken again.
      const barred = new Set(
        found
          .filter(({ arcs: path }) => path.slice(0, i).join('\n') === start)
          .flatMap(({ arcs: path }) => path[i] ?? []),
      );
      const rest = cheapest(out, spur, to, passed, barred);
      if (rest) {
        const path = {
          arcs: [...root.map(({ id }) => id), ...rest.arcs],
          cost: root.reduce((sum, { cost }) => sum + cost, 0) + rest.cost,
        };
        const key = path.arcs.join('\n');
        if (!known.has(key)) {
          known.add(key);
          open.push(path);
        }
      }
      passed.add(spur);
      root.push(byId.get(last.arcs[i]!)!);
    }
    open.sort(before);
    const next = open.shift();
    if (!next) break;
    found.push(next);
  }
  return found;
}

/** Dijkstra's method with ties settled by fewer arcs, then ids; from and to the same node only by no arc at all. */
function cheapest(
  out: ReadonlyMap<string, readonly Arc[]>,
  from: string,
  to: string,
  passed: ReadonlySet<string>,
  barred: ReadonlySet<string>,
): Path | undefined {
  const best = new Map<string, Path>([[from, { arcs: [], cost: 0 }]]);
  const done = new Set<string>(passed);
  for (;;) {
    let here: string | undefined;
    for (const [node, path] of best)
      if (!done.has(node) && (here === undefined || before(path, best.get(here)!) < 0)) here = node;
    if (here === undefined) return undefined;
    const path = best.get(here)!;
    if (here === to) return path;
    done.add(here);
    for (const arc of out.get(here) ?? []) {
      if (done.has(arc.to) || barred.has(arc.id)) continue;
      const longer = { arcs: [...path.arcs, arc.id], cost: path.cost + arc.cost };
      const old = best.get(arc.to);
      if (!old || before(longer, old) < 0) best.set(arc.to, longer);
    }
  }
}
