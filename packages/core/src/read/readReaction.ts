import { afterReaction } from '../body/afterReaction.ts';
import type { Moment } from '../body/followSteps.ts';
import { mirror, sided } from '../body/mirror.ts';
import { type ApparelTranslation, translateApparel, translateHold } from '../body/translateApparel.ts';
import { wordContext } from '../body/words.ts';
import type { Hold } from '../model/hold.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Apparel } from '../model/primitives.ts';
import type { ReactionRef } from '../model/reaction.ts';
import type { Signs } from '../model/signs.ts';
import type { RulesProfile } from '../rules/profile.ts';
import { type Builds, type Option, readMove } from './readMove.ts';

export interface ReadRequest {
  /** The position bottom is in, on the side it is written or mirrored. */
  position: string;
  mirrored?: boolean;
  /** What top did, as seen now (so on the side the position is on now), or nothing yet. */
  reaction?: ReactionRef | 'none';
  /** Signs seen now that differ from the position's. */
  signs?: Signs;
  apparel?: Apparel;
  rules?: RulesProfile;
  athlete?: Builds;
}

export interface Reading {
  /** What is held and seen once the reaction is done, on the side asked for. */
  moment: Moment;
  /** Bottom's holds that the reaction broke. */
  broken: Hold[];
  /** What the apparel made of the position's holds. */
  apparel: ApparelTranslation;
  options: Option[];
}

/** A position that the map does not have was asked for. */
export class UnknownError extends Error {}

/**
 * What bottom can do now: every move of the position, ready ones first, then by how many things are missing;
 * inside a rank by chance (the better first, unknown last), then by fewer hold changes, then by id.
 * @throws UnknownError when the position or the reaction is not in the map.
 */
export function readReaction(map: GuardMap, request: ReadRequest): Reading {
  const index = indexMap(map);
  const written = index.position.get(request.position);
  if (!written) throw new UnknownError(`there is no position "${request.position}" in this map`);
  const apparel = request.apparel ?? 'gi';
  const position = sided('position', written, request.mirrored);
  const translation = translateApparel(position, apparel);
  const start: Moment = {
    holds: position.holds,
    topHolds: position.topHolds,
    signs: { ...position.signs, ...request.signs },
  };
  const reaction = request.reaction ?? 'none';
  // Reactions are written for the jacket too, so they are applied before the holds are translated.
  const { moment: reacted, broken } =
    reaction === 'none' ? { moment: start, broken: [] } : react(map, start, reaction);
  const moment = apparel === 'gi' ? reacted : bareMoment(reacted);

  const options = index.movesOf(written.id).map((move) => {
    const exchanges = index
      .exchangesOf(move.id)
      .map((exchange) => (request.mirrored ? mirror('exchange', exchange) : exchange));
    return readMove({
      move: sided('move', move, request.mirrored),
      exchanges,
      reaction,
      moment,
      apparel,
      available: translation.available,
      ...(translation.why !== undefined && { unavailableWhy: translation.why }),
      rules: request.rules,
      athlete: request.athlete,
      context: wordContext(position),
    });
  });
  return { moment, broken, apparel: translation, options: options.sort(byWorth) };
}

function bareMoment(moment: Moment): Moment {
  const bare = (holds: readonly Hold[]) => holds.flatMap((hold) => translateHold(hold).hold ?? []);
  return { ...moment, holds: bare(moment.holds), topHolds: bare(moment.topHolds) };
}

function react(map: GuardMap, start: Moment, reference: ReactionRef) {
  const reaction = indexMap(map).reaction.get(reference.id);
  if (!reaction) throw new UnknownError(`there is no reaction "${reference.id}" in this map`);
  return afterReaction(start, sided('reaction', reaction, reference.mirrored));
}

function byWorth(a: Option, b: Option): number {
  return (
    Number(b.legal) - Number(a.legal) ||
    Math.min(a.missing.length, 3) - Math.min(b.missing.length, 3) ||
    (b.chance ?? -1) - (a.chance ?? -1) ||
    a.holdChanges - b.holdChanges ||
    (a.move.id < b.move.id ? -1 : 1)
  );
}
