export interface ConnectedItem {
  id: string;
  /** Where it begins, and where it leads. */
  from: string;
  to: readonly string[];
  /** Items that have to be chosen, too. */
  needs?: readonly string[] | undefined;
}

export interface ConnectedSetQuery {
  root: string;
  items: readonly ConnectedItem[];
  /** At most so many items. */
  most: number;
  worth: (ids: ReadonlySet<string>) => number;
  /** So many sets are tried before a beam takes over. */
  limit?: number | undefined;
}

export interface ConnectedSet {
  /** In the order of the items given. */
  ids: string[];
  worth: number;
  /** Whether every set was tried. */
  proved: boolean;
  tried: number;
}

const LIMIT = 20_000;
const BEAM = 8;

/** A set by the places of its items, in order. */
type Places = readonly number[];

/**
 * The set of at most `most` items that is worth most, each of them usable: it begins at the root or where another chosen
 * item leads, and what it needs is chosen; the set can be built up from the root one usable item at a time. The empty
 * set counts. Every such set is tried where there are at most `limit`; else a beam of the best sets grows by one item or
 * by one and another that it leads to, since a connection is worth nothing without what follows, and what is best then
 * is improved by exchanging items until no exchange helps. Of sets that are worth the same the smaller one is taken,
 * then the one with the first ids.
 */
export function bestConnectedSet({
  root,
  items,
  most,
  worth,
  limit = LIMIT,
}: ConnectedSetQuery): ConnectedSet {
  const found = new Map<string, number>();
  let best: { set: Places; worth: number } = { set: [], worth: judge([]) };
  const proved = tryAll();
  if (!proved) tryBeam();
  return {
    ids: best.set.map((i) => items[i]!.id),
    worth: best.worth,
    proved,
    tried: found.size,
  };

  function judge(set: Places): number {
    const key = set.join(' ');
    const known = found.get(key);
    if (known !== undefined) return known;
    const value = worth(new Set(set.map((i) => items[i]!.id)));
    found.set(key, value);
    return value;
  }

  function keep(set: Places): number {
    const value = judge(set);
    if (value > best.worth || (value === best.worth && isFirst(set, best.set))) best = { set, worth: value };
    return value;
  }

  /** Smaller, or with the first ids. */
  function isFirst(a: Places, b: Places): boolean {
    if (a.length !== b.length) return a.length < b.length;
    const ids = (set: Places) => set.map((i) => items[i]!.id).sort();
    const [left, right] = [ids(a), ids(b)];
    const differs = left.findIndex((id, i) => id !== right[i]);
    return differs >= 0 && left[differs]! < right[differs]!;
  }

  /** The items that can be added to a set. */
  function usable(set: Places): number[] {
    const chosen = new Set(set.map((i) => items[i]!.id));
    const places = new Set([root, ...set.flatMap((i) => items[i]!.to)]);
    return items.flatMap(({ id, from, needs = [] }, i) =>
      !chosen.has(id) && places.has(from) && needs.every((need) => chosen.has(need)) ? [i] : [],
    );
  }

  function tryAll(): boolean {
    let layer: Places[] = [[]];
    const seen = new Set<string>(['']);
    for (let size = 0; size < most && layer.length > 0; size++) {
      const next: Places[] = [];
      for (const set of layer)
        for (const i of usable(set)) {
          const larger = added(set, i);
          const key = larger.join(' ');
          if (seen.has(key)) continue;
          seen.add(key);
          if (seen.size > limit) return false;
          next.push(larger);
        }
      for (const set of next) keep(set);
      layer = next;
    }
    return true;
  }

  function tryBeam(): void {
    let beam: Places[] = [[]];
    for (let size = 0; size < most; size++) {
      const grown = new Map<string, Places>();
      for (const set of beam) {
        if (set.length >= most) continue;
        for (const i of usable(set)) {
          const one = added(set, i);
          grown.set(one.join(' '), one);
          if (one.length >= most) continue;
          for (const j of usable(one)) {
            if (!items[i]!.to.includes(items[j]!.from)) continue;
            const two = added(one, j);
            grown.set(two.join(' '), two);
          }
        }
      }
      if (grown.size === 0) break;
      beam = [...grown.values()]
        .map((set) => ({ set, value: keep(set) }))
        .sort((a, b) => b.value - a.value || (isFirst(a.set, b.set) ? -1 : 1))
        .slice(0, BEAM)
        .map(({ set }) => set);
    }
    for (let better = true; better; ) {
      const before = best.worth;
      const { set } = best;
      for (const out of [undefined, ...set]) {
        const left = buildable(set.filter((i) => i !== out));
        if (left.length < most) for (const i of usable(left)) keep(added(left, i));
      }
      better = best.worth > before;
    }
  }

  /** What of a set can be built up from the root. */
  function buildable(set: Places): Places {
    let built: Places = [];
    for (;;) {
      const next = usable(built).find((i) => set.includes(i));
      if (next === undefined) return built;
      built = added(built, next);
    }
  }
}

const added = (set: Places, i: number): Places => [...set, i].sort((a, b) => a - b);
