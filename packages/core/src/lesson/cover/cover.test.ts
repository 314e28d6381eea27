import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomCover } from '../../test/randomCover.ts';
import { coverFlow } from './coverFlow.ts';
import { type FlowNetwork, minCostFlow } from './minCostFlow.ts';
import { coverProblem } from './problem.ts';
import { startFreeGroups } from './startFree.ts';
import { traceChains } from './traceChains.ts';

type Arc = [from: number, to: number, capacity: number, cost: number];
const network = (nodes: number, arcs: readonly Arc[], source: number, sink: number): FlowNetwork => ({
  nodes,
  source,
  sink,
  from: Int32Array.from(arcs, ([from]) => from),
  to: Int32Array.from(arcs, ([, to]) => to),
  capacity: Float64Array.from(arcs, ([, , capacity]) => capacity),
  cost: Float64Array.from(arcs, ([, , , cost]) => cost),
});

/** The cheapest way to bring `amount` from source to sink, by trying every whole flow. */
function cheapest(nodes: number, arcs: readonly Arc[], source: number, sink: number, amount: number): number {
  const flow = arcs.map(() => 0);
  let best = Number.POSITIVE_INFINITY;
  const place = (at: number): void => {
    if (at === arcs.length) {
      const balance = new Array<number>(nodes).fill(0);
      arcs.forEach(([from, to], i) => {
        balance[from]! -= flow[i]!;
        balance[to]! += flow[i]!;
      });
      const right = balance.every(
        (value, node) => value === (node === source ? -amount : node === sink ? amount : 0),
      );
      if (right)
        best = Math.min(
          best,
          arcs.reduce((sum, [, , , cost], i) => sum + cost * flow[i]!, 0),
        );
      return;
    }
    for (flow[at] = 0; flow[at]! <= arcs[at]![2]; flow[at]!++) place(at + 1);
    flow[at] = 0;
  };
  place(0);
  return best;
}

