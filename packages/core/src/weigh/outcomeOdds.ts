import { absorption } from '../game/absorption.ts';
import { type CountedOutcome, isOutcome, type Landing, OUTCOMES, type Outcome } from '../model/outcome.ts';
import type { MapSolution } from './solveMap.ts';

export type End = Outcome | CountedOutcome;
export const ENDS: readonly End[] = [...OUTCOMES, 'time', 'stuck'];

export interface OutcomeOdds {
  /** Chance of each end, from each position in the map's order. */
  from: Record<End, number>[];
  /** Expected number of exchanges. */
  exchanges: number[];
}

type Branch = [state: number, probability: number];

/**
 * How rounds end under the plan: with 1 − γ of an exchange in `time`, where nothing can be done in `stuck`, else in an
 * outcome. States are the positions and, behind them, the ends.
 */
export function roundChain(solution: MapSolution): Branch[][] {
  const { game, positions } = solution;
  const n = game.states.length;
  const end = (what: End) => n + ENDS.indexOf(what);
  const landed = (landing: Landing | undefined, here: number): number =>
    !landing ? here : isOutcome(landing) ? end(landing.outcome) : game.place.get(landing.position)!;
  const chain = game.states.map(({ position, looks }, s): Branch[] => {
    const plan = positions[s]!;
    const look = looks.find(({ look: { id } }) => id === plan.best);
    const mix = plan.looks.find(({ look: id }) => id === plan.best);
    const branches = new Map<number, number>();
    const add = (state: number, p: number) => p > 0 && branches.set(state, (branches.get(state) ?? 0) + p);
    if (!look || !mix) {
      if (!position.drift || position.rest !== undefined) return [[end('stuck'), 1]];
      add(end('time'), 1 - game.paceGamma);
      add(landed(position.drift, s), game.paceGamma);
      return [...branches];
    }
    for (const { what: move, share: x } of mix.moves) {
      const m = look.moves.findIndex(({ id }) => id === move);
      const reactions = mix.reactions.length > 0 ? mix.reactions : [{ what: undefined, share: 1 }];
      for (const { what: ref, share: y } of reactions) {
        const r = ref ? look.reactions.indexOf(ref) : 0;
        const { exchange, gamma } = look.cells[m]![r]!;
        add(end('time'), x * y * (1 - gamma));
        if (!exchange) {
          add(end('stuck'), x * y * gamma);
          continue;
        }
        const chance = game.chanceOf(exchange);
        add(landed(exchange.to, s), x * y * gamma * chance);
        add(landed(exchange.otherwise, s), x * y * gamma * (1 - chance));
      }
    }
    return [...branches];
  });
  return [...chain, ...ENDS.map(() => [])];
}

export function outcomeOdds(solution: MapSolution): OutcomeOdds {
  const n = solution.game.states.length;
  const { reach, length } = absorption({
    next: roundChain(solution),
    absorbing: ENDS.map((_, i) => n + i),
  });
  return {
    from: reach
      .slice(0, n)
      .map(
        (chances) => Object.fromEntries(ENDS.map((what, i) => [what, chances[i]!])) as Record<End, number>,
      ),
    exchanges: length.slice(0, n),
  };
}

/**
 * Rounds played by chance from one position, to lay beside the exact odds.
 * @param random numbers in [0, 1), seeded by the caller
 */
export function simulateRounds(
  solution: MapSolution,
  from: number,
  rounds: number,
  random: () => number,
): { share: Record<End, number>; error: Record<End, number> } {
  const chain = roundChain(solution);
  const n = solution.game.states.length;
  const count = new Array<number>(ENDS.length).fill(0);
  for (let round = 0; round < rounds; round++) {
    let state = from;
    while (state < n) {
      let draw = random();
      const branches = chain[state]!;
      let next = branches.at(-1)![0];
      for (const [to, p] of branches) {
        draw -= p;
        if (draw < 0) {
          next = to;
          break;
        }
      }
      state = next;
    }
    count[state - n] = count[state - n]! + 1;
  }
  const by = (value: (p: number) => number) =>
    Object.fromEntries(ENDS.map((what, i) => [what, value(count[i]! / rounds)])) as Record<End, number>;
  return { share: by((p) => p), error: by((p) => Math.sqrt((p * (1 - p)) / rounds)) };
}
