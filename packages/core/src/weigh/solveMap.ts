import { type Response, responseFor, responses, TRUSTS } from '../game/restrictedResponse.ts';
import { solveLook } from '../game/solveLook.ts';
import {
  type StochasticGame,
  type StochasticSolution,
  solveStochasticGame,
} from '../game/solveStochasticGame.ts';
import type { GuardMap } from '../model/map.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { type MapGame, mapGame, restOf, toStochasticGame, type WeighOptions } from './mapGame.ts';

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

/** A move and a reaction by their places in the plan's look, and how often both happen there. */
export interface Play {
  m: number;
  r: number;
  share: number;
}

/** What a plan is worth at the entries against an opponent's known tendencies, and against a perfect top. */
export interface Trade {
  trust: number;
  gain: number;
  worst: number;
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
  /** The place of the look that is played, −1 where bottom waits; behind the looks of the map, drifting. */
  look: number[];
  /** What is played in every position; nothing where bottom waits. */
  plays: Play[][];
  residual: number;
  game: MapGame;
  /** The game that was solved, holes filled as mapped. */
  built: StochasticGame;
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
  return planFor(weighedUp(map, options, start), options.trust);
}

/** A map solved for every trust that is asked for: a plan is then only chosen. */
export interface WeighedUp {
  game: MapGame;
  /** Of the positions, summing to one. */
  weights: number[];
  found: Response[];
}

/**
 * Solves a map once for every trust that can be asked for; once in all where no tendency is known.
 * @param start values to begin from
 * @param onProgress told how far the work is, in [0, 1]
 */
export function weighedUp(
  map: GuardMap,
  options: WeighOptions = {},
  start?: readonly number[],
  onProgress?: (share: number) => void,
): WeighedUp {
  const weights = entryWeights(map);
  const game = mapGame(map, options);
  if (game.states.some(({ looks }) => looks.some(({ known }) => known))) {
    const found = responses((trust, near) => {
      const watch = watched(onProgress, TRUSTS.indexOf(trust), TRUSTS.length);
      return solveAsMapped(game, trust, near ?? start, watch);
    });
    return { game, weights, found };
  }
  const { game: built, solution } = solveAsMapped(game, 0, start, watched(onProgress, 0, 1));
  const { value } = solution;
  return { game, weights, found: [{ trust: 0, game: built, solution, gain: value, worst: value }] };
}

/** Reads residuals that shrink by shares as progress of the i-th of some solves. */
function watched(onProgress: ((share: number) => void) | undefined, i: number, of: number) {
  let first = 0;
  return (residual: number): void => {
    first = Math.max(first, residual);
    const share = first > TINY ? Math.log(first / residual) / Math.log(first / TINY) : 1;
    onProgress?.((i + Math.min(1, Math.max(0, share))) / of);
  };
}

/** The plans made, with what they gain and risk at the entries. */
export const tradesOf = ({ found, weights }: WeighedUp): Trade[] =>
  found.map(({ trust, gain, worst }) => ({
    trust,
    gain: atEntries(gain, weights),
    worst: atEntries(worst, weights),
  }));

/** The gain and the worst case of the plan that is chosen at each trust, in steps of a twentieth. */
export function tradeCurve(trades: readonly Trade[]): Trade[] {
  const found = trades.map(({ gain, worst }) => ({ gain: [gain], worst: [worst] }));
  return Array.from({ length: 21 }, (_, i) => {
    const { gain, worst } = responseFor(found, [1], i / 20);
    return { trust: i / 20, gain: gain[0]!, worst: worst[0]! };
  });
}

const atEntries = (values: readonly number[], weights: readonly number[]): number =>
  weights.reduce((sum, weight, s) => sum + weight * values[s]!, 0);

/** What a round is worth with these values of the positions. */
export const entryValue = ({ weights }: Pick<MapSolution, 'weights'>, values: readonly number[]): number =>
  atEntries(values, weights);

