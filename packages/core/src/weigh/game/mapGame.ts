import { playable } from '../../body/playable.ts';
import { barePattern, holdsWorn, translateApparel } from '../../body/translateApparel.ts';
import type { Softness } from '../../game/logitStage.ts';
import { answerTo } from '../../model/answerTo.ts';
import type { Exchange } from '../../model/exchange.ts';
import type { Hold, HoldClass, HoldPattern } from '../../model/hold.ts';
import { matchesPattern, narrower, patternOf } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { Joint } from '../../model/joint.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import type { Tendency } from '../../model/opponent.ts';
import { isOutcome, type Landing, type Outcome } from '../../model/outcome.ts';
import type { Look, Position } from '../../model/position.ts';
import type { Apparel } from '../../model/primitives.ts';
import { bareRef, type ReactionRef, reactionKey } from '../../model/reaction.ts';
import { remember } from '../../model/remember.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import { exchangeSeconds, stepsOf } from '../../model/seconds.ts';
import { isLegalForTop, legality } from '../../rules/legality.ts';
import { loadsAny } from '../../rules/loadedJoints.ts';
import { type OutcomePoints, outcomePoints } from './outcomePoints.ts';

/** What a map is weighed under; what is not said comes from the map's settings. */
export interface WeighOptions {
  rules?: RulesProfile | undefined;
  apparel?: Apparel | undefined;
  /** Chance that the round goes on for another `roundPace` seconds. */
  continuation?: number | undefined;
  roundPace?: number | undefined;
  submissionWorth?: number | undefined;
  outcomeWorth?: Partial<Record<Outcome, number>> | undefined;
  rest?: number | undefined;
  /** Left out: moves by id, holds and all that rests on them by class, reactions by id. */
  forbiddenMoves?: readonly string[] | undefined;
  forbiddenHolds?: readonly HoldClass[] | undefined;
  forbiddenReactions?: readonly string[] | undefined;
  /** Joints not to be loaded, on either side. */
  sparedJoints?: readonly Joint[] | undefined;
  /** Chances by exchange that stand in for the map's. */
  chances?: ReadonlyMap<string, number> | undefined;
  /** How an opponent is known to answer looks, and how far that is trusted, in [0, 1]. */
  tendencies?: readonly Tendency[] | undefined;
  trust?: number | undefined;
  /** How human the two are whose round is shown; at club level where it is not given. The solution does not depend on it. */
  level?: Softness | undefined;
}

/** One cell: the exchange that answers, or a hole, by its number in the game. */
type GameCell = ({ exchange: Exchange; hole?: undefined } | { exchange?: undefined; hole: number }) & {
  /** Its γ, the chance that the round goes on over it. */
  gamma: number;
  seconds: number;
};
export interface GameLook {
  look: Look;
  moves: Move[];
  /** Reactions across; none where nobody has said what top does: then one column stands for the hole. */
  reactions: ReactionRef[];
  cells: GameCell[][];
  /** Shares of the reactions that the opponent is known by. */
  known?: number[];
}
interface GameState {
  position: Position;
  /** Cannot be played under these options. */
  removed: boolean;
  looks: GameLook[];
}
export interface MapGame {
  states: GameState[];
  place: ReadonlyMap<string, number>;
  points: OutcomePoints;
  /** What one wait takes, s, and the chance that the round goes on over it. */
  pace: number;
  paceGamma: number;
  discount: number;
  rest: number;
  /** What a position that is not in the game is worth, points, where only a part of a map is played. */
  outside?: ((position: string) => number) | undefined;
  chanceOf(exchange: Exchange): number;
  gamma(seconds: number): number;
}

