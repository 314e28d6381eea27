import { responseFor } from '../game/restrictedResponse.ts';
import { solveLook } from '../game/solveLook.ts';
import { type StochasticSolution, solveStochasticGame } from '../game/solveStochasticGame.ts';
import type { StochasticGame } from '../game/stochasticGame.ts';
import type { GuardMap } from '../model/map.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { type Choice, choicesOf } from './choice.ts';
import type { MapGame, WeighOptions } from './mapGame.ts';
import { entryValue, solveForTrusts, type TrustSolutions } from './solveForTrusts.ts';
import { type MapStochasticGame, toStochasticGame } from './toStochasticGame.ts';
import { type Play, visitRates } from './visitRates.ts';

export interface Share<T> {
  what: T;
  share: number;
}

/** One look of a position, played as well as both can. */
export interface LookPlan {
  look: string;
  name: string;
  timing: 'hidden' | 'seen';
  value: number;
  /** What bottom shows, with shares; on a `seen` look the best move against each reaction is in `replies`. */
  moves: Share<string>[];
  /** What top does about it who knows best. */
  reactions: Share<ReactionRef>[];
  /** What is expected of this opponent: known tendencies as far as they are trusted, else what top does best. */
  expected: Share<ReactionRef>[];
  /** On a `seen` look, the best move against every reaction. */
  replies: { reaction: ReactionRef; move: string }[];
  /** How much the mix is worth over the best single move. */
  overSingle: number;
}

export interface PositionValue {
  position: string;
  value: number;
  ifAnswered: number;
  /** The best look; undefined where waiting is best or nothing can be done. */
  best?: string;
  looks: LookPlan[];
  /** Discounted expected visits of a round. */
  visits: number;
}

export interface MapSolution {
  positions: PositionValue[];
  /** Value at the entries, their weights normalised. */
  entry: number;
  entryIfAnswered: number;
  /** Trust in the tendencies, and what this plan gains against them and is worth at worst; equal without any. */
  trust: number;
  gain: number;
  worst: number;
  /** Discounted expected visits of every exchange under the plan. */
  visits: Map<string, number>;
  /** Entry weights that sum to one, in the map's order. */
  weights: number[];
  /** What bottom does in every position. */
  choices: Choice[];
  /** What is played in every position; nothing where bottom waits. */
  plays: Play[][];
  residual: number;
  game: MapGame;
  /** The game that was solved, holes filled as mapped. */
  built: MapStochasticGame;
  /** The values by place, for a warm start. */
  values: number[];
}

const TINY = 1e-9;

/**
 * What every position is worth, the plan that gets it, and what a perfect top does about it: as mapped, where a hole
 * gains nothing, and if answered, where it is as good as the rest of its row.
 * @throws RangeError where no position is an entry, continuation is not between 0 and 1, or tendencies do not sum to 1.
 */
export function solveMap(map: GuardMap, options: WeighOptions = {}, start?: readonly number[]): MapSolution {
  return choosePlan(solveForTrusts(map, options, start), options.trust);
}

/** The plan for a trust in [0, 1], opened down to its looks. */
export function choosePlan({ game, weights, found }: TrustSolutions, trust = 0): MapSolution {
  const chosen = responseFor(found, weights, trust);
  const { game: built, solution: solved } = chosen;
  const answered = solveStochasticGame(toStochasticGame(game, 'if-answered', new Set(), chosen.trust), {
    start: solved.value,
  });
  const value = solved.value;
  const choices = choicesOf(game, solved);
  const plays = game.states.map((_, s) => playsOf(game, solved, choices[s]!, trust, s));
  const { visits, exchanges } = visitRates(game, built, choices, plays, weights);
  return {
    positions: game.states.map(({ position, looks }, s) => {
      const choice = choices[s]!;
      const best = choice.do === 'look' ? looks[choice.look]!.look.id : undefined;
      return {
        position: position.id,
        value: value[s]!,
        ifAnswered: answered.value[s]!,
        ...(best !== undefined && { best }),
        looks: looks.map((_, l) => lookPlan(game, built, value, trust, s, l)),
        visits: visits[s]!,
      };
    }),
    entry: entryValue(value, weights),
    entryIfAnswered: entryValue(answered.value, weights),
    trust,
    gain: entryValue(chosen.gain, weights),
    worst: entryValue(chosen.worst, weights),
    visits: exchanges,
    weights,
    choices,
    plays,
    residual: Math.max(solved.residual, answered.residual),
    game,
    built,
    values: value,
  };
}

/** The stage of a look at the values given. */
export function stageOf(built: StochasticGame, value: readonly number[], s: number, l: number): number[][] {
  const { payoff, next } = built.states[s]!.looks[l]!;
  return payoff.map((line, m) =>
    line.map((a, r) => a + built.discount * next[m]![r]!.reduce((sum, [to, p]) => sum + p * value[to]!, 0)),
  );
}

/** Known tendencies as far as they are trusted, else what top does best. */
const expectedMix = (known: readonly number[] | undefined, own: readonly number[], trust: number): number[] =>
  own.map((y, r) => (known ? trust * known[r]! + (1 - trust) * y : y));

function lookPlan(
  game: MapGame,
  built: StochasticGame,
  value: readonly number[],
  trust: number,
  s: number,
  l: number,
): LookPlan {
  const { look, moves, reactions, known } = game.states[s]!.looks[l]!;
  const solved = solveLook(stageOf(built, value, s, l), built.states[s]!.looks[l]!);
  return {
    look: look.id,
    name: look.name,
    timing: look.timing,
    value: solved.value,
    moves: shares(
      moves.map(({ id }) => id),
      solved.row,
    ),
    reactions: shares(reactions, solved.column),
    expected: shares(reactions, expectedMix(known, solved.column, trust)),
    replies:
      look.timing === 'seen'
        ? reactions.map((reaction, r) => ({ reaction, move: moves[solved.reply[r]!]!.id }))
        : [],
    overSingle: solved.value - solved.single,
  };
}

const shares = <T>(list: readonly T[], mix: readonly number[]): Share<T>[] =>
  list.flatMap((what, i) => (mix[i]! > TINY ? [{ what, share: mix[i]! }] : []));

/** What happens in a position: bottom plays the plan, top as expected. */
function playsOf(
  game: MapGame,
  solved: StochasticSolution,
  choice: Choice,
  trust: number,
  s: number,
): Play[] {
  if (choice.do !== 'look') return [];
  const look = game.states[s]!.looks[choice.look]!;
  const replies = solved.reply[s]!;
  return expectedMix(look.known, solved.column[s]!, trust).flatMap((y, r) => {
    const row = replies.length > 0 ? look.moves.map((_, m) => Number(replies[r] === m)) : solved.row[s]!;
    return row.flatMap((x, m): Play[] => (x * y > 0 ? [{ m, r, share: x * y }] : []));
  });
}
