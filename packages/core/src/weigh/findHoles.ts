import { solveLook } from '../game/solveLook.ts';
import { solveStochasticGame } from '../game/solveStochasticGame.ts';
import type { StochasticGame, StochasticLook } from '../game/stochasticGame.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { entryValue } from './solveForTrusts.ts';
import { type MapSolution, stageOf } from './solveMap.ts';

export interface StakedHole {
  position: string;
  look: string;
  move: string;
  /** Undefined where nobody has said what top does about the look. */
  reaction?: ReactionRef;
  /** How often its position comes up in a round. */
  visits: number;
  /** What answering it would be worth, in points of a round. */
  stake: number;
  /** Whether the map was solved again with the hole filled, or the stake is what the rates of the plan say. */
  exact: boolean;
}

/** A hole with the places of its cell: state, look, row, column. */
interface Place {
  s: number;
  l: number;
  m: number;
  r: number;
}

/** Holes by what they cost: visits × what the look would be worth with that cell as good as its mean, over the value. */
export function findHoles(solution: MapSolution): StakedHole[] {
  return placedHoles(solution).map(({ hole }) => hole);
}

/** So many of the dearest holes are solved for exactly. */
const EXACT = 20;

/**
 * The same holes, the dearest of them weighed exactly: with the cell filled the whole map is solved again.
 * @param onHole told how many are done, of how many
 */
export function resolveHoles(
  solution: MapSolution,
  onHole?: (done: number, total: number) => void,
): StakedHole[] {
  const all = placedHoles(solution);
  const dear = all.slice(0, EXACT).filter(({ hole }) => hole.stake > 0);
  const exact = dear.map(({ hole, place }, i): StakedHole => {
    const game = filled(solution.built, place, answeredCells(solution, place));
    const { value } = solveStochasticGame(game, { start: solution.values });
    onHole?.(i + 1, dear.length);
    return { ...hole, stake: Math.max(0, entryValue(value, solution.weights) - solution.entry), exact: true };
  });
  return [...exact.sort(byStake), ...all.slice(dear.length).map(({ hole }) => hole)];
}

const byStake = (a: StakedHole, b: StakedHole): number =>
  b.stake - a.stake || b.visits - a.visits || (a.move < b.move ? -1 : 1);

function placedHoles(solution: MapSolution): { hole: StakedHole; place: Place }[] {
  const { game, built, values, positions } = solution;
  return game.states
    .flatMap(({ position, looks }, s) =>
      looks.flatMap((look, l) => {
        const matrix = stageOf(built, values, s, l);
        const answered = matrix.flatMap((line, m) => line.filter((_, r) => look.cells[m]![r]!.exchange));
        if (answered.length === 0) return [];
        const mean = answered.reduce((sum, a) => sum + a, 0) / answered.length;
        const { visits } = positions[s]!;
        return look.cells.flatMap((line, m) =>
          line.flatMap(({ exchange }, r) => {
            if (exchange) return [];
            const better = matrix.map((row, i) => (i === m ? row.with(r, mean) : row));
            const { value } = solveLook(better, built.states[s]!.looks[l]!);
            const reaction = look.reactions[r];
            const hole: StakedHole = {
              position: position.id,
              look: look.look.id,
              move: look.moves[m]!.id,
              ...(reaction && { reaction }),
              visits,
              stake: visits * Math.max(0, value - values[s]!),
              exact: false,
            };
            return [{ hole, place: { s, l, m, r } }];
          }),
        );
      }),
    )
    .sort((a, b) => byStake(a.hole, b.hole));
}

/** The answered cells of a hole's look. */
const answeredCells = ({ game }: MapSolution, { s, l }: Place): { m: number; r: number }[] =>
  game.states[s]!.looks[l]!.cells.flatMap((line, m) =>
    line.flatMap(({ exchange }, r) => (exchange ? [{ m, r }] : [])),
  );

/** The game with one cell as good as the mean of some of its look. */
function filled(
  game: StochasticGame,
  { s, l, m, r }: Place,
  cells: readonly { m: number; r: number }[],
): StochasticGame {
  const look = game.states[s]!.looks[l]!;
  const share = 1 / cells.length;
  const payoff = cells.reduce((sum, at) => sum + share * look.payoff[at.m]![at.r]!, 0);
  const next = cells.flatMap((at) =>
    look.next[at.m]![at.r]!.map(([state, p]): [number, number] => [state, p * share]),
  );
  const better: StochasticLook = {
    ...look,
    payoff: look.payoff.map((line, i) => (i === m ? line.with(r, payoff) : line)),
    next: look.next.map((line, i) => (i === m ? line.with(r, next) : line)),
  };
  const states = game.states.with(s, { ...game.states[s]!, looks: game.states[s]!.looks.with(l, better) });
  return { ...game, states };
}
