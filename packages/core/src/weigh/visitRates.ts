import type { StochasticGame } from '../game/stochasticGame.ts';
import { type Choice, chosenLook } from './choice.ts';
import type { MapGame } from './mapGame.ts';

/** A move and a reaction by their places in the plan's look, and how often both happen there. */
export interface Play {
  m: number;
  r: number;
  share: number;
}

const DRIFTING: readonly Play[] = [{ m: 0, r: 0, share: 1 }];
/** The cells that are played of a look; drifting is a look of one cell. */
export const playedCells = (plays: readonly Play[]): readonly Play[] => (plays.length > 0 ? plays : DRIFTING);

/** Discounted expected visits of states and exchanges. */
export function visitRates(
  game: MapGame,
  built: StochasticGame,
  choices: readonly Choice[],
  plays: readonly Play[][],
  weights: readonly number[],
) {
  const n = game.states.length;
  const flow = game.states.map((_, s) => {
    const out = new Map<number, number>();
    const look = chosenLook(built, s, choices[s]!);
    if (!look) return out;
    for (const { m, r, share } of playedCells(plays[s]!))
      for (const [to, p] of look.next[m]![r]!) out.set(to, (out.get(to) ?? 0) + share * p * built.discount);
    return out;
  });
  let visits = Float64Array.from(weights);
  for (let sweep = 0; sweep < 5000; sweep++) {
    const after = Float64Array.from(weights);
    for (let s = 0; s < n; s++) for (const [to, p] of flow[s]!) after[to] = after[to]! + visits[s]! * p;
    let moved = 0;
    for (let s = 0; s < n; s++) moved = Math.max(moved, Math.abs(after[s]! - visits[s]!));
    visits = after;
    if (moved < 1e-12) break;
  }
  const exchanges = new Map<string, number>();
  for (const [s, { looks }] of game.states.entries()) {
    const choice = choices[s]!;
    if (choice.do !== 'look') continue;
    for (const { m, r, share } of plays[s]!) {
      const id = looks[choice.look]!.cells[m]?.[r]?.exchange?.id;
      if (id !== undefined) exchanges.set(id, (exchanges.get(id) ?? 0) + visits[s]! * share);
    }
  }
  return { visits: [...visits], exchanges };
}
