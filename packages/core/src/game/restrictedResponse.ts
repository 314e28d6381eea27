import { type StochasticSolution, solveStochasticGame } from './solveStochasticGame.ts';
import type { StochasticGame, StochasticLook } from './stochasticGame.ts';

/** The trusts that are solved for; for one in between the best of these is taken. */
export const TRUSTS: readonly number[] = Array.from({ length: 11 }, (_, i) => i / 10);

/** A policy for the row player, made for one trust in the known mixes, and what it is worth from every state. */
export interface Response<G extends StochasticGame = StochasticGame> {
  trust: number;
  game: G;
  solution: StochasticSolution;
  /** Against the known mixes, and best play where none is known. */
  gain: number[];
  /** Against best play everywhere. */
  worst: number[];
}

/**
 * A policy for each of `TRUSTS`, with its gain and its worst case.
 * @param solve a game solved for a trust, from values near by; the mixes known are its looks' `against`
 */
export function responses<G extends StochasticGame>(
  solve: (trust: number, start: readonly number[] | undefined) => { game: G; solution: StochasticSolution },
): Response<G>[] {
  const found: Response<G>[] = [];
  for (const trust of TRUSTS) {
    const before = found.at(-1);
    const { game, solution } = solve(trust, before?.solution.value);
    found.push({
      trust,
      game,
      solution,
      gain: solveStochasticGame(fixRow(game, solution, true), { start: before?.gain }).value,
      worst: solveStochasticGame(fixRow(game, solution, false), { start: before?.worst }).value,
    });
  }
  return found;
}

/**
 * The response for a trust λ: the one that makes most of λ·gain + (1 − λ)·worst case. So gain never falls and the worst
 * case never rises with trust, which repeated mixing alone would not promise over several states (Johanson, Zinkevich &
 * Bowling, "Computing Robust Counter-Strategies", NIPS 2007, prove it for a single game).
 * @param weights of the states a round may start from
 */
export function responseFor<R extends Pick<Response, 'gain' | 'worst'>>(
  found: readonly R[],
  weights: readonly number[],
  trust: number,
): R {
  const at = (values: readonly number[]) => values.reduce((sum, v, s) => sum + weights[s]! * v, 0);
  let best = found[0]!;
  let most = Number.NEGATIVE_INFINITY;
  let both = Number.NEGATIVE_INFINITY;
  for (const response of found) {
    const [gain, worst] = [at(response.gain), at(response.worst)];
    const worth = trust * gain + (1 - trust) * worst;
    if (worth > most || (worth === most && gain + worst > both)) {
      best = response;
      most = worth;
      both = gain + worst;
    }
  }
  return best;
}

/** The game that is left to the column player when the row player keeps to a policy. */
function fixRow(
  { discount, states }: StochasticGame,
  { look, row, reply }: StochasticSolution,
  known: boolean,
): StochasticGame {
  return {
    discount,
    states: states.map(({ rest, looks }, s) => {
      const chosen = looks[look[s]!];
      if (!chosen) return { rest, looks: [] };
      const columns = chosen.payoff[0]!.map((_, j) => {
        const mix =
          chosen.timing === 'seen' ? chosen.payoff.map((_, i) => Number(reply[s]![j] === i)) : row[s]!;
        return mixed(mix.map((x, i) => [x, chosen.payoff[i]![j]!, chosen.next[i]![j]!] as const));
      });
      const met =
        known && chosen.against
          ? [mixed(chosen.against.column.map((q, j) => [q, columns[j]!.payoff, columns[j]!.next] as const))]
          : columns;
      return { looks: [{ payoff: [met.map(({ payoff }) => payoff)], next: [met.map(({ next }) => next)] }] };
    }),
  };
}

type Next = StochasticLook['next'][number][number];

function mixed(cells: readonly (readonly [share: number, payoff: number, next: Next])[]) {
  let payoff = 0;
  const next: [number, number][] = [];
  for (const [share, worth, arrows] of cells) {
    if (share === 0) continue;
    payoff += share * worth;
    for (const [state, probability] of arrows) next.push([state, share * probability]);
  }
  return { payoff, next };
}
