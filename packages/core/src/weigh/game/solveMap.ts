import { responseFor } from '../../game/restrictedResponse.ts';
import { solveLook } from '../../game/solveLook.ts';
import { type StochasticSolution, solveStochasticGame } from '../../game/solveStochasticGame.ts';
import type { StochasticGame } from '../../game/stochasticGame.ts';
import type { GuardMap } from '../../model/map.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import type { MapGame, WeighOptions } from './mapGame.ts';
import { exchangeVisits, flowsOf, type Play, type PlayedMap, visitsOf, WAITING } from './plays.ts';
import { entryValue, solveForTrusts, type TrustSolutions } from './solveForTrusts.ts';
import { type MapStochasticGame, toStochasticGame } from './toStochasticGame.ts';

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

/** A map between two who know best: `values` are what the positions are worth as well as both can play. */
export interface MapSolution extends PlayedMap {
  positions: PositionValue[];
  /** Value at the entries, their weights normalised. */
  entry: number;
  entryIfAnswered: number;
  /** Trust in the tendencies, and what this plan gains against them and is worth at worst; equal without any. */
  trust: number;
  gain: number;
  worst: number;
  /** The same with every hole as good as its row: the game and its values. */
  answered: { built: MapStochasticGame; values: number[] };
  residual: number;
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
  const ifAnswered = toStochasticGame(game, 'if-answered', new Set(), chosen.trust);
  const answered = solveStochasticGame(ifAnswered, { start: solved.value });
  const values = solved.value;
  const plays = game.states.map((_, s) => playsOf(game, solved, trust, s));
  const positionVisits = visitsOf(flowsOf(built, plays), weights);
  return {
    positions: game.states.map(({ position, looks }, s) => {
      const best = looks[solved.look[s]!]?.look.id;
      return {
        position: position.id,
        value: values[s]!,
        ifAnswered: answered.value[s]!,
        ...(best !== undefined && { best }),
        looks: looks.map((_, l) => lookPlan(game, built, values, trust, s, l)),
        visits: positionVisits[s]!,
      };
    }),
    entry: entryValue(values, weights),
    entryIfAnswered: entryValue(answered.value, weights),
    trust,
    gain: entryValue(chosen.gain, weights),
    worst: entryValue(chosen.worst, weights),
    answered: { built: ifAnswered, values: answered.value },
    positionVisits,
    visits: exchangeVisits(game, plays, positionVisits),
    weights,
    plays,
    residual: Math.max(solved.residual, answered.residual),
    game,
    built,
    values,
  };
}

/** The stage of a look at the values given. */
export function stageOf(built: StochasticGame, value: readonly number[], s: number, l: number): number[][] {
  const { payoff, next } = built.states[s]!.looks[l]!;
  return payoff.map((line, m) =>
    line.map((a, r) => {
      let later = 0;
      for (const arrow of next[m]![r]!) later += arrow[1] * value[arrow[0]]!;
      return a + built.discount * later;
    }),
  );
}

/** Known tendencies as far as they are trusted, else what top does best. */
export const expectedMix = (
  known: readonly number[] | undefined,
  own: readonly number[],
  trust: number,
): number[] => own.map((y, r) => (known ? trust * known[r]! + (1 - trust) * y : y));

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

/** The shares that are none to speak of left out. */
export const shares = <T>(list: readonly T[], mix: readonly number[]): Share<T>[] =>
  list.flatMap((what, i) => (mix[i]! > TINY ? [{ what, share: mix[i]! }] : []));

/** What happens in a position: bottom plays the plan, top as expected. */
function playsOf(game: MapGame, solved: StochasticSolution, trust: number, s: number): Play[] {
  const { looks } = game.states[s]!;
  const place = solved.look[s]!;
  const look = looks[place];
  if (!look) return [{ look: WAITING, m: 0, r: 0, share: 1 }];
  const replies = solved.reply[s]!;
  return expectedMix(look.known, solved.column[s]!, trust).flatMap((y, r) => {
    const row = replies.length > 0 ? look.moves.map((_, m) => Number(replies[r] === m)) : solved.row[s]!;
    return row.flatMap((x, m): Play[] => (x * y > 0 ? [{ look: place, m, r, share: x * y }] : []));
  });
}
