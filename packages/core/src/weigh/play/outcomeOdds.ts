import { absorption } from '../../game/absorption.ts';
import { type CountedOutcome, isOutcome, type Landing, OUTCOMES, type Outcome } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import { driftOf, restOf } from '../game/mapGame.ts';
import { type PlayedMap, WAITING } from '../game/plays.ts';

export type End = Outcome | CountedOutcome;
export const ENDS: readonly End[] = [...OUTCOMES, 'time', 'stuck'];

export interface OutcomeOdds {
  /** Chance of each end, from each position in the map's order. */
  from: Record<End, number>[];
  /** Expected number of exchanges, and how long they take, s. */
  exchanges: number[];
  seconds: number[];
  /** Expected points. */
  points: number[];
  /** Chances of the points that a round may bring, the least first. */
  distribution: { points: number; chance: number }[][];
}

type Branch = [state: number, probability: number];

type RoundPlay = Pick<PlayedMap, 'game' | 'built' | 'plays'>;

/**
 * How rounds end as they are played: with 1 − γ of an exchange in `time`, where nothing can be done in `stuck`, else in an
 * outcome. States are the positions and, behind them, the ends.
 */
export function roundChain(played: RoundPlay): Branch[][] {
  const { game, plays } = played;
  const n = game.states.length;
  const end = (what: End) => n + ENDS.indexOf(what);
  const landed = (landing: Landing | undefined, here: number): number =>
    !landing ? here : isOutcome(landing) ? end(landing.outcome) : game.place.get(landing.position)!;
  const chain = game.states.map(({ position, looks }, s): Branch[] => {
    const branches = new Map<number, number>();
    const add = (state: number, p: number) => p > 0 && branches.set(state, (branches.get(state) ?? 0) + p);
    /** The round goes on to a landing, or time runs out. */
    const goOn = (landing: Landing | undefined, share: number, gamma: number) => {
      add(end('time'), share * (1 - gamma));
      add(landed(landing, s), share * gamma);
    };
    for (const { look, m, r, share } of plays[s]!) {
      if (look === WAITING) {
        if (driftOf(position)) goOn(position.drift, share, game.paceGamma);
        else add(end('stuck'), share);
        continue;
      }
      const { exchange, hole, gamma } = looks[look]!.cells[m]![r]!;
      if (exchange) {
        const chance = game.chanceOf(exchange);
        goOn(exchange.to, share * chance, gamma);
        goOn(exchange.otherwise, share * (1 - chance), gamma);
        continue;
      }
      const gains = nothingGained(played, position, hole);
      if (gains === 'stays') goOn(undefined, share, gamma);
      else if (gains === 'waits') goOn(position.drift, share, game.paceGamma);
      else add(end('stuck'), share);
    }
    return [...branches];
  });
  return [...chain, ...ENDS.map(() => [])];
}

/** What becomes of a round in a hole of the look that is played. */
function nothingGained({ built }: RoundPlay, position: Position, hole: number) {
  if (built.staying.has(hole)) return 'stays';
  return driftOf(position) ? 'waits' : 'stuck';
}

/** How rounds end from every position, how long they are and what they bring, exactly. */
export function outcomeOdds(played: RoundPlay): OutcomeOdds {
  const { game, plays } = played;
  const n = game.states.length;
  const chain = roundChain(played);
  const worth = ENDS.map((what) => (what === 'time' ? 0 : what === 'stuck' ? game.rest : game.points[what]));
  const won = chain.map((branches, s) =>
    branches.reduce((sum, [to, p]) => {
      if (to < n) return sum;
      const what = ENDS[to - n]!;
      return sum + p * (what === 'stuck' ? restOf(game, game.states[s]!.position) : worth[to - n]!);
    }, 0),
  );
  const taken = game.states.map(({ position, looks }, s) => {
    const wait = driftOf(position) ? game.pace : 0;
    return plays[s]!.reduce((sum, { look, m, r, share }) => {
      if (look === WAITING) return sum + share * wait;
      const cell = looks[look]!.cells[m]![r]!;
      const waits = cell.hole !== undefined && nothingGained(played, position, cell.hole) === 'waits';
      return sum + share * (waits ? game.pace : cell.seconds);
    }, 0);
  });
  const { reach, length, cost } = absorption({
    next: chain,
    absorbing: ENDS.map((_, i) => n + i),
    costs: [taken, won],
  });
  return {
    from: reach
      .slice(0, n)
      .map(
        (chances) => Object.fromEntries(ENDS.map((what, i) => [what, chances[i]!])) as Record<End, number>,
      ),
    exchanges: length.slice(0, n),
    seconds: cost[0]!.slice(0, n),
    points: cost[1]!.slice(0, n),
    distribution: reach.slice(0, n).map((chances) => {
      const by = new Map<number, number>();
      for (const [i, chance] of chances.entries())
        if (chance > 0) by.set(worth[i]!, (by.get(worth[i]!) ?? 0) + chance);
      return [...by].map(([points, chance]) => ({ points, chance })).sort((a, b) => a.points - b.points);
    }),
  };
}

/**
 * Rounds played by chance from one position, to lay beside the exact odds.
 * @param random numbers in [0, 1), seeded by the caller
 */
export function simulateRounds(
  played: RoundPlay,
  from: number,
  rounds: number,
  random: () => number,
): { share: Record<End, number>; error: Record<End, number> } {
  const chain = roundChain(played);
  const n = played.game.states.length;
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
