import type { Softness } from '../../game/logitStage.ts';
import type { GuardMap } from '../../model/map.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import type { WeighOptions } from '../game/mapGame.ts';
import { flowsOf, type PlayedMap, valuesOf } from '../game/plays.ts';
import {
  entryValue,
  solveForTrusts,
  type Trade,
  type TrustSolutions,
  tradesOf,
} from '../game/solveForTrusts.ts';
import {
  choosePlan,
  type LookPlan,
  type MapSolution,
  type PositionValue,
  shares,
  stageOf,
} from '../game/solveMap.ts';
import { exchangeWorths } from '../play/exchangeWorths.ts';
import { type OrdinaryPlay, ordinaryValues } from '../play/ordinaryPlay.ts';
import { type OutcomeOdds, outcomeOdds } from '../play/outcomeOdds.ts';
import { type LevelPlay, playMap } from '../play/playMap.ts';
import { type Sensitivity, sensitivity } from '../play/sensitivity.ts';
import { type DrillWorth, drillWorths } from './drillWorth.ts';
import { findHoles, type StakedHole } from './findHoles.ts';

/** The matrix behind a look, and the exchange that says each of its cells. */
interface LookMatrix {
  moves: string[];
  reactions: ReactionRef[];
  /** What each move is worth against each reaction if both know best from there on: the choices are judged by this. */
  payoff: number[][];
  /** The same as it goes on as it is played. */
  worth: number[][];
  /** Undefined where the cell is a hole. */
  exchanges: (string | undefined)[][];
}

/** A look as it is played, and how often bottom shows it in its position. */
export interface WeighedLook extends LookPlan {
  share: number;
  matrix: LookMatrix;
}

/** A position as it is played, and what it would be worth between two who know best. */
export interface WeighedPosition extends Omit<PositionValue, 'looks'> {
  knowsBest: number;
  /** Whether two who know best would wait here. */
  waitsAtBest: boolean;
  looks: WeighedLook[];
}

/** Everything there is to see of a weighed map, as plain data that can be sent anywhere. */
export interface Weighing {
  /** How human the two are whose round this is; zeros where both know best. */
  level: Softness;
  /** Points of a round as it is played, as mapped and with the holes answered. */
  entry: number;
  entryIfAnswered: number;
  /** The same between two who know best. */
  knowsBest: { entry: number; entryIfAnswered: number };
  /**
   * Trust in an opponent's tendencies, and what this play of bottom's brings where top follows those, and where top
   * turns out to know best.
   */
  trust: number;
  gain: number;
  worst: number;
  /** The plans there are to choose from, by trust; one where no tendency is known. */
  trades: Trade[];
  positions: WeighedPosition[];
  /** Of every exchange: how often it comes up in a round, and what it is worth once its reaction has come. */
  visits: Record<string, number>;
  worths: Record<string, number>;
  holes: StakedHole[];
  /** The chances that move a round most, and the exchanges of which a minute of drilling brings most. */
  sensitivity: Sensitivity[];
  drills: DrillWorth[];
  odds: OutcomeOdds;
  /** Share of the visits that rest on exchanges whose chance is the coach's guess. */
  guessed: number;
  /** How far the values are from satisfying themselves, and the choices from being those of the level. */
  residual: number;
  gap: number;
  /** What the positions are worth between two who know best, for a warm start. */
  values: number[];
}

/** Weighs a map and opens every number down to its exchange, for two of a level: at club level where none is given. */
export function weighMap(map: GuardMap, options: WeighOptions = {}, start?: readonly number[]): Weighing {
  const weighed = solveForTrusts(map, options, start);
  const solution = choosePlan(weighed, options.trust);
  return describeWeighing(map, weighed, solution, playMap(solution, options.level));
}

/** So many of the longest lists are sent. */
const MAX_ROWS_SENT = 60;

