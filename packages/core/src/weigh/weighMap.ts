import type { GuardMap } from '../model/map.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { exchangeWorths } from './exchangeWorths.ts';
import { findHoles, type StakedHole } from './findHoles.ts';
import type { WeighOptions } from './mapGame.ts';
import { type OutcomeOdds, outcomeOdds } from './outcomeOdds.ts';
import { type Sensitivity, sensitivity } from './sensitivity.ts';
import { solveForTrusts, type Trade, type TrustSolutions, tradesOf } from './solveForTrusts.ts';
import { choosePlan, type LookPlan, type MapSolution, type PositionValue, stageOf } from './solveMap.ts';

/** The matrix behind a look: what each move is worth against each reaction, and the exchange that says so. */
interface LookMatrix {
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
  /** Trust in an opponent's tendencies, what the plan gains against them and what it is worth at worst. */
  trust: number;
  gain: number;
  worst: number;
  /** The plans there are to choose from, by trust; one where no tendency is known. */
  trades: Trade[];
  positions: (Omit<PositionValue, 'looks'> & { looks: (LookPlan & { matrix: LookMatrix })[] })[];
  /** Of every exchange: how often it comes up in a round, and what it is worth once its reaction has come. */
  visits: Record<string, number>;
  worths: Record<string, number>;
  holes: StakedHole[];
  sensitivity: Sensitivity[];
  odds: OutcomeOdds;
  /** Share of the visits that rest on exchanges whose chance is the coach's guess. */
  guessed: number;
  residual: number;
  /** For a warm start. */
  values: number[];
}

/** Weighs a map and opens every number down to its exchange. */
export function weighMap(map: GuardMap, options: WeighOptions = {}, start?: readonly number[]): Weighing {
  const weighed = solveForTrusts(map, options, start);
  return describeWeighing(map, weighed, choosePlan(weighed, options.trust));
}

/** A plan of a weighed map with all that follows from it. */
export function describeWeighing(map: GuardMap, weighed: TrustSolutions, solution: MapSolution): Weighing {
  const { game, built, values } = solution;
  const basis = new Map(map.exchanges.map((exchange) => [exchange.id, exchange.basis]));
  let guessed = 0;
  let all = 0;
  for (const [id, rate] of solution.visits) {
    all += rate;
    if (basis.get(id) !== 'logged') guessed += rate;
  }
  const { entry, entryIfAnswered, trust, gain, worst, residual } = solution;
  return {
    entry,
    entryIfAnswered,
    trust,
    gain,
    worst,
    residual,
    values,
    trades: tradesOf(weighed),
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
    worths: exchangeWorths(map, solution),
    holes: findHoles(solution),
    sensitivity: sensitivity(solution),
    odds: outcomeOdds(solution),
    guessed: all > 0 ? guessed / all : 0,
  };
}
