import { checkSweep } from '../balance/checkSweep.ts';
import { afterReaction } from '../body/afterReaction.ts';
import type { Moment } from '../body/followSteps.ts';
import { type LimbConflict, limbConflicts } from '../body/limbConflicts.ts';
import { mirror, sided } from '../body/mirror.ts';
import { playable } from '../body/playable.ts';
import { type ApparelTranslation, holdsWorn, translateApparel } from '../body/translateApparel.ts';
import { wordContext } from '../body/words.ts';
import { timesInTen } from '../model/countWords.ts';
import type { Hold } from '../model/hold.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Position } from '../model/position.ts';
import type { Apparel } from '../model/primitives.ts';
import type { Reaction, ReactionRef } from '../model/reaction.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';
import type { Signs } from '../model/signs.ts';
import { pointsText } from '../weigh/tell/pointsText.ts';
import { becomes } from './becomes.ts';
import { type Nearest, nearestPositions, sidedNearest } from './nearestPositions.ts';
import { type Builds, type Option, readMove } from './readMove.ts';

export interface ReadRequest {
  /** The position bottom is in, on the side it is written or mirrored. Without it the nearest ones are asked. */
  position?: string;
  mirrored?: boolean;
  /** What is held now; the position's holds when absent. */
  holds?: readonly Hold[];
  topHolds?: readonly Hold[];
  /** Signs seen now; with a position, those that differ from the position's. */
  signs?: Signs;
  /** What top did, as seen now (so on the side the position is on now), or nothing yet. */
  reaction?: ReactionRef | 'none';
  apparel?: Apparel;
  rules?: RulesProfile;
  athlete?: Builds;
  /** What exchanges are worth, by id, points; without it answers are ranked by their chances. */
  worths?: Readonly<Record<string, number>> | undefined;
}

/** An option with the position it comes from. */
export interface ReadOption extends Option {
  from: Nearest;
  /** For a sweep with a direction: whether it goes where top is weakest, in words. */
  balance?: { weakest: boolean; verdict: string };
  /** What the exchange is worth, points, where that is known. */
  worth?: number;
}

export interface Reading {
  /** What is held and seen once the reaction is done, on the side asked for. */
  moment: Moment;
  /** Bottom's holds that the reaction broke. */
  broken: Hold[];
  /** What the apparel made of the position's holds; of the nearest one where none was named. */
  apparel: ApparelTranslation | undefined;
  /** One limb on two things: named, and answered all the same. */
  conflicts: LimbConflict[];
  /** The position asked for, or those most like the moment. */
  nearest: Nearest[];
  /** Those of them that the options come from: about as like the moment as the first. */
  answering: Nearest[];
  /** Where the reaction leads by itself, where nothing is written for it: the options are those of there. */
  becomes: Nearest | undefined;
  options: ReadOption[];
}

/** A position that the map does not have was asked for. */
export class UnknownError extends Error {}

/** Positions this much less like the moment than the nearest one have nothing to say. */
const FAR = 0.25;
const ASKED = 4;

/**
 * What bottom can do now: every move of the position, or of the positions most like what is held and seen. Ready ones
 * first, then by how many things are missing; inside a rank by what they are worth where that is known, then by chance
 * (the better first, unknown last), the likeness of the position, fewer hold changes, and id.
 * @throws UnknownError when the position or the reaction is not in the map.
 */
export function readReaction(map: GuardMap, request: ReadRequest): Reading {
  const { apparel = 'gi', reaction = 'none' } = request;
  const asked = request.position === undefined ? undefined : known(map, request.position, request.mirrored);
  const here = asked && sidedNearest(asked);
  const start: Moment = {
    holds: [...(request.holds ?? here?.holds ?? [])],
    topHolds: [...(request.topHolds ?? here?.topHolds ?? [])],
    signs: { ...here?.signs, ...request.signs },
  };
  const nearest = asked ? [asked] : nearestPositions(map, start, ASKED);
  const likest = Math.max(...nearest.map(({ similarity }) => similarity));
  const answering = nearest.filter(({ similarity }) => similarity >= likest - FAR);

  // Reactions are written for the jacket too, so they are applied before the holds are translated.
  const met = reaction === 'none' ? undefined : reactionOf(map, reaction);
  const { moment: reacted, broken } = met ? afterReaction(start, met) : { moment: start, broken: [] };
  const moment = apparel === 'gi' ? reacted : bareMoment(reacted);
  const first = here ?? (nearest[0] && sidedNearest(nearest[0]));
  const context = first ? wordContext(first) : ({ leadSide: 'R' } as const);

  const options = optionsOf(map, answering, { ...request, apparel, reaction }, moment, met);
  const [from] = nearest;
  const unanswered = met && from && !options.some(({ exchange }) => exchange);
  const there = unanswered ? becomes(map, from, reacted) : undefined;
  return {
    moment,
    broken,
    apparel: first && translateApparel(first, apparel),
    conflicts: [...limbConflicts(start.holds, context), ...limbConflicts(start.topHolds, context)],
    nearest,
    answering,
    becomes: there,
    // Where one is somewhere else now, top has done nothing there yet.
    options: there
      ? optionsOf(map, [there], { ...request, apparel, reaction: 'none' }, moment, undefined)
      : options,
  };
}