describe('minimum-cost flow', () => {
  it('takes the cheap way first and the dear one when that is full', () => {
    const arcs: Arc[] = [
      [0, 1, 1, 1],
      [1, 3, 1, 1],
      [0, 2, 5, 4],
      [2, 3, 5, 4],
    ];
    const { flow, sent } = minCostFlow(network(4, arcs, 0, 3), 3);
    expect([...flow]).toEqual([1, 1, 2, 2]);
    expect(sent).toBe(3);
  });

  it('sends what can be sent when not all can', () => {
    const { sent } = minCostFlow(network(2, [[0, 1, 2, 5]], 0, 1), 9);
    expect(sent).toBe(2);
    expect(minCostFlow(network(3, [[0, 1, 2, 5]], 0, 2), 1).sent).toBe(0);
  });

  it('goes back on what it sent when that is cheaper in all', () => {
    // The cheapest single path blocks both others: the second unit has to undo its middle.
    const arcs: Arc[] = [
      [0, 1, 1, 1],
      [1, 2, 1, 0],
      [2, 3, 1, 1],
      [0, 2, 1, 10],
      [1, 3, 1, 10],
    ];
    const { flow } = minCostFlow(network(4, arcs, 0, 3), 2);
    expect([...flow]).toEqual([1, 0, 1, 1, 1]);
  });

  it('equals trying every flow, conserves it, and its prices prove it', () => {
    const arc = fc.tuple(fc.nat(4), fc.nat(4), fc.nat(2), fc.nat(6));
    fc.assert(
      fc.property(
        fc.array(arc, { minLength: 1, maxLength: 7 }),
        fc.integer({ min: 1, max: 3 }),
        (list, amount) => {
          const arcs = list.filter(([from, to]) => from !== to) as Arc[];
          const { flow, sent, potential } = minCostFlow(network(5, arcs, 0, 4), amount);
          const cost = arcs.reduce((sum, [, , , price], i) => sum + price * flow[i]!, 0);
          expect(cost).toBe(cheapest(5, arcs, 0, 4, sent));
          if (sent < amount) expect(cheapest(5, arcs, 0, 4, sent + 1)).toBe(Number.POSITIVE_INFINITY);
          // Complementary slackness: no arc with room is under its price, none that is used is over it.
          if (sent < amount) return;
          arcs.forEach(([from, to, capacity, price], i) => {
            const reduced = price + potential[from]! - potential[to]!;
            if (flow[i]! < capacity) expect(reduced).toBeGreaterThanOrEqual(-1e-9);
            if (flow[i]! > 0) expect(reduced).toBeLessThanOrEqual(1e-9);
          });
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('a round that nobody starts', () => {
  const arc = (id: string, from: string, to: string | null, mustCover = true) => ({
    id,
    from,
    to,
    seconds: 5,
    mustCover,
  });
  const problem = coverProblem({
    arcs: [arc('ab', 'a', 'b'), arc('ba', 'b', 'a'), arc('out', 'c', null), arc('ca', 'c', 'a', false)],
    positions: ['a', 'b', 'c', 'd'],
    entries: ['c'],
    resetSeconds: 6,
    coldStartSeconds: 4,
  });
  const undecided = () => ({ arcs: new Int8Array(4), starts: new Int8Array(4) });
  const real = { arcs: problem.seconds, starts: problem.startCost };

  it('is what the flow alone would leave, and is found', () => {
    const flow = coverFlow(problem, undecided(), real)!;
    expect([...flow.arcs]).toEqual([1, 1, 1, 0]);
    expect([...flow.starts]).toEqual([0, 0, 1, 0]);
    expect(flow.cost).toBe(6 + 15);
    expect(startFreeGroups(problem, flow)).toEqual([[0, 1]]);
  });

  it('is gone once a start is forced, and chains can be traced', () => {
    const decisions = undecided();
    decisions.starts[0] = 1;
    const flow = coverFlow(problem, decisions, real)!;
    expect(startFreeGroups(problem, flow)).toEqual([]);
    expect(flow.cost).toBe(6 + 15 + 10);
    expect(traceChains(problem, flow)).toEqual([
      { start: 0, arcs: [0, 1] },
      { start: 2, arcs: [2] },
    ]);
  });

  it('costs nothing to leave out where there is nothing to cover', () => {
    const walks = { arcs: Float64Array.from([0, 0, 1, 0]), starts: Float64Array.from([0, 0, 1, 0]) };
    const idle = coverProblem({
      arcs: [
        arc('loop', 'd', 'd', false),
        arc('ba', 'b', 'a', false),
        arc('out', 'c', null),
        arc('ca', 'c', 'a', false),
      ],
      positions: ['a', 'b', 'c', 'd'],
      entries: [],
      resetSeconds: 0,
      coldStartSeconds: 0,
    });
    walks.arcs[0] = 2;
    expect(startFreeGroups(idle, walks)).toEqual([]);
    expect([...walks.arcs]).toEqual([0, 0, 1, 0]);
  });

  it('has no way when every start and every way in is forbidden', () => {
    const decisions = { arcs: Int8Array.from([0, 0, 0, -1]), starts: Int8Array.from([-1, -1, -1, -1]) };
    expect(coverFlow(problem, decisions, real)).toBeUndefined();
  });
});

describe('tracing chains', () => {
  it('walks everything exactly as often as the flow says, from where it says', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const input = randomCover(seed, { positions: 12, arcs: 40, chosen: 0.4 });
      const problem = coverProblem(input);
      const decisions = { arcs: new Int8Array(40), starts: new Int8Array(12).fill(1) };
      const flow = coverFlow(problem, decisions, { arcs: problem.seconds, starts: problem.startCost })!;
      expect(startFreeGroups(problem, flow)).toEqual([]);
      const walked = new Float64Array(40);
      const started = new Float64Array(12);
      for (const trail of traceChains(problem, flow)) {
        started[trail.start]!++;
        let at = trail.start;
        for (const arc of trail.arcs) {
          expect(problem.from[arc]).toBe(at);
          at = problem.to[arc]!;
          walked[arc]!++;
        }
      }
      expect(walked).toEqual(flow.arcs);
      for (const [node, times] of started.entries()) expect(times).toBeLessThanOrEqual(flow.starts[node]!);
    }
  });
});
