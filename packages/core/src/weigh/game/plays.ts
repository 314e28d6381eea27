import type { StochasticGame } from '../../game/stochasticGame.ts';
import type { MapGame } from './mapGame.ts';
import type { MapStochasticGame } from './toStochasticGame.ts';

/** A cell of one of a position's looks, by its places, or waiting; and how often that happens there. */
export interface Play {
  look: number;
  m: number;
  r: number;
  share: number;
}

/** A map as it is played, and what comes of that. */
export interface PlayedMap {
  game: MapGame;
  /** The game that was solved, its holes filled. */
  built: MapStochasticGame;
  /** Entry weights that sum to one, in the map's order, as all lists of positions are. */
  weights: number[];
  /** What happens in every position. */
  plays: Play[][];
  /** What every position is worth so, points. */
  values: number[];
  /** Discounted expected visits of a round, of every position and every exchange. */
  positionVisits: number[];
  visits: Map<string, number>;
}

/** Stands for the look of a play that waits: rests, or drifts on. */
export const WAITING = -1;

/** Where a play of the built game leads and what it pays on the way; nothing follows a rest. */
export function cellOf({ states }: StochasticGame, s: number, { look, m, r }: Play) {
  const { rest, looks } = states[s]!;
  if (look !== WAITING) return { payoff: looks[look]!.payoff[m]![r]!, next: looks[look]!.next[m]![r]! };
  if (rest !== undefined) return { payoff: rest, next: [] };
  // Waiting that drifts on is a look of one cell, behind those of the map.
  const drift = looks.at(-1)!;
  return { payoff: drift.payoff[0]![0]!, next: drift.next[0]![0]! };
}

/** A position as it is played: what it pays at once, and the chances of the positions that come next, discount included. */
export interface Flow {
  payoff: number;
  to: number[];
  p: number[];
}

/** Sums up cells of a game, each with its share, to a flow; one at a time. */
export function createFlowSum({ discount, states }: StochasticGame) {
  const summed = new Float64Array(states.length);
  let to: number[] = [];
  let payoff = 0;
  return {
    add(share: number, cell: ReturnType<typeof cellOf>): void {
      payoff += share * cell.payoff;
      for (const arrow of cell.next) {
        const chance = share * arrow[1] * discount;
        if (!(chance > 0)) continue;
        if (summed[arrow[0]] === 0) to.push(arrow[0]);
        summed[arrow[0]] = summed[arrow[0]]! + chance;
      }
    },
    /** The sum of what was added since the last one. */
    take(): Flow {
      const flow = { payoff, to, p: to.map((state) => summed[state]!) };
      for (const state of to) summed[state] = 0;
      to = [];
      payoff = 0;
      return flow;
    },
  };
}

/** The positions as they are played. */
export function flowsOf(built: StochasticGame, plays: readonly (readonly Play[])[]): Flow[] {
  const sum = createFlowSum(built);
  return plays.map((own, s) => {
    for (const play of own) sum.add(play.share, cellOf(built, s, play));
    return sum.take();
  });
}

/** So far from its fixed point a sweep may still move a value. */
const DONE = 1e-13;
const MOST_SWEEPS = 5000;

/** The chance of every position that the next one is the same. */
const stayingOf = (flows: readonly Flow[]): number[] =>
  flows.map(({ to, p }, s) => to.reduce((sum, state, i) => (state === s ? sum + p[i]! : sum), 0));

/** The true points of a play, (I − P)v = r, swept in place until nothing moves; and how far it is from satisfying itself. */
export function valuesOf(
  flows: readonly Flow[],
  start: readonly number[],
): { value: number[]; residual: number } {
  const value = Float64Array.from(start);
  const worth = ({ payoff, to, p }: Flow) => {
    let sum = payoff;
    for (let i = 0; i < to.length; i++) sum += p[i]! * value[to[i]!]!;
    return sum;
  };
  const stays = stayingOf(flows);
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    let moved = 0;
    for (let s = 0; s < flows.length; s++) {
      // What leads back to where it is is solved for at once.
      const next = value[s]! + (worth(flows[s]!) - value[s]!) / (1 - stays[s]!);
      moved = Math.max(moved, Math.abs(next - value[s]!));
      value[s] = next;
    }
    if (moved < DONE) break;
  }
  const residual = flows.reduce((most, flow, s) => Math.max(most, Math.abs(worth(flow) - value[s]!)), 0);
  return { value: [...value], residual };
}

/** Discounted expected visits of the positions, w(I − P)⁻¹, from the weights of those where a round starts. */
export function visitsOf(flows: readonly Flow[], weights: readonly number[]): number[] {
  // A position that leads back to itself comes up 1/(1 − chance) times as often; the rest is summed up step by step.
  const stays = stayingOf(flows);
  const first = Float64Array.from(weights, (weight, s) => weight / (1 - stays[s]!));
  let visits = first;
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    const after = Float64Array.from(first);
    for (let s = 0; s < flows.length; s++) {
      const { to, p } = flows[s]!;
      for (let i = 0; i < to.length; i++) {
        const next = to[i]!;
        if (next !== s) after[next] = after[next]! + (visits[s]! * p[i]!) / (1 - stays[next]!);
      }
    }
    let moved = 0;
    for (let s = 0; s < after.length; s++) moved = Math.max(moved, Math.abs(after[s]! - visits[s]!));
    visits = after;
    if (moved < DONE) break;
  }
  return [...visits];
}

/** Discounted expected visits of the exchanges. */
export function exchangeVisits(
  { states }: MapGame,
  plays: readonly (readonly Play[])[],
  visits: readonly number[],
): Map<string, number> {
  const rates = new Map<string, number>();
  for (const [s, own] of plays.entries())
    for (const { look, m, r, share } of own) {
      const id = look === WAITING ? undefined : states[s]!.looks[look]!.cells[m]?.[r]?.exchange?.id;
      if (id !== undefined) rates.set(id, (rates.get(id) ?? 0) + visits[s]! * share);
    }
  return rates;
}