/** The moves of these positions, the best first; what is called the same only from the likeliest. */
function optionsOf(
  map: GuardMap,
  answering: readonly Nearest[],
  request: Asked,
  moment: Moment,
  met: Reaction | undefined,
): ReadOption[] {
  const seen = new Set<string>();
  const options = answering.flatMap((from) =>
    optionsFrom(map, from, request, moment, met).filter(({ move }) => {
      const key = `${from.mirrored ? '~' : ''}${move.name}`;
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    }),
  );
  return options.sort(byWorth);
}

type Asked = Required<Pick<ReadRequest, 'apparel' | 'reaction'>> & ReadRequest;

function optionsFrom(
  map: GuardMap,
  from: Nearest,
  request: Asked,
  moment: Moment,
  met: Reaction | undefined,
): ReadOption[] {
  const index = indexMap(map);
  const position = sidedNearest(from);
  const translation = translateApparel(position, request.apparel);
  return index.movesOf(position.id).map((written): ReadOption => {
    const move = sided('move', written, from.mirrored);
    const exchanges = index
      .exchangesOf(written.id)
      .map((exchange) => (from.mirrored ? mirror('exchange', exchange) : exchange));
    const option = readMove({
      move,
      exchanges,
      playable: ({ id }) => playable(map, index.exchange.get(id)!, request.apparel),
      reaction: request.reaction,
      moment,
      apparel: request.apparel,
      available: translation.available,
      ...(translation.why !== undefined && { unavailableWhy: translation.why }),
      lacking: from.lacking,
      rules: request.rules,
      athlete: request.athlete,
      context: wordContext(position),
    });
    const worth = option.exchange && request.worths?.[option.exchange.id];
    return { ...option, from, ...balanceOf(position, move, met), ...(worth !== undefined && { worth }) };
  });
}

function balanceOf(position: Position, move: Option['move'], reaction: Reaction | undefined) {
  if (move.kind !== 'sweep' || move.direction === undefined) return {};
  const { weakest = false, verdict } = checkSweep(position, move, { reaction });
  return { balance: { weakest, verdict } };
}

function known(map: GuardMap, id: string, mirrored = false): Nearest {
  const position = indexMap(map).position.get(id);
  if (!position) throw new UnknownError(`there is no position "${id}" in this map`);
  return { position, mirrored, similarity: 1, lacking: [] };
}

function bareMoment(moment: Moment): Moment {
  const { holds, topHolds } = moment;
  return { ...moment, holds: holdsWorn(holds, 'no-gi'), topHolds: holdsWorn(topHolds, 'no-gi') };
}

function reactionOf(map: GuardMap, reference: ReactionRef): Reaction {
  const reaction = indexMap(map).reaction.get(reference.id);
  if (!reaction) throw new UnknownError(`there is no reaction "${reference.id}" in this map`);
  return sided('reaction', reaction, reference.mirrored);
}

function byWorth(a: ReadOption, b: ReadOption): number {
  return (
    Number(b.legal) - Number(a.legal) ||
    Number(a.rank === 'not-written') - Number(b.rank === 'not-written') ||
    Math.min(a.missing.length, 3) - Math.min(b.missing.length, 3) ||
    better(a.worth, b.worth) ||
    better(a.chance, b.chance) ||
    b.from.similarity - a.from.similarity ||
    a.holdChanges - b.holdChanges ||
    (a.move.id < b.move.id ? -1 : 1)
  );
}

/** The greater first, unknown last. */
function better(a: number | undefined, b: number | undefined): number {
  if (a === undefined || b === undefined) return Number(a === undefined) - Number(b === undefined);
  return b - a;
}

/** Why an option stands where it stands, in the order in which that was decided. */
export function orderWords(option: ReadOption): string {
  const { legal, missing, worth, chance, holdChanges } = option;
  return [
    legal ? undefined : 'against these rules, so below the allowed ones',
    missing.length === 0 ? 'nothing is missing' : `${missing.length} missing`,
    worth === undefined ? undefined : `worth ${pointsText(worth)} points`,
    chance === undefined
      ? 'you have written no figure for it'
      : `works ${timesInTen(chance)} when it comes to it`,
    `${holdChanges} hold ${holdChanges === 1 ? 'change' : 'changes'}`,
  ]
    .filter(Boolean)
    .join(', ');
}