/** The positions, looks and cells that are played under the options. */
export function mapGame(map: GuardMap, options: WeighOptions = {}): MapGame {
  const { settings } = map;
  const continuation = options.continuation ?? settings.continuation;
  const pace = options.roundPace ?? settings.roundPace;
  if (!(continuation > 0 && continuation < 1))
    throw new RangeError('continuation has to lie between 0 and 1');
  const gamma = (seconds: number) => continuation ** (Math.max(1, seconds) / pace);
  let discount = gamma(pace);
  const cellOf = (cell: BareCell): GameCell => {
    const own = gamma(cell.seconds);
    discount = Math.max(discount, own);
    return { ...cell, gamma: own };
  };
  const states = bareStates(map, options).map((state) => ({
    ...state,
    looks: state.looks.map((look) => ({ ...look, cells: look.cells.map((line) => line.map(cellOf)) })),
  }));
  return {
    states,
    place: places(map),
    points: outcomePoints({
      rules: options.rules,
      submissionWorth: options.submissionWorth ?? settings.submissionWorth,
      outcomeWorth: options.outcomeWorth,
    }),
    pace,
    paceGamma: gamma(pace),
    discount,
    rest: options.rest ?? settings.rest,
    chanceOf: (exchange) => options.chances?.get(exchange.id) ?? exchange.chance,
    gamma,
  };
}

const places = remember((map: GuardMap) => new Map(map.positions.map(({ id }, i) => [id, i] as const)));

type BareCell = ({ exchange: Exchange; hole?: undefined } | { exchange?: undefined; hole: number }) & {
  seconds: number;
};
/** A position with what is played there; what a round is worth and how fast it goes is left aside. */
interface BareState extends Omit<GameState, 'looks'> {
  looks: (Omit<GameLook, 'cells'> & { cells: BareCell[][] })[];
}

/** So many of a map's games are kept: a what-if that only changes figures does not ask again what can be played. */
const MOST_KEPT = 4;
const kept = new WeakMap<GuardMap, { key: string; states: BareState[] }[]>();

function bareStates(map: GuardMap, options: WeighOptions): BareState[] {
  const { apparel, rules, forbiddenMoves, forbiddenHolds, forbiddenReactions, sparedJoints, tendencies } =
    options;
  const key = JSON.stringify([
    apparel,
    rules,
    forbiddenMoves,
    forbiddenHolds,
    forbiddenReactions,
    sparedJoints,
    tendencies,
  ]);
  const known = kept.get(map) ?? [];
  const found = known.find((one) => one.key === key) ?? { key, states: buildStates(map, options) };
  kept.set(map, [found, ...known.filter((one) => one !== found)].slice(0, MOST_KEPT));
  return found.states;
}

function buildStates(map: GuardMap, options: WeighOptions): BareState[] {
  const apparel = options.apparel ?? options.rules?.apparel ?? 'gi';
  const index = indexMap(map);
  const known = new Map(options.tendencies?.map((one) => [`${one.position} ${one.look}`, one]));
  const spared = options.sparedJoints ?? [];
  const banned = new Set(options.forbiddenMoves);
  const silent = new Set(options.forbiddenReactions);
  let holes = 0;
  return map.positions.map((position): BareState => {
    const patterns = (options.forbiddenHolds ?? []).map((one) => patternOf(one, position.leadSide));
    const { available, position: worn } = translateApparel(position, apparel);
    const removed = !available || holdsAny(worn.holds, patterns);
    const moves = removed
      ? []
      : index
          .movesOf(position.id)
          .filter(
            (move) =>
              !banned.has(move.id) &&
              legality(move.hazards, options.rules).legal &&
              !restsOn(move, patterns, apparel) &&
              !loadsAny(map, move, spared),
          );
    return {
      position,
      removed,
      looks: byId(position.looks).flatMap((look) => lookOf(position, look, moves)),
    };
  });

  function lookOf(position: Position, look: Look, moves: readonly Move[]): BareState['looks'] {
    const own = moves.filter((move) => move.look === look.id);
    if (own.length === 0) return [];
    const reactions = new Map<string, ReactionRef>();
    const add = (ref: ReactionRef) => {
      const reaction = index.reaction.get(ref.id);
      if (silent.has(ref.id) || (reaction && !isLegalForTop(reaction, options.rules))) return;
      reactions.set(reactionKey(ref), ref);
    };
    for (const ref of look.reactions) add(bareRef(ref));
    for (const move of own) {
      for (const { reaction } of index.exchangesOf(move.id)) if (reaction !== 'none') add(reaction);
    }
    const columns = [...reactions.values()];
    const cells = own.map((move) => {
      const usual = exchangeSeconds(move, {});
      if (columns.length === 0) return [{ hole: holes++, seconds: usual }];
      return columns.map((ref): BareCell => {
        const exchange = answerTo(move, index.exchangesOf(move.id), ref, (one) =>
          playable(map, one, apparel),
        );
        if (exchange) return { exchange, seconds: exchangeSeconds(move, exchange) };
        return { hole: holes++, seconds: usual };
      });
    });
    const shares = knownShares(position, look, columns, known.get(`${position.id} ${look.id}`));
    return [{ look, moves: own, reactions: columns, cells, ...(shares && { known: shares }) }];
  }
}

