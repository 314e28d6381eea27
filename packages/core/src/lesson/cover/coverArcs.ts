import { type CoverFlow, coverFlow, type Decisions, type Prices, type Walks } from './coverFlow.ts';
import { type CoverInput, type CoverProblem, coverProblem } from './problem.ts';
import { startFreeGroups } from './startFree.ts';
import { traceChains } from './traceChains.ts';

export type { CoverInput };

export interface Cover {
  chains: { start: string; arcs: string[] }[];
  /** Seconds of all chains with their starts. */
  cost: number;
  /** What the flow alone says that no cover can be cheaper than. */
  bound: number;
  /** Whether `cost` is proved to be the least possible. */
  proved: boolean;
  /** Nodes of the search that were opened. */
  nodes: number;
}

const DEFAULT_MAX_NODES = 2000;
const ROUNDS_AT_ROOT = 40;
const ROUNDS_BELOW = 4;
const NUDGE = 1e-3;

/**
 * The cheapest set of chains that walks every arc that must be covered. A chain starts at any position for
 * `resetSeconds`, plus `coldStartSeconds` where that is no entry, and ends anywhere; other arcs may connect.
 *
 * A minimum-cost flow gives the bound, but lets a closed walk go round without anyone starting it. Every such
 * group needs a start in it or an arc that enters it: these conditions enter the prices as multipliers (each
 * lowered by the least reduced cost across the group, which raises the bound by as much), and branch and bound
 * on the ways to satisfy one of them does the rest. The result does not depend on anything but the input.
 * @throws RangeError for a negative time, an unknown position or an id used twice.
 */
export function coverArcs(input: CoverInput): Cover {
  const problem = coverProblem(input);
  const maxNodes = input.maxNodes ?? DEFAULT_MAX_NODES;
  const root: Branch = {
    decisions: undecidedYet(problem),
    prices: { arcs: problem.seconds, starts: problem.startCost },
    paid: 0,
    bound: 0,
    plain: false,
  };
  const flowOnly = coverFlow(problem, root.decisions, root.prices)!;
  const best: Best = { cost: Number.POSITIVE_INFINITY, walks: flowOnly };

  const open: Branch[] = [root];
  let nodes = 0;
  while (open.length > 0 && nodes < maxNodes) {
    const branch = takeLowest(open);
    if (hopeless(problem, branch.bound, best)) break;
    nodes++;
    open.push(...explore(problem, branch, best, nodes === 1 ? ROUNDS_AT_ROOT : ROUNDS_BELOW));
  }
  const proved = open.every((branch) => hopeless(problem, branch.bound, best));

  const chains = traceChains(problem, best.walks).map((trail) => ({
    start: input.positions[trail.start]!,
    arcs: trail.arcs.map((arc) => input.arcs[arc]!.id),
  }));
  return { chains, cost: best.cost, bound: flowOnly.cost, proved, nodes };
}

/**
 * The flow bound alone: no cover can be cheaper, and where no closed walk is left without a start it is the cost.
 * @throws RangeError as `coverArcs` does.
 */
export function coverBound(input: CoverInput): number {
  const problem = coverProblem(input);
  return coverFlow(problem, undecidedYet(problem), { arcs: problem.seconds, starts: problem.startCost })!
    .cost;
}

const undecidedYet = (problem: CoverProblem): Decisions => ({
  arcs: new Int8Array(problem.from.length),
  starts: new Int8Array(problem.nodes),
});

interface Branch {
  decisions: Decisions;
  /** Real seconds less the multipliers of the conditions met so far. */
  prices: Prices;
  /** Sum of those multipliers: what is added to a flow's cost to make it a bound. */
  paid: number;
  bound: number;
  /** Decide by branching alone, at the real prices: what multipliers could not settle. */
  plain: boolean;
}

interface Best {
  cost: number;
  walks: Walks;
}

function takeLowest(open: Branch[]): Branch {
  let lowest = 0;
  for (let i = 1; i < open.length; i++) if (open[i]!.bound < open[lowest]!.bound) lowest = i;
  const [branch] = open.splice(lowest, 1);
  return branch!;
}

function hopeless({ whole }: CoverProblem, bound: number, best: Best): boolean {
  return (whole ? Math.ceil(bound - 1e-6) : bound) >= best.cost - 1e-9;
}

/** Solves a branch, raises its bound as far as multipliers do, and returns what is left to decide. */
function explore(problem: CoverProblem, branch: Branch, best: Best, rounds: number): Branch[] {
  let { prices, paid } = branch;
  for (let round = 0; ; round++) {
    const flow = coverFlow(problem, branch.decisions, prices);
    if (!flow) return [];
    const groups = startFreeGroups(problem, flow);
    improve(problem, flow, groups, best);
    let bound = Math.max(branch.bound, flow.cost + paid);
    if (groups.length === 0 && round === 0 && prices.arcs === problem.seconds) return [];

    const cuts = groups.map((group) => crossing(problem, branch.decisions, flow, group));
    if (cuts.some((cut) => cut.arcs.length + cut.starts.length === 0)) return [];
    const gain = cuts.reduce((sum, cut) => sum + cut.least, 0);
    bound += gain;
    if (hopeless(problem, bound, best)) return [];
    if (!branch.plain && round < rounds && gain > 1e-6) {
      ({ prices, paid } = pay(prices, paid, cuts));
      continue;
    }
    const branches = divide(branch, { prices, paid, bound }, flow, cuts, problem);
    if (branches.length === 0 && walksTwice(problem, prices, flow)) {
      const real = { arcs: problem.seconds, starts: problem.startCost };
      return [{ decisions: branch.decisions, prices: real, paid: 0, bound, plain: true }];
    }
    return branches;
  }
}

