import type { StochasticSolution } from '../game/solveStochasticGame.ts';
import type { StochasticGame, StochasticLook } from '../game/stochasticGame.ts';
import type { MapGame } from './mapGame.ts';

/** What bottom does in a position: shows a look, by its place among the position's, or waits: rests, or drifts on. */
export type Choice = { do: 'look'; look: number } | { do: 'rest' } | { do: 'drift' };

/** The choice in every position. In the solution waiting that drifts on is a look behind those of the map. */
export const choicesOf = (game: MapGame, { look }: StochasticSolution): Choice[] =>
  game.states.map(({ looks }, s): Choice => {
    const place = look[s]!;
    if (place < 0) return { do: 'rest' };
    return place < looks.length ? { do: 'look', look: place } : { do: 'drift' };
  });

/** The look of the solved game that a choice stands for; undefined at rest. */
export function chosenLook(built: StochasticGame, s: number, choice: Choice): StochasticLook | undefined {
  const { looks } = built.states[s]!;
  if (choice.do === 'rest') return undefined;
  return choice.do === 'look' ? looks[choice.look] : looks.at(-1);
}
