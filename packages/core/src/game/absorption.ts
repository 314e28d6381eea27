export interface Absorption {
  /** From every state the chance of ending in each absorbing state, in their order. */
  reach: number[][];
  /** The expected number of steps until then; infinite where it may never happen. */
  length: number[];
  /** For each list of costs their expected sum until then; infinite where it may never happen. */
  cost: number[][];
}

interface Chain {
  next: readonly (readonly (readonly [state: number, probability: number])[])[];
  absorbing: readonly number[];
  /** Lists of what a step from each state costs. */
  costs?: readonly (readonly number[])[] | undefined;
}

/** Up to so many states the system is solved densely: there a small last change is not taken for a small error. */
const DENSE = 400;

/**
 * The absorbing chain of Kemeny & Snell, Finite Markov Chains: chances of ending and expected lengths, by elimination for
 * small chains and by sparse sweeps for large ones. A state's probabilities may sum to less than 1; the rest is lost.
 * @throws RangeError for a state that does not exist, or probabilities that sum to more than 1.
 */
export function absorption({ next, absorbing, costs = [] }: Chain): Absorption {
  const n = next.length;
  for (const [s, list] of next.entries()) {
    let sum = 0;
    for (const [state, probability] of list) {
      if (!next[state] || !(probability >= 0)) throw new RangeError(`state ${s} leads nowhere`);
      sum += probability;
    }
    if (sum > 1 + 1e-9) throw new RangeError(`the probabilities of state ${s} sum to more than 1`);
  }
  const ends = new Map(absorbing.map((state, i) => [state, i]));
  const canEnd = reaching(next, absorbing);
  const open = Array.from({ length: n }, (_, s) => s).filter((s) => !ends.has(s) && canEnd.has(s));
  const place = new Map(open.map((s, i) => [s, i]));
  // One right-hand side for each end, one for the steps and one for each list of costs.
  const sides = open.map((s) => {
    const side = new Float64Array(absorbing.length + 1 + costs.length);
    for (const [state, probability] of next[s]!) {
      const end = ends.get(state);
      if (end !== undefined) side[end] = side[end]! + probability;
    }
    side[absorbing.length] = 1;
    for (const [i, cost] of costs.entries()) side[absorbing.length + 1 + i] = cost[s]!;
    return side;
  });
  const rows = open.map((s) =>
    next[s]!.flatMap(([state, probability]) => {
      const at = place.get(state);
      return at === undefined ? [] : [[at, probability] as const];
    }),
  );
  const solved = open.length <= DENSE ? dense(rows, sides) : sparse(rows, sides);
  const never = leaking(next, ends, canEnd);
  const until = (s: number, which: number): number => {
    if (ends.has(s)) return 0;
    const at = place.get(s);
    return at === undefined || never.has(s)
      ? Number.POSITIVE_INFINITY
      : solved[at]![absorbing.length + which]!;
  };
  return {
    reach: next.map((_, s) => {
      const end = ends.get(s);
      if (end !== undefined) return absorbing.map((_, i) => (i === end ? 1 : 0));
      const at = place.get(s);
      return at === undefined ? absorbing.map(() => 0) : [...solved[at]!.subarray(0, absorbing.length)];
    }),
    length: next.map((_, s) => until(s, 0)),
    cost: costs.map((_, i) => next.map((_, s) => until(s, 1 + i))),
  };
}

/** States from which an absorbing one can be come to. */
function reaching(next: Chain['next'], absorbing: readonly number[]): Set<number> {
  const before = new Map<number, number[]>();
  for (const [s, list] of next.entries())
    for (const [state, probability] of list)
      if (probability > 0) before.set(state, [...(before.get(state) ?? []), s]);
  const seen = new Set<number>();
  const open = [...absorbing];
  for (let s = open.pop(); s !== undefined; s = open.pop()) {
    if (seen.has(s)) continue;
    seen.add(s);
    open.push(...(before.get(s) ?? []));
  }
  return seen;
}

/** States that may come to one from which there is no end. */
function leaking(
  next: Chain['next'],
  ends: ReadonlyMap<number, number>,
  canEnd: ReadonlySet<number>,
): Set<number> {
  const lost = next.flatMap((_, s) => (canEnd.has(s) ? [] : [s]));
  const seen = reaching(
    next.map((list, s) => (ends.has(s) ? [] : list)),
    lost,
  );
  return seen;
}

function dense(rows: (readonly (readonly [number, number])[])[], sides: Float64Array[]): Float64Array[] {
  const n = rows.length;
  const matrix = rows.map((row, i) => {
    const line = new Float64Array(n);
    line[i] = 1;
    for (const [at, probability] of row) line[at] = line[at]! - probability;
    return line;
  });
  const width = sides[0]?.length ?? 0;
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(matrix[i]![k]!) > Math.abs(matrix[pivot]![k]!)) pivot = i;
    [matrix[k], matrix[pivot]] = [matrix[pivot]!, matrix[k]!];
    [sides[k], sides[pivot]] = [sides[pivot]!, sides[k]!];
    const [line, side] = [matrix[k]!, sides[k]!];
    for (let i = k + 1; i < n; i++) {
      const [below, its] = [matrix[i]!, sides[i]!];
      const factor = below[k]! / line[k]!;
      if (factor === 0) continue;
      for (let j = k; j < n; j++) below[j] = below[j]! - factor * line[j]!;
      for (let c = 0; c < width; c++) its[c] = its[c]! - factor * side[c]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    const [line, side] = [matrix[k]!, sides[k]!];
    for (let j = k + 1; j < n; j++) {
      const factor = line[j]!;
      if (factor !== 0) for (let c = 0; c < width; c++) side[c] = side[c]! - factor * sides[j]![c]!;
    }
    for (let c = 0; c < width; c++) side[c] = side[c]! / line[k]!;
  }
  return sides;
}

function sparse(rows: (readonly (readonly [number, number])[])[], sides: Float64Array[]): Float64Array[] {
  const value = sides.map((side) => new Float64Array(side.length));
  for (let sweep = 0; sweep < 100_000; sweep++) {
    let moved = 0;
    for (const [i, row] of rows.entries()) {
      let own = 0;
      const sum = Float64Array.from(sides[i]!);
      for (const [at, probability] of row) {
        if (at === i) own += probability;
        else for (let c = 0; c < sum.length; c++) sum[c] = sum[c]! + probability * value[at]![c]!;
      }
      for (let c = 0; c < sum.length; c++) {
        const next = sum[c]! / (1 - own);
        moved = Math.max(moved, Math.abs(next - value[i]![c]!) / Math.max(1, Math.abs(next)));
        value[i]![c] = next;
      }
    }
    if (moved < 1e-14) break;
  }
  return value;
}
