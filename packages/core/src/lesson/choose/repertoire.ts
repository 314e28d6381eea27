import type { Softness } from '../../game/logitStage.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import { type ReactionRef, reactionKey } from '../../model/reaction.ts';
import {
  driftOf,
  type GameLook,
  landingWorth,
  type MapGame,
  type WeighOptions,
} from '../../weigh/game/mapGame.ts';
import { flowsOf, type Play, valuesOf, visitsOf, WAITING } from '../../weigh/game/plays.ts';
import { bothKnowBest, CLUB_SOFTNESS } from '../../weigh/game/softness.ts';
import { solveAsMapped } from '../../weigh/game/solveForTrusts.ts';
import { type MapSolution, solveMap } from '../../weigh/game/solveMap.ts';
import { toStochasticGame } from '../../weigh/game/toStochasticGame.ts';
import { playAt } from '../../weigh/play/ordinaryPlay.ts';
import { type LevelPlay, playMap } from '../../weigh/play/playMap.ts';

export interface RepertoireQuery {
  /** Where it begins: a position. */
  root: string;
  /** What positions outside of the lesson's systems are worth: what the whole map says, or nothing is known of them. */
  outside?: 'as mapped' | 'unknown' | undefined;
  options?: WeighOptions | undefined;
  /** The map as it was solved and played under the options, where that is at hand. */
  whole?: { solution: MapSolution; play: LevelPlay } | undefined;
}

/** An exchange as it comes up when a repertoire is played from its root. */
export interface RepertoireLink {
  exchange: string;
  move: string;
  reaction: ReactionRef;
  /** How often top does it about the look that the move begins. */
  share: number;
  /** Times a round from the root. */
  rate: number;
  /** Points of a round from the root for a chance that is higher by 1. */
  slope: number;
}

export interface Repertoire {
  /** Moves that can be played from the lesson's positions under the options. */
  moves: string[];
  /** Points of a round from the root where bottom can play only these moves. */
  value(known: ReadonlySet<string>): number;
  /** Every exchange that comes up then. */
  links(known: ReadonlySet<string>): RepertoireLink[];
  /** Points of outcomes. */
  points: MapGame['points'];
}

/**
 * What bottom's repertoires are worth from one position, in ordinary play: v(root) where bottom can play only some moves.
 * A position none of whose moves is known is worth its rest, else its drift. Positions outside of the systems of the root
 * stand still at what the whole map says, so that one repertoire is a game of a few positions.
 * @throws RangeError for a root that is not in the map, or what cannot be weighed
 */
export function repertoireOf(
  map: GuardMap,
  { root, outside = 'as mapped', options = {}, whole }: RepertoireQuery,
): Repertoire {
  const level = options.level ?? CLUB_SOFTNESS;
  const start = indexMap(map).position.get(root);
  if (!start) throw new RangeError(`there is no position “${root}” in this map`);
  const solution = whole?.solution ?? solveMap(startable(map, root), options);
  const played = whole?.play ?? playMap(solution, level);
  const { game } = solution;
  const inside = new Set(
    map.positions.flatMap(({ id, systems }) =>
      id === root || systems.some((system) => start.systems.includes(system)) ? [id] : [],
    ),
  );
  const judged = (position: string) => outsideWorth(game, solution.values, position, outside);
  const worth = (position: string) => outsideWorth(game, played.values, position, outside);

  return {
    moves: game.states.flatMap(({ position, looks }) =>
      inside.has(position.id) ? looks.flatMap(({ moves }) => moves.map(({ id }) => id)) : [],
    ),
    points: game.points,
    value: (known) => play(known).values[0]!,
    links(known) {
      const { part, plays, values, visits } = play(known);
      return linksOf(part, plays, values, visits);
    },
  };

  function play(known: ReadonlySet<string>) {
    const part = partOf(game, root, inside, known, judged);
    const { game: built, solution: inPart } = solveAsMapped(part, 0, undefined, () => undefined);
    const solved = {
      game: part,
      built,
      values: inPart.value,
      weights: part.states.map((_, s) => Number(s === 0)),
      trust: 0,
    };
    const plays = part.states.map((_, s) => playOf(solved, level, s, inPart));
    // Judged by what both could make of it, worth what the two do make of it.
    const real = toStochasticGame({ ...part, outside: worth }, 'as-mapped', built.staying);
    const flows = flowsOf(real, plays);
    const { value: values } = valuesOf(flows, inPart.value);
    return { part, plays, values, visits: visitsOf(flows, solved.weights) };
  }
}

/** The map with the root as a place where rounds start, so that it can be weighed. */
const startable = (map: GuardMap, root: string): GuardMap =>
  map.positions.some(({ entry = 0 }) => entry > 0)
    ? map
    : { ...map, positions: map.positions.map((one) => (one.id === root ? { ...one, entry: 1 } : one)) };