/** Makes a cover of the walks by starting every start-free group at its cheapest position. */
function improve(problem: CoverProblem, flow: CoverFlow, groups: number[][], best: Best): void {
  const starts = flow.starts.slice();
  for (const group of groups) {
    const cheapest = group.reduce((a, b) => (problem.startCost[b]! < problem.startCost[a]! ? b : a));
    starts[cheapest]!++;
  }
  let cost = 0;
  for (let arc = 0; arc < flow.arcs.length; arc++) cost += flow.arcs[arc]! * problem.seconds[arc]!;
  for (let node = 0; node < starts.length; node++) cost += starts[node]! * problem.startCost[node]!;
  if (cost < best.cost - 1e-9) Object.assign(best, { cost, walks: { arcs: flow.arcs.slice(), starts } });
}

/** The ways into a group that are still allowed, and the least that using one of them adds. */
interface Cut {
  arcs: number[];
  starts: number[];
  least: number;
}

function crossing(
  { from, to, ends }: CoverProblem,
  decisions: Decisions,
  flow: CoverFlow,
  group: number[],
): Cut {
  const inside = new Set(group);
  const starts = group.filter((node) => decisions.starts[node] !== -1);
  const arcs: number[] = [];
  for (let arc = 0; arc < from.length; arc++) {
    if (to[arc] === ends || decisions.arcs[arc] === -1) continue;
    if (inside.has(to[arc]!) && !inside.has(from[arc]!)) arcs.push(arc);
  }
  let least = Number.POSITIVE_INFINITY;
  for (const arc of arcs) least = Math.min(least, flow.reducedArcs[arc]!);
  for (const node of starts) least = Math.min(least, flow.reducedStarts[node]!);
  return { arcs, starts, least };
}

/** Lowers the prices across each group by its multiplier, a touch more so that the next flow steps in. */
function pay(prices: Prices, paid: number, cuts: Cut[]): { prices: Prices; paid: number } {
  const arcs = prices.arcs.slice();
  const starts = prices.starts.slice();
  let total = paid;
  for (const cut of cuts) {
    const cheapest = Math.min(
      ...cut.arcs.map((arc) => arcs[arc]!),
      ...cut.starts.map((node) => starts[node]!),
    );
    const multiplier = Math.min(cut.least + NUDGE, cheapest);
    for (const arc of cut.arcs) arcs[arc]! -= multiplier;
    for (const node of cut.starts) starts[node]! -= multiplier;
    total += multiplier;
  }
  return { prices: { arcs, starts }, paid: total };
}

/**
 * One branch for each way into a start-free group, the earlier ways being forbidden in the later branches. When
 * multipliers alone made every group start, the walks' real prices differ from those solved for: then a walk
 * that is used but not forced is decided instead.
 */
function divide(
  { decisions, plain }: Branch,
  shared: Pick<Branch, 'prices' | 'paid' | 'bound'>,
  flow: CoverFlow,
  cuts: Cut[],
  problem: CoverProblem,
): Branch[] {
  const [cut] = cuts.sort((a, b) => a.arcs.length + a.starts.length - b.arcs.length - b.starts.length);
  const ways = cut
    ? [
        ...cut.starts.map((node) => ({ list: 'starts' as const, at: node, adds: flow.reducedStarts[node]! })),
        ...cut.arcs.map((arc) => ({ list: 'arcs' as const, at: arc, adds: flow.reducedArcs[arc]! })),
      ].sort((a, b) => a.adds - b.adds)
    : undecided(problem, decisions, shared.prices, flow);
  const branches: Branch[] = [];
  const forbidden = { arcs: decisions.arcs.slice(), starts: decisions.starts.slice() };
  for (const way of ways) {
    const next = { arcs: forbidden.arcs.slice(), starts: forbidden.starts.slice() };
    next[way.list][way.at] = 1;
    const bound = cut ? shared.bound - cut.least + Math.max(way.adds, cut.least) : shared.bound;
    branches.push({ ...shared, plain, decisions: next, bound });
    forbidden[way.list][way.at] = -1;
  }
  if (!cut && ways.length > 0) branches.push({ ...shared, plain, decisions: forbidden });
  return branches;
}

/** The used walk whose price was lowered most and that is neither forced nor forbidden yet. */
function undecided(problem: CoverProblem, decisions: Decisions, prices: Prices, flow: CoverFlow) {
  let most = 1e-9;
  let way: { list: 'arcs' | 'starts'; at: number; adds: number } | undefined;
  const consider = (list: 'arcs' | 'starts', real: Float64Array) => {
    for (let at = 0; at < real.length; at++) {
      const lowered = real[at]! - prices[list][at]!;
      if (decisions[list][at] === 0 && flow[list][at]! > 0 && lowered > most) {
        most = lowered;
        way = { list, at, adds: 0 };
      }
    }
  };
  consider('arcs', problem.seconds);
  consider('starts', problem.startCost);
  return way ? [way] : [];
}

/** Whether a walk with a lowered price is used more than once: only then can a flow without choices be too dear. */
function walksTwice(problem: CoverProblem, prices: Prices, flow: CoverFlow): boolean {
  const twice = (walks: Float64Array, real: Float64Array, price: Float64Array) =>
    walks.some((times, at) => times > 1 && price[at]! < real[at]! - 1e-9);
  return (
    twice(flow.arcs, problem.seconds, prices.arcs) || twice(flow.starts, problem.startCost, prices.starts)
  );
}
