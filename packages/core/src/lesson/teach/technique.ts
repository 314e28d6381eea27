import { OUTCOME_GOOD } from '../../body/landingWords.ts';
import { playable } from '../../body/playable.ts';
import type { Exchange } from '../../model/exchange.ts';
import type { HazardTag } from '../../model/hazards.ts';
import { indexMap, type MapIndex } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move, MoveKind, Step, Variant } from '../../model/move.ts';
import { isOutcome, type Landing, type Outcome } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import type { Apparel } from '../../model/primitives.ts';
import { type ReactionRef, reactionKey } from '../../model/reaction.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import { variantOf } from '../../model/seconds.ts';
import { isLegalForTop } from '../../rules/legality.ts';
import type { WeighOptions } from '../../weigh/game/mapGame.ts';
import { type MapSolution, solveMap } from '../../weigh/game/solveMap.ts';
import { type LevelPlay, playMap } from '../../weigh/play/playMap.ts';
import { isAbove } from '../choose/chooseRepertoire.ts';
import { lessonOptions } from '../choose/lessonOptions.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { lessonRules } from '../choose/lessonRules.ts';
import { repertoireOf } from '../choose/repertoire.ts';

/** What top does about a technique, and where it leads then. */
export interface Row {
  exchange: Exchange;
  /** Of the reaction; `none` where top is late. */
  key: string;
  chance: number;
  to: Landing;
  otherwise: Landing | undefined;
  /** It is done to its end; else it stops on the way. */
  whole: boolean;
}

/** Something that is taught as one thing: a move, or a variant of it with steps of its own that answers a reaction. */
export interface Technique {
  id: string;
  move: Move;
  variant: Variant | undefined;
  name: string;
  at: string;
  look: string;
  kind: MoveKind;
  steps: readonly Step[];
  rows: readonly Row[];
  /** How it is done plainly: against nobody's resistance where that is written, else where it works best. */
  base: Row;
  /** It works on a partner who does nothing. */
  clean: boolean;
  hazards: readonly HazardTag[];
}

/** What may be taught in a class, and what it is worth. */
export interface Teachable {
  request: LessonRequest;
  map: GuardMap;
  index: MapIndex;
  barred: readonly HazardTag[];
  techniques: readonly Technique[];
  at(position: string): readonly Technique[];
  /** Points of a landing, in ordinary play of the whole map; of `here` where nothing is said. */
  worth(landing: Landing | undefined, here: string): number;
  place(position: string): number;
  rowWorth(technique: Technique, row: Row): number;
  /** Points of a round from the root where bottom can play only these moves, in these positions. */
  value(moves: readonly string[], positions: readonly string[]): number;
  /** How often top does what about the look of each exchange then. */
  shares(moves: readonly string[], positions: readonly string[]): ReadonlyMap<string, number>;
}

/** Attacks that twist or bend a leg. */
export const TWISTS: readonly HazardTag[] = ['heel-hook', 'toe-hold', 'knee-bar', 'calf-slicer'];
/** Finishing a joint or a neck; the other hazards belong to how one falls or enters. */
export const JOINT_LOCKS: readonly HazardTag[] = [
  ...TWISTS,
  'straight-ankle',
  'wrist-lock',
  'shoulder-lock',
  'elbow-lock',
  'strangle',
];
export const hasHazard = ({ hazards }: Technique, tags: readonly HazardTag[]): boolean =>
  hazards.some((tag) => tags.includes(tag));

export const placeIn = (landing: Landing | undefined): string | undefined =>
  landing && !isOutcome(landing) ? landing.position : undefined;
/** Whom an end is good for; nobody where it is a place. */
const goodFor = (landing: Landing): 'own' | 'top' | 'even' | undefined =>
  isOutcome(landing) ? OUTCOME_GOOD[landing.outcome] : undefined;
export const endsWell = ({ to }: Row, defends: boolean): boolean =>
  goodFor(to) === 'own' || (defends && goodFor(to) === 'even');

/** A map as two of a level play it: dear, so once for each map and options. */
const played = new WeakMap<GuardMap, Map<string, { solution: MapSolution; play: LevelPlay }>>();
function wholePlay(map: GuardMap, options: WeighOptions): { solution: MapSolution; play: LevelPlay } {
  const known = played.get(map) ?? new Map<string, { solution: MapSolution; play: LevelPlay }>();
  played.set(map, known);
  const name = JSON.stringify(options, (_, value: unknown) => (value instanceof Map ? [...value] : value));
  const before = known.get(name);
  if (before) return before;
  const solution = solveMap(map, options);
  const whole = { solution, play: playMap(solution, options.level) };
  known.set(name, whole);
  return whole;
}

