import { DEPTHS, type Depth, type Hold, type HoldPattern, type Target } from '../model/hold.ts';
import { isCloth } from '../model/holdPattern.ts';
import type { Position } from '../model/position.ts';
import type { Apparel } from '../model/primitives.ts';

export interface HoldTranslation {
  /** What the hold becomes; undefined when it is lost. */
  hold: Hold | undefined;
  /** Why it is lost, in words for a coach. */
  why?: string;
}

export interface ApparelTranslation {
  position: Position;
  /** Holds of bottom and of top that have no counterpart in this apparel. */
  lost: { by: 'own' | 'top'; hold: Hold; why: string }[];
  /** Holds that now take another target. */
  changed: { by: 'own' | 'top'; from: Hold; to: Hold }[];
  /** False when the position cannot be played in this apparel. */
  available: boolean;
  why?: string;
}

/** Where a cloth grip goes on a bare body; undefined where there is nothing to take. */
function bareTarget(target: Target): Target | undefined {
  const { of, side } = target;
  switch (target.part) {
    case 'sleeve':
      return { of, side, part: target.at === 'elbow' ? 'elbow' : 'wrist' };
    case 'collar':
      return { of, side: 'C', part: 'neck' };
    case 'belt':
      return { of, side: 'C', part: 'waist' };
    case 'jacket-back':
      return { of, side, part: 'back' };
    case 'skirt':
      return side === 'C' ? { of, side, part: 'waist' } : { of, side, part: 'hip' };
    case 'trousers':
      if (target.at === 'waist') return { of, side: 'C', part: 'waist' };
      return { of, side, part: target.at === 'hip' ? 'hip' : target.at === 'knee' ? 'knee-crook' : 'ankle' };
    default:
      return undefined;
  }
}

/** One hold without a jacket: another target and one depth looser, or lost. Bare holds stay as they are. */
export function translateHold(hold: Hold): HoldTranslation {
  if (!isCloth(hold.target)) return { hold };
  const depth = looser(hold.depth ?? 'set');
  if (!depth) return { hold: undefined, why: 'a shallow cloth grip does not hold on a bare body' };
  const target = hold.fallbacks?.find((fallback) => !isCloth(fallback)) ?? bareTarget(hold.target);
  if (!target) return { hold: undefined, why: `there is no ${hold.target.part} to hold` };
  return { hold: { ...hold, target, depth } };
}

/** The holds that are left in an apparel. */
export const holdsWorn = (holds: readonly Hold[], apparel: Apparel): Hold[] =>
  apparel === 'gi' ? [...holds] : holds.flatMap((hold) => translateHold(hold).hold ?? []);

/** A pattern that asks for cloth, asking for what cloth grips become on a bare body. */
export function barePattern(pattern: HoldPattern): HoldPattern | undefined {
  if (!pattern.part || !isCloth({ part: pattern.part })) return pattern;
  const { at, ...rest } = pattern;
  const target = bareTarget({
    of: 'top',
    part: pattern.part,
    side: pattern.side ?? 'C',
    ...(at && { at }),
  });
  return target && { ...rest, part: target.part, ...(pattern.side && { side: target.side }) };
}

function looser(depth: Depth): Depth | undefined {
  return DEPTHS[DEPTHS.indexOf(depth) - 1];
}

/**
 * The position as it is played in the given apparel. Without the jacket every cloth hold goes to its first
 * fallback that is not cloth, else to the body part under the cloth, one depth looser; a shallow one is lost. A
 * position written for the other apparel, or one that loses a hold marked `keep`, is unavailable and says why.
 */
export function translateApparel(position: Position, apparel: Apparel): ApparelTranslation {
  if (position.apparel !== 'both' && position.apparel !== apparel) {
    return {
      position,
      lost: [],
      changed: [],
      available: false,
      why: `"${position.name}" is played ${position.apparel} only`,
    };
  }
  if (apparel === 'gi') return { position, lost: [], changed: [], available: true };

  const lost: ApparelTranslation['lost'] = [];
  const changed: ApparelTranslation['changed'] = [];
  const translateAll = (by: 'own' | 'top', holds: readonly Hold[]) =>
    holds.flatMap((from) => {
      const { hold: to, why } = translateHold(from);
      if (!to) {
        lost.push({ by, hold: from, why: why ?? 'it has no counterpart' });
        return [];
      }
      if (to !== from) changed.push({ by, from, to });
      return [to];
    });
  const translated = {
    ...position,
    holds: translateAll('own', position.holds),
    topHolds: translateAll('top', position.topHolds),
  };
  const needed = lost.find(({ by, hold }) => by === 'own' && hold.keep);
  return {
    position: translated,
    lost,
    changed,
    available: !needed,
    ...(needed && {
      why: `"${position.name}" rests on the ${needed.hold.target.part} grip, and ${needed.why}`,
    }),
  };
}