/** Of looks that are worth the same the first is played, and that is the one with the first id. */
const byId = <T extends { id: string }>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => (a.id < b.id ? -1 : 1));

/** Shares may be this far from one in all: they are written in whole per cents. */
const ROUNDING = 0.006;

/**
 * An opponent's shares in the order of the columns. What cannot happen under the options is left out and the rest taken
 * for the whole; nothing where that leaves nothing.
 * @throws RangeError where they do not sum to one.
 */
function knownShares(
  position: Position,
  look: Look,
  columns: readonly ReactionRef[],
  tendency: Tendency | undefined,
): number[] | undefined {
  if (!tendency) return undefined;
  const sum = tendency.reactions.reduce((total, { share }) => total + share, 0);
  if (Math.abs(sum - 1) > ROUNDING)
    throw new RangeError(
      `what the opponent does about “${look.name}” of “${position.name}” adds up to ${Math.round(sum * 100)} %: make it 100 %`,
    );
  const share = new Map(tendency.reactions.map((one) => [reactionKey(one), one.share]));
  const shares = columns.map((ref) => share.get(reactionKey(ref)) ?? 0);
  const left = shares.reduce((total, q) => total + q, 0);
  return left > 0 ? shares.map((q) => q / left) : undefined;
}

const holdsAny = (holds: readonly Hold[], patterns: readonly HoldPattern[]): boolean =>
  patterns.some((pattern) => holds.some((hold) => matchesPattern(hold, pattern, 'own')));

/** Whether a move needs or takes a hold of a class, as it is done in an apparel. */
function restsOn(move: Move, patterns: readonly HoldPattern[], apparel: Apparel): boolean {
  if (patterns.length === 0) return false;
  const takes = stepsOf(move).flatMap(({ take }) => holdsWorn(take, apparel));
  if (holdsAny(takes, patterns)) return true;
  const needs = move.needsHolds.flatMap((need) => {
    const worn = apparel === 'gi' ? need : barePattern(need);
    return need.by !== 'top' && worn ? [worn] : [];
  });
  return needs.some((need) => patterns.some((pattern) => narrower(need, pattern)));
}

/** What waiting is worth where that is a number. */
export const restOf = (game: MapGame, position: Position): number => position.rest ?? game.rest;

/** Where waiting leads, unless what it is worth is written as a number. */
export const driftOf = ({ rest, drift }: Position): Landing | undefined =>
  rest === undefined ? drift : undefined;

/** What a landing is worth once it is come to, points. */
export const landingWorth = (
  { place, points, outside }: MapGame,
  values: readonly number[],
  landing: Landing,
): number => {
  if (isOutcome(landing)) return points[landing.outcome];
  const at = place.get(landing.position);
  return at === undefined && outside ? outside(landing.position) : values[at!]!;
};

/** What waiting is worth: what the position says, what it drifts to, else what the map says. */
export function waitingWorth(game: MapGame, values: readonly number[], position: Position): number {
  const drift = driftOf(position);
  return drift ? game.paceGamma * landingWorth(game, values, drift) : restOf(game, position);
}