/** The plan for a trust in [0, 1], opened down to its looks. */
export function planFor({ game, weights, found }: WeighedUp, trust = 0): MapSolution {
  const chosen = responseFor(found, weights, trust);
  const { game: built, solution: solved } = chosen;
  const answered = solveStochasticGame(toStochasticGame(game, 'if-answered', new Set(), chosen.trust), {
    start: solved.value,
  });
  const value = solved.value;
  const plays = game.states.map((_, s) => playsOf(game, solved, trust, s));
  const { visits, exchanges } = visitRates(game, built, solved, plays, weights);
  return {
    positions: game.states.map(({ position, looks }, s) => {
      const best = looks[solved.look[s]!]?.look.id;
      return {
        position: position.id,
        value: value[s]!,
        ifAnswered: answered.value[s]!,
        ...(best !== undefined && { best }),
        looks: looks.map((_, l) => lookPlan(game, built, value, trust, s, l)),
        visits: visits[s]!,
      };
    }),
    entry: atEntries(value, weights),
    entryIfAnswered: atEntries(answered.value, weights),
    trust,
    gain: atEntries(chosen.gain, weights),
    worst: atEntries(chosen.worst, weights),
    visits: exchanges,
    weights,
    look: solved.look,
    plays,
    residual: Math.max(solved.residual, answered.residual),
    game,
    built,
    values: value,
  };
}

/** Entry weights that sum to one. */
export function entryWeights(map: GuardMap): number[] {
  const weights = map.positions.map(({ entry = 0 }) => entry);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  if (!(total > 0))
    throw new RangeError('no position is one where a round can start: give at least one an entry weight');
  return weights.map((weight) => weight / total);
}

/** A hole is worth the lesser of waiting and staying; which of them that is shows once the values are known. */
function solveAsMapped(
  game: MapGame,
  trust: number,
  start: readonly number[] | undefined,
  onStage: (residual: number) => void,
): { game: StochasticGame; solution: StochasticSolution } {
  let self = new Set<number>();
  for (let round = 0, near = start; ; round++) {
    const built = toStochasticGame(game, 'as-mapped', self, trust);
    const solution = solveStochasticGame(built, { start: near, onStage });
    const worse = new Set(
      game.states.flatMap(({ position }, s) => {
        if (position.rest === undefined && position.drift) return [];
        return game.paceGamma * solution.value[s]! < restOf(game, position) - TINY ? [s] : [];
      }),
    );
    if (round >= 5 || (worse.size === self.size && [...worse].every((s) => self.has(s))))
      return { game: built, solution };
    self = worse;
    near = solution.value;
  }
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
function playsOf(game: MapGame, solved: StochasticSolution, trust: number, s: number): Play[] {
  const look = game.states[s]!.looks[solved.look[s]!];
  if (!look) return [];
  const replies = solved.reply[s]!;
  return expectedMix(look.known, solved.column[s]!, trust).flatMap((y, r) => {
    const row = replies.length > 0 ? look.moves.map((_, m) => Number(replies[r] === m)) : solved.row[s]!;
    return row.flatMap((x, m): Play[] => (x * y > 0 ? [{ m, r, share: x * y }] : []));
  });
}

const DRIFTING: readonly Play[] = [{ m: 0, r: 0, share: 1 }];
/** The cells that are played of a look; drifting is a look of one cell. */
export const playedCells = (plays: readonly Play[]): readonly Play[] => (plays.length > 0 ? plays : DRIFTING);

/** Discounted expected visits of states and exchanges. */
function visitRates(
  game: MapGame,
  built: StochasticGame,
  solved: StochasticSolution,
  plays: readonly Play[][],
  weights: readonly number[],
) {
  const n = game.states.length;
  const flow = game.states.map((_, s) => {
    const l = solved.look[s]!;
    const out = new Map<number, number>();
    if (l < 0) return out;
    const { next } = built.states[s]!.looks[l]!;
    for (const { m, r, share } of playedCells(plays[s]!))
      for (const [to, p] of next[m]![r]!) out.set(to, (out.get(to) ?? 0) + share * p * built.discount);
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
    const look = looks[solved.look[s]!];
    if (!look) continue;
    for (const { m, r, share } of plays[s]!) {
      const id = look.cells[m]?.[r]?.exchange?.id;
      if (id !== undefined) exchanges.set(id, (exchanges.get(id) ?? 0) + visits[s]! * share);
    }
  }
  return { visits: [...visits], exchanges };
}
