import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';
import type { PoseHints } from '../model/poseHints.ts';
import type { Position } from '../model/position.ts';
import { armTerms, handTerms } from './armTerms.ts';
import type { Body } from './body.ts';
import { type Landmark, landmark, nearestOn } from './landmarks.ts';
import { footTerms, legTerms } from './legTerms.ts';
import type { Energy } from './levenbergMarquardt.ts';
import { BOTTOM, lever, type Pair, TOP, type Who } from './normalEquations.ts';
import { beyond, meet, type Place, SIGMA, type Tip, touch } from './residuals.ts';
import { ARM, FRAME, type LeftRight, signOfSide } from './skeleton.ts';
import { addScaled, length, scale, sub, type Vec3 } from './vec3.ts';

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

/** A hold on the own body, or on the other one's. */
const whoIsHeld = (by: Who, { target }: Hold): Who | undefined =>
  target.of === 'mat' ? undefined : target.of === 'own' ? BOTTOM : TOP;

/** What a hold asks for: for every contact of it where it touches, how it faces, which way it goes round. */
export function holdTerms(bodies: Pair, position: Posed, hold: Hold, by: Who): HoldTerms {
  const on = whoIsHeld(by, hold);
  const plain: HoldTerms = {
    hold,
    by,
    on,
    terms: [],
    errors: [],
    mark: undefined,
    limbs: new Set(),
    windings: [],
    outside: 0,
  };
  const mark = on === undefined ? undefined : landmark(bodies[on], hold.target, hold.action === 'hook');
  if (on === undefined || !mark) return onMat(plain, bodies);
  const part: HoldPart = {
    ...plain,
    bodies,
    position,
    body: bodies[by],
    held: bodies[on],
    place: { who: on, mark },
    paired: hold.contacts.length > 1,
  };
  for (const contact of hold.contacts) contactTerms(part, contact);
  return part;
}

function contactTerms(part: HoldPart, contact: Contact): void {
  const kind = contact.replace(/[LR]$/, '');
  const side = contact.slice(-1) as LeftRight;
  switch (kind) {
    case 'hand':
      part.limbs.add(`arm${side}`);
      return handTerms(part, side);
    case 'arm':
      part.limbs.add(`arm${side}`);
      return armTerms(part, side);
    case 'foot':
      part.limbs.add(`leg${side}`);
      return footTerms(part, side);
    case 'leg':
      part.limbs.add(`leg${side}`);
      return legTerms(part, side);
    case 'head':
      part.limbs.add('neck');
      return pressed(part, { who: part.by, frame: FRAME.head, at: scaled(part, [0, 0.012, 0.055]) }, 0.056, 2);
    case 'hips':
      return pressed(part, { who: part.by, frame: FRAME.pelvis, at: scaled(part, [0, 0.06, 0.04]) }, 0, 2);
    case 'back':
      return pressed(part, { who: part.by, frame: FRAME.chest, at: scaled(part, [0, -0.06, 0.04]) }, 0, 2);
    default:
      return pressed(part, { who: part.by, frame: FRAME.chest, at: scaled(part, [0, 0.06, 0.04]) }, 0, 2);
  }
}

const scaled = ({ body }: HoldPart, at: Vec3): Vec3 => scale(at, body.lengths.stature);

/** A part of the body lies against the place. */
function pressed(part: HoldPart, tip: Tip, radius: number, loose: number): void {
  const gap = radius * part.body.lengths.stature;
  toPlace(part, tip, gap, SIGMA.place * loose);
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
export const spotAt = ({ kind, a, normal }: Landmark, gap: number): Vec3 | undefined =>
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

/** Hands, elbows, feet and what else is on the mat. */
function onMat(part: HoldTerms, bodies: Pair): HoldTerms {
  const body = bodies[part.by];
  const h = body.lengths.stature;
  for (const contact of part.hold.contacts) {
    const side = contact.slice(-1) as LeftRight;
    const kind = contact.replace(/[LR]$/, '');
    if (kind !== 'hand' && kind !== 'arm' && kind !== 'foot') continue;
    const [frame, at, height]: [number, Vec3, number] =
      kind === 'hand'
        ? [ARM[side].hand, [0, 0, -0.045 * h], 0.016 * h]
        : kind === 'arm'
          ? [ARM[side].fore, [0, 0, 0], 0.025 * h]
          : [FOOT_FRAME[side], [0, 0.03 * h, -0.037 * h], 0.003];
    part.limbs.add(kind === 'foot' ? `leg${side}` : `arm${side}`);
    const tip: Tip = { who: part.by, frame, at };
    part.terms.push((eq) => {
      const p = body.point(frame, at);
      eq.add(p[2] - height, SIGMA.place, [lever(part.by, frame, p, [0, 0, 1])]);
      if (kind === 'foot') return;
      const pelvis = { who: part.by, frame: FRAME.pelvis, at: [0, 0, 0] as Vec3 };
      beyond(eq, tip, pelvis, [signOfSide(side), -0.5, 0], 0.2 * h, 0.06);
    });
    part.errors.push(() => Math.abs(body.point(frame, at)[2] - height));
    part.mark ??= () => body.point(frame, at);
  }
  return part;
}

const FOOT_FRAME: Record<LeftRight, number> = { L: 15, R: 18 };
