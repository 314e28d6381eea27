import type { Softness } from '../../game/logitStage.ts';
import { solveLook } from '../../game/solveLook.ts';
import { solveStochasticGame } from '../../game/solveStochasticGame.ts';
import type { StochasticGame, StochasticLook } from '../../game/stochasticGame.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import { cellOf } from '../game/plays.ts';
import { bothKnowBest, KNOW_BEST } from '../game/softness.ts';
import { entryValue } from '../game/solveForTrusts.ts';
import { type MapSolution, stageOf } from '../game/solveMap.ts';
import { ordinaryValues, playAt } from '../play/ordinaryPlay.ts';

export interface StakedHole {
  position: string;
  look: string;
  move: string;
  /** Undefined where nobody has said what top does about the look. */
  reaction?: ReactionRef;
  /** How often its position comes up in a round. */
  visits: number;
  /** What an answer here brings a round, points; and what it brings on the spot, at its position. */
  stake: number;
  spot: number;
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

/** How a map is played: as it was solved, between two of some level. */
export interface Played {
  level: Softness;
  /** What the positions are worth and how often they come up, as it is played. */
  values: readonly number[];
  positionVisits: readonly number[];
}

const asSolved = ({ values, positionVisits }: MapSolution): Played => ({
  level: KNOW_BEST,
  values,
  positionVisits,
});

/** Holes by what an answer there would bring: its position's visits × what that brings on the spot. */
export function findHoles(solution: MapSolution, played: Played = asSolved(solution)): StakedHole[] {
  return placedHoles(solution, played).map(({ hole }) => hole);
}

/** So many of the dearest holes are solved for exactly where nothing else is asked. */
const EXACT = 20;

interface Resolving {
  /** Told how many are done, of how many. */
  onHole?: ((done: number, total: number) => void) | undefined;
  /** Which holes are asked about; all when absent. */
  among?: (hole: StakedHole) => boolean;
  /** So many of the dearest are solved for. */
  most?: number;
}

/**
 * The same holes, the dearest of them weighed exactly: with the cell filled the whole map is solved and played again.
 */
export function resolveHoles(
  solution: MapSolution,
  played: Played = asSolved(solution),
  { onHole, among = () => true, most = EXACT }: Resolving = {},
): StakedHole[] {
  const all = placedHoles(solution, played).filter(({ hole }) => among(hole));
  const dear = all.slice(0, most).filter(({ hole }) => hole.stake > 0);
  const perfect = bothKnowBest(played.level);
  const before = entryValue(played.values, solution.weights);
  const exact = dear.map(({ hole, place }, i): StakedHole => {
    const built = filled(solution.built, place, likeCells(solution, place, perfect));
    const { value } = solveStochasticGame(built, { start: solution.values });
    const again = { ...solution, built: { ...solution.built, ...built }, values: value };
    const values = perfect ? value : ordinaryValues(again, played.level);
    onHole?.(i + 1, dear.length);
    return {
      ...hole,
      stake: Math.max(0, entryValue(values, solution.weights) - before),
      spot: Math.max(0, values[place.s]! - played.values[place.s]!),
      exact: true,
    };
  });
  return [...exact.sort(byStake), ...all.slice(dear.length).map(({ hole }) => hole)];
}

const byStake = (a: StakedHole, b: StakedHole): number =>
  b.stake - a.stake || b.spot - a.spot || b.visits - a.visits || (a.move < b.move ? -1 : 1);

function placedHoles(solution: MapSolution, played: Played): { hole: StakedHole; place: Place }[] {
  const bring = bothKnowBest(played.level) ? betweenTheBest : betweenHumans;
  return solution.game.states
    .flatMap(({ position, looks }, s) =>
      looks.flatMap((look, l) => {
        if (answeredCells(solution, s, l).length === 0) return [];
        return look.cells.flatMap((line, m) =>
          line.flatMap(({ exchange }, r) => {
            if (exchange) return [];
            const place = { s, l, m, r };
            const reaction = look.reactions[r];
            const visits = played.positionVisits[s]!;
            const spot = Math.max(0, bring(solution, played, place));
            const hole: StakedHole = {
              position: position.id,
              look: look.look.id,
              move: look.moves[m]!.id,
              ...(reaction && { reaction }),
              visits,
              stake: visits * spot,
              spot,
              exact: false,
            };
            return [{ hole, place }];
          }),
        );
      }),
    )
    .sort((a, b) => byStake(a.hole, b.hole));
}

/** What the look would be worth with the cell as good as the mean of its answered ones, over what the position is worth. */
function betweenTheBest(solution: MapSolution, _: Played, place: Place): number {
  const { built, values } = solution;
  const { s, l, m, r } = place;
  const matrix = stageOf(built, values, s, l);
  const answered = likeCells(solution, place, true);
  const mean = answered.reduce((sum, at) => sum + matrix[at.m]![at.r]!, 0) / answered.length;
  const better = matrix.map((row, i) => (i === m ? row.with(r, mean) : row));
  return solveLook(better, built.states[s]!.looks[l]!).value - values[s]!;
}

/** What the position would be worth if both played it anew with the cell as good as its row, all else staying as it is. */
function betweenHumans(solution: MapSolution, { level, values }: Played, place: Place): number {
  const built = { ...solution.built, ...filled(solution.built, place, likeCells(solution, place, false)) };
  const { plays } = playAt({ ...solution, built }, level, place.s);
  let worth = 0;
  for (const play of plays) {
    const { payoff, next } = cellOf(built, place.s, play);
    worth += play.share * next.reduce((sum, [to, p]) => sum + built.discount * p * values[to]!, payoff);
  }
  return worth - values[place.s]!;
}

/** The answered cells that stand for a hole: those of its row, where there are some, or all of its look. */
function likeCells(
  solution: MapSolution,
  { s, l, m }: Place,
  wholeLook: boolean,
): { m: number; r: number }[] {
  const all = answeredCells(solution, s, l);
  const row = all.filter((at) => at.m === m);
  return wholeLook || row.length === 0 ? all : row;
}

const answeredCells = ({ game }: MapSolution, s: number, l: number): { m: number; r: number }[] =>
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