/** A plan of a weighed map with all that follows from it, as two of a level play it. */
export function describeWeighing(
  map: GuardMap,
  weighed: TrustSolutions,
  solution: MapSolution,
  played: LevelPlay = playMap(solution),
): Weighing {
  const { game, built, answered, trust } = solution;
  const { level, ordinary, gain, worst } = played;
  const ifAnswered = ordinary ? ordinaryValues({ ...solution, ...answered }, level) : answered.values;
  // Trusted habits are part of what the solution's values say: what it brings is told by the play itself.
  const values =
    ordinary || trust === 0 ? played.values : valuesOf(flowsOf(built, solution.plays), solution.values).value;
  const slopes = sensitivity({ ...played, values });
  return {
    level,
    entry: played.entry,
    entryIfAnswered: entryValue(ifAnswered, solution.weights),
    knowsBest: { entry: solution.entry, entryIfAnswered: solution.entryIfAnswered },
    trust,
    gain,
    worst,
    residual: Math.max(solution.residual, ordinary?.residual ?? 0),
    gap: ordinary?.gap ?? 0,
    values: solution.values,
    trades: tradesOf(weighed),
    positions: solution.positions.map((position, s) => ({
      ...position,
      value: played.values[s]!,
      ifAnswered: ifAnswered[s]!,
      visits: played.positionVisits[s]!,
      knowsBest: position.value,
      waitsAtBest: position.best === undefined,
      ...(ordinary && { best: mostShown(solution, ordinary, s) }),
      looks: position.looks.map((plan, l) => lookAt(solution, ordinary, played, plan, s, l)),
    })),
    visits: Object.fromEntries(played.visits),
    worths: exchangeWorths(map, played),
    holes: findHoles(solution, played),
    sensitivity: slopes.slice(0, MAX_ROWS_SENT),
    drills: drillWorths(map, game, slopes).slice(0, MAX_ROWS_SENT),
    odds: outcomeOdds(played),
    guessed: guessedShare(map, played.visits),
  };
}

function lookAt(
  { game, built, values }: MapSolution,
  ordinary: OrdinaryPlay | undefined,
  played: PlayedMap,
  plan: LookPlan,
  s: number,
  l: number,
): WeighedLook {
  const { moves, reactions, cells } = game.states[s]!.looks[l]!;
  const stage = ordinary?.stages[s]?.[l];
  const payoff = stage?.judged ?? stageOf(built, values, s, l);
  const worth = ordinary ? stageOf(built, played.values, s, l) : payoff;
  const matrix: LookMatrix = {
    moves: moves.map(({ id }) => id),
    reactions,
    payoff,
    worth,
    exchanges: cells.map((line) => line.map(({ exchange }) => exchange?.id)),
  };
  if (!ordinary || !stage) {
    const share = played.plays[s]!.reduce((sum, play) => (play.look === l ? sum + play.share : sum), 0);
    return { ...plan, share, matrix };
  }
  const { row, column, expected, reply } = stage;
  const brought = ordinary.plays[s]!.reduce(
    (sum, play) => (play.look === l ? sum + play.share * worth[play.m]![play.r]! : sum),
    0,
  );
  const share = ordinary.choice[s]![l]!;
  return {
    ...plan,
    value: share > 0 ? brought / share : brought,
    share,
    moves: shares(matrix.moves, row),
    reactions: shares(reactions, column),
    expected: shares(reactions, expected),
    replies: plan.replies.map(({ reaction }, r) => ({ reaction, move: matrix.moves[largestAt(reply[r]!)]! })),
    matrix,
  };
}

const largestAt = (list: readonly number[]): number =>
  list.reduce((best, value, i) => (value > list[best]! ? i : best), 0);

/** The look that is shown most; undefined where waiting is done more. */
function mostShown({ game }: MapSolution, { choice }: OrdinaryPlay, s: number): string | undefined {
  return game.states[s]!.looks[largestAt(choice[s]!)]?.look.id;
}

function guessedShare(map: GuardMap, visits: ReadonlyMap<string, number>): number {
  const basis = new Map(map.exchanges.map((exchange) => [exchange.id, exchange.basis]));
  let guessed = 0;
  let all = 0;
  for (const [id, rate] of visits) {
    all += rate;
    if (basis.get(id) !== 'logged') guessed += rate;
  }
  return all > 0 ? guessed / all : 0;
}