function outsideWorth(
  game: MapGame,
  values: readonly number[],
  position: string,
  outside: 'as mapped' | 'unknown',
): number {
  const at = game.place.get(position)!;
  if (outside === 'as mapped') return values[at]!;
  const { position: known } = game.states[at]!;
  const drift = driftOf(known);
  return drift && isOutcome(drift) ? game.points[drift.outcome] : (known.rest ?? game.rest);
}

/** The part of a game that can be come to from the root with the moves that are known; the root stands first. */
function partOf(
  game: MapGame,
  root: string,
  inside: ReadonlySet<string>,
  known: ReadonlySet<string>,
  outside: (position: string) => number,
): MapGame {
  const place = new Map<string, number>();
  const states: MapGame['states'] = [];
  const come = (landing: Landing | undefined) => {
    if (!landing || isOutcome(landing) || !inside.has(landing.position) || place.has(landing.position))
      return;
    place.set(landing.position, states.length);
    const state = game.states[game.place.get(landing.position)!]!;
    states.push({ ...state, looks: state.looks.flatMap((look) => knownLook(look, known)) });
  };
  come({ position: root });
  for (let s = 0; s < states.length; s++) {
    const { position, looks } = states[s]!;
    come(driftOf(position));
    for (const { cells } of looks)
      for (const { exchange } of cells.flat()) {
        come(exchange?.to);
        come(exchange?.otherwise);
      }
  }
  return { ...game, states, place, outside };
}

/** A look with the moves that are known, and the reactions that are listed or that one of those moves answers. */
function knownLook({ known: _, ...look }: GameLook, known: ReadonlySet<string>): GameLook[] {
  const rows = look.moves.flatMap(({ id }, m) => (known.has(id) ? [m] : []));
  if (rows.length === 0) return [];
  if (rows.length === look.moves.length) return [look];
  const listed = new Set(look.look.reactions.map(reactionKey));
  const columns = look.reactions.flatMap((ref, r) =>
    listed.has(reactionKey(ref)) || rows.some((m) => look.cells[m]![r]!.exchange) ? [r] : [],
  );
  // Where nothing is left that top is said to do, one hole stands for whatever it does.
  const taken = columns.length > 0 ? columns : [0];
  return [
    {
      ...look,
      moves: rows.map((m) => look.moves[m]!),
      reactions: columns.map((r) => look.reactions[r]!),
      cells: rows.map((m) => taken.map((r) => look.cells[m]![r]!)),
    },
  ];
}

/** What two of a level do in a position; two who know best do what the solution says. */
function playOf(
  solved: Parameters<typeof playAt>[0],
  level: Softness,
  s: number,
  solution: ReturnType<typeof solveAsMapped>['solution'],
): Play[] {
  if (!bothKnowBest(level)) return playAt(solved, level, s).plays;
  const look = solution.look[s]!;
  const own = solved.game.states[s]!.looks[look];
  if (!own) return [{ look: WAITING, m: 0, r: 0, share: 1 }];
  return solution.column[s]!.flatMap((y, r) =>
    own.moves.map((_, m): Play => {
      const reply = solution.reply[s]!;
      const x = reply.length > 0 ? Number(reply[r] === m) : solution.row[s]![m]!;
      return { look, m, r, share: x * y };
    }),
  );
}

function linksOf(
  part: MapGame,
  plays: readonly (readonly Play[])[],
  values: readonly number[],
  visits: readonly number[],
): RepertoireLink[] {
  return plays.flatMap((own, s) => {
    const { position, looks } = part.states[s]!;
    const shown = new Map<string, number>();
    for (const { look, m, share } of own) shown.set(`${look} ${m}`, (shown.get(`${look} ${m}`) ?? 0) + share);
    return own.flatMap(({ look, m, r, share }): RepertoireLink[] => {
      const cell = look === WAITING ? undefined : looks[look]!.cells[m]![r]!;
      const reaction = looks[look]?.reactions[r];
      if (!cell?.exchange || !reaction || share === 0) return [];
      const { exchange, gamma } = cell;
      const won = landingWorth(part, values, exchange.to);
      const lost = landingWorth(part, values, exchange.otherwise ?? { position: position.id });
      const rate = visits[s]! * share;
      return [
        {
          exchange: exchange.id,
          move: exchange.move,
          reaction,
          share: share / shown.get(`${look} ${m}`)!,
          rate,
          slope: rate * gamma * (won - lost),
        },
      ];
    });
  });
}

/** Points of a round from a position where bottom can play only the moves that are known; see `repertoireOf`. */
export const repertoireValue = (
  map: GuardMap,
  { known, ...query }: RepertoireQuery & { known: Iterable<string> },
): number => repertoireOf(map, query).value(new Set(known));
