import type { GuardMap } from '../model/map.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { findHoles, type Sensitivity, type StakedHole, sensitivity } from './insights.ts';
import { toStochasticGame, type WeighOptions } from './mapGame.ts';
import { type End, outcomeOdds } from './outcomeOdds.ts';
import { type LookPlan, type PositionValue, solveMap, stageOf } from './solveMap.ts';

/** The matrix behind a look: what each move is worth against each reaction, and the exchange that says so. */
export interface LookMatrix {
  moves: string[];
  reactions: ReactionRef[];
  payoff: number[][];
  /** Undefined where the cell is a hole. */
  exchanges: (string | undefined)[][];
}

/** Everything there is to see of a weighed map, as plain data that can be sent anywhere. */
export interface Weighing {
  entry: number;
  entryIfAnswered: number;
  positions: (Omit<PositionValue, 'looks'> & { looks: (LookPlan & { matrix: LookMatrix })[] })[];
  visits: Record<string, number>;
  holes: StakedHole[];
  sensitivity: Sensitivity[];
  /** How rounds end, from each position in the map's order. */
  odds: Record<End, number>[];
  exchanges: number[];
  /** Share of the visits that rest on exchanges whose chance is the coach's guess. */
  guessed: number;
  residual: number;
  /** For a warm start. */
  values: number[];
}

/** Weighs a map and opens every number down to its exchange. */
export function weighMap(map: GuardMap, options: WeighOptions = {}, start?: readonly number[]): Weighing {
  const solution = solveMap(map, options, start);
  const { game, values } = solution;
  const built = toStochasticGame(game, 'as-mapped', new Set());
  const odds = outcomeOdds(solution);
  const basis = new Map(map.exchanges.map((exchange) => [exchange.id, exchange.basis]));
  let guessed = 0;
  let all = 0;
  for (const [id, rate] of solution.visits) {
    all += rate;
    if (basis.get(id) !== 'logged') guessed += rate;
  }
  return {
    entry: solution.entry,
    entryIfAnswered: solution.entryIfAnswered,
    positions: solution.positions.map((position, s) => ({
      ...position,
      looks: position.looks.map((plan, l) => {
        const { moves, reactions, cells } = game.states[s]!.looks[l]!;
        return {
          ...plan,
          matrix: {
            moves: moves.map(({ id }) => id),
            reactions,
            payoff: stageOf(built, values, s, l),
            exchanges: cells.map((line) => line.map(({ exchange }) => exchange?.id)),
          },
        };
      }),
    })),
    visits: Object.fromEntries(solution.visits),
    holes: findHoles(solution),
    sensitivity: sensitivity(solution),
    odds: odds.from,
    exchanges: odds.exchanges,
    guessed: all > 0 ? guessed / all : 0,
    residual: solution.residual,
    values,
  };
}