/** What may be taught under a request, as techniques with their rows. */
export function teachable(request: LessonRequest): Teachable {
  const { map, apparel, level, out = [], pinned = [] } = request;
  const index = indexMap(map);
  const rules = lessonRules(request);
  const options = lessonOptions(request);
  const { solution, play } = wholePlay(map, options);
  const { game } = solution;
  const open = new Set(
    game.states.flatMap(({ looks }) => looks.flatMap(({ moves }) => moves.map(({ id }) => id))),
  );
  const techniques = map.moves.flatMap((move): Technique[] => {
    const position = index.position.get(move.position)!;
    if (!open.has(move.id) || out.includes(move.id)) return [];
    if (isAbove(move, position, level) && !pinned.includes(move.id)) return [];
    return techniquesIn(map, apparel, rules, move);
  });
  const byPlace = new Map<string, Technique[]>();
  for (const technique of techniques)
    byPlace.set(technique.at, [...(byPlace.get(technique.at) ?? []), technique]);
  const place = (position: string): number => play.values[game.place.get(position)!]!;
  const worth = (landing: Landing | undefined, here: string): number =>
    !landing ? place(here) : isOutcome(landing) ? game.points[landing.outcome] : place(landing.position);
  const repertoires = new Map<string, ReturnType<typeof repertoireOf>>();
  /** The positions of a class count as one system, so that a set may cross guards and is still judged by its points. */
  const repertoire = (positions: readonly string[]) => {
    const near = new Set([request.root, ...positions]);
    const name = [...near].sort().join(' ');
    const known = repertoires.get(name);
    if (known) return known;
    const inOne = (position: Position): Position =>
      near.has(position.id) ? { ...position, systems: ['class'] } : position;
    const made = repertoireOf(
      { ...map, positions: map.positions.map(inOne) },
      { root: request.root, options, whole: { solution, play } },
    );
    repertoires.set(name, made);
    return made;
  };
  return {
    request,
    map,
    index,
    barred: rules?.barred ?? [],
    techniques,
    at: (position) => byPlace.get(position) ?? [],
    worth,
    place,
    rowWorth: ({ at }, { chance, to, otherwise }) =>
      chance * worth(to, at) + (1 - chance) * worth(otherwise, at),
    value: (moves, positions) => repertoire(positions).value(new Set(moves)),
    shares: (moves, positions) =>
      new Map(
        repertoire(positions)
          .links(new Set(moves))
          .map(({ exchange, share }) => [exchange, share]),
      ),
  };
}

/** What a move is as techniques, by apparel and what is barred: every class on a map asks. */
const madeOf = new WeakMap<GuardMap, Map<string, Technique[]>>();

function techniquesIn(
  map: GuardMap,
  apparel: Apparel,
  rules: RulesProfile | undefined,
  move: Move,
): Technique[] {
  const made = madeOf.get(map) ?? new Map<string, Technique[]>();
  madeOf.set(map, made);
  const key = `${apparel} ${rules?.barred.join(' ') ?? ''} ${move.id}`;
  const known = made.get(key);
  if (known) return known;
  const index = indexMap(map);
  const exchanges = index.exchangesOf(move.id).filter((exchange) => {
    const met = exchange.reaction === 'none' ? undefined : index.reaction.get(exchange.reaction.id);
    return playable(map, exchange, apparel) && (!met || isLegalForTop(met, rules));
  });
  const techniques = techniquesOf(move, exchanges);
  made.set(key, techniques);
  return techniques;
}

/** A move as a technique, and each of its variants that is one of its own. */
function techniquesOf(move: Move, exchanges: readonly Exchange[]): Technique[] {
  const stepped = ({ variant }: Exchange) =>
    Boolean(move.variants.find(({ id }) => id === variant)?.steps.length);
  const plain = techniqueOf(
    move,
    undefined,
    oneEach(
      move,
      exchanges.filter((one) => !stepped(one)),
    ),
  );
  const own = move.variants.flatMap((variant) => {
    if (variant.steps.length === 0 || variant.sameMove) return [];
    // A variant that is only another way of the unopposed move answers nothing.
    const rows = exchanges.filter((one) => one.variant === variant.id && one.reaction !== 'none');
    return techniqueOf(move, variant, rows.map(rowOf));
  });
  return [...plain, ...own];
}

function techniqueOf(move: Move, variant: Variant | undefined, all: readonly Row[]): Technique[] {
  const rows = all.filter(({ exchange }) => exchange.stops !== 0);
  const whole = rows.filter((row) => row.whole);
  const still = whole.find(({ key }) => key === 'none');
  const [likeliest] = [...whole].sort((a, b) => b.chance - a.chance || byId(a.exchange, b.exchange));
  const base = still ?? likeliest;
  if (!base) return [];
  const used = variant ?? variantOf(move);
  return [
    {
      id: variant ? `${move.id}#${variant.id}` : move.id,
      move,
      variant,
      name: variant?.name ?? move.name,
      at: move.position,
      look: move.look,
      kind: move.kind,
      steps: used && used.steps.length > 0 ? used.steps : move.steps,
      rows: all,
      base,
      clean: still !== undefined,
      hazards: move.hazards,
    },
  ];
}

