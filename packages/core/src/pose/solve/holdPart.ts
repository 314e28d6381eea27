import type { Hold } from '../../model/hold.ts';
import type { PoseHints } from '../../model/poseHints.ts';
import type { Position } from '../../model/position.ts';
import type { Body } from '../bodies/body.ts';
import { type Landmark, nearestOn } from '../bodies/landmarks.ts';
import type { Pair, Who } from '../bodies/pair.ts';
import type { LeftRight } from '../bodies/skeleton.ts';
import { addScaled, length, sub, type Vec3 } from '../bodies/vec3.ts';
import type { Energy } from './levenbergMarquardt.ts';
import { meet, type Place, type Tip, touch } from './residuals.ts';

/** What a pose is asked of: the holds of both, the signs, and the few hints there may be. */
export type Posed = Pick<Position, 'id' | 'holds' | 'topHolds' | 'signs'> & { pose?: PoseHints | undefined };

export type Limb = `${'arm' | 'leg'}${LeftRight}` | 'neck';

/** What a hold asks of the pose, and how to tell how well it is met. */
export interface HoldTerms {
  hold: Hold;
  /** Who holds, and whose body it is on; the same for a hold on oneself, none for the mat. */
  by: Who;
  on: Who | undefined;
  terms: Energy[];
  /** How far off each part of it is, metres. */
  errors: (() => number)[];
  /** Where it is held. */
  mark: (() => Vec3) | undefined;
  /** The limbs that do it. */
  limbs: Set<Limb>;
  /** How far a leg is from having gone round the other's leg the right way, degrees. */
  windings: (() => number)[];
  /** +1 or −1 where a leg goes round the outside of top's, by the side of that leg. */
  outside: number;
}

/** What the parts of a hold are written into. */
export interface HoldPart extends HoldTerms {
  bodies: Pair;
  position: Posed;
  /** Who holds. */
  body: Body;
  /** The body that is held, and the place on it. */
  held: Body;
  place: Place;
  /** Two contacts share it. */
  paired: boolean;
}

/** A tip on the surface of the place: of a spot exactly there, of a limb anywhere along it. */
export function toPlace(part: HoldPart, tip: Tip, gap: number, sigma: number): void {
  const { place, held } = part;
  const { mark } = place;
  const surface = spotAt(mark, gap);
  if (surface) {
    const spot = { who: place.who, frame: mark.frame, at: surface };
    part.terms.push((eq) => meet(eq, tip, spot, sigma));
    part.errors.push(() => length(sub(pointOf(part.bodies, tip), held.point(mark.frame, surface))));
  } else {
    part.terms.push((eq) => touch(eq, tip, place, gap, sigma));
    part.errors.push(() => Math.max(0, distanceTo(part, tip) - gap - mark.radius));
  }
  markAt(part, tip);
}

/** The point over a spot's surface where something of a radius lies; undefined where there is no single one. */
const spotAt = ({ kind, a, normal }: Landmark, gap: number): Vec3 | undefined =>
  kind === 'spot' && normal ? addScaled(a, normal, gap) : undefined;

export const pointOf = (bodies: Pair, { who, frame, at }: Tip): Vec3 => bodies[who].point(frame, at);

/** From a tip to the axis of the place, metres. */
export function distanceTo({ bodies, held, place }: HoldPart, tip: Tip): number {
  const p = pointOf(bodies, tip);
  return length(sub(p, nearestOn(held, place.mark, p)));
}

/** Says where the hold is held, if nothing has said so yet. */
export function markAt(part: HoldPart, tip: Tip): void {
  part.mark ??= () => nearestOn(part.held, part.place.mark, pointOf(part.bodies, tip));
}