const rowOf = (exchange: Exchange): Row => ({
  exchange,
  key: reactionKey(exchange.reaction),
  chance: exchange.chance,
  to: exchange.to,
  otherwise: exchange.otherwise,
  whole: exchange.stops === undefined,
});

/** One row for each reaction: in the house's variant, else plain, else the first. */
function oneEach(move: Move, exchanges: readonly Exchange[]): Row[] {
  const rank = ({ variant }: Exchange) => (variant === undefined ? 1 : variant === move.houseVariant ? 0 : 2);
  const best = new Map<string, Exchange>();
  for (const exchange of exchanges) {
    const key = reactionKey(exchange.reaction);
    const before = best.get(key);
    if (!before || rank(exchange) < rank(before)) best.set(key, exchange);
  }
  return [...best.values()].map(rowOf);
}

export const byId = (a: { id: string }, b: { id: string }): number => (a.id < b.id ? -1 : 1);
export const reactionOf = ({ exchange: { reaction } }: Row): ReactionRef | undefined =>
  reaction === 'none' ? undefined : reaction;

/** Whether two landings are the same end: one place, one outcome, or both on top. */
function sameEnd(a: Landing, b: Landing): boolean {
  if (!isOutcome(a) || !isOutcome(b)) return placeIn(a) !== undefined && placeIn(a) === placeIn(b);
  const top = ({ outcome }: { outcome: Outcome }) => outcome.startsWith('top-');
  return a.outcome === b.outcome || (top(a) && top(b));
}

/** A reaction in which at least this share of the plain chance is left calls for a technique; one with less makes it harder. */
const CALLS = 0.8;
const MAKES_HARDER = 0.5;
const ALMOST = 1e-9;
const stillDone = ({ rows, base }: Technique): Row[] =>
  rows.filter((row) => row.key !== 'none' && row.whole && sameEnd(row.to, base.to));

/** Rows in which a technique is done as named, ends as it should and works nearly as well: what may call for it. */
export const callersOf = (technique: Technique): Row[] =>
  stillDone(technique).filter(({ chance }) => chance >= CALLS * technique.base.chance - ALMOST);
/** Rows in which it is still done, and fails more often. */
export const countersOf = (technique: Technique): Row[] =>
  stillDone(technique).filter(
    ({ chance }) =>
      chance < CALLS * technique.base.chance - ALMOST &&
      chance >= MAKES_HARDER * technique.base.chance - ALMOST,
  );
/** A move that goes better against a reaction than unopposed is the answer to it, and no attack. */
export const isAnswerOnly = (technique: Technique): boolean =>
  callersOf(technique).some(({ chance }) => chance > technique.base.chance + 0.025);

/** Whether top is the one who attacks in a place: waiting loses there, or at least half of what can be done keeps the guard. */
export function defends(teach: Teachable, position: string): boolean {
  const own = teach.at(position).filter(({ variant }) => !variant);
  const { drift } = teach.index.position.get(position)!;
  if (own.length > 0 && drift && goodFor(drift) === 'top') return true;
  return own.length > 0 && own.filter(({ kind }) => kind === 'retention').length * 2 >= own.length;
}

/** What one technique answers better than another one of the same place. */
export interface Answer {
  row: Row;
  gain: number;
  spoils: number;
}

/** Points more that make one the answer to what spoils another; or surer by so much, and hardly worth less. */
const ANSWERS = 0.12;
const SURER = 0.15;
const HARDLY_LESS = -0.1;

/**
 * What `other` answers that spoils `first`, or that it never meets: the row, points more, and how far it spoils.
 * @param taken reactions that call for something else already
 */
export function answersWhatSpoils(
  teach: Teachable,
  first: Technique,
  other: Technique,
  taken: (key: string) => boolean = () => false,
): Answer | undefined {
  let best: (Answer & { fits: number }) | undefined;
  for (const row of [...callersOf(other), ...(other.clean ? [] : [other.base])]) {
    if (taken(row.key)) continue;
    const had = first.rows.find(({ key }) => key === row.key);
    const done = had && had.exchange.stops !== 0;
    const gain = teach.rowWorth(other, row) - (done ? teach.rowWorth(first, had) : teach.place(first.at));
    const spoils = had ? Math.max(0, 1 - had.chance / first.base.chance) : 0.35;
    const surer = had ? row.chance - had.chance : 0;
    const fits = gain + spoils + 2 * Math.min(0, row.chance / other.base.chance - 1);
    const valid = gain >= ANSWERS || (surer >= SURER && gain >= HARDLY_LESS);
    if (valid && (!best || fits > best.fits)) best = { row, gain, spoils, fits };
  }
  return best;
}
