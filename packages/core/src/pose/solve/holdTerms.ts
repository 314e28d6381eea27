import type { Contact } from '../../model/contacts.ts';
import type { Hold } from '../../model/hold.ts';
import { landmark } from '../bodies/landmarks.ts';
import { BOTTOM, type Pair, TOP, type Who } from '../bodies/pair.ts';
import { ARM, FRAME, LEG, type LeftRight, signOfSide } from '../bodies/skeleton.ts';
import { scale, type Vec3 } from '../bodies/vec3.ts';
import { armTerms, handTerms } from './armTerms.ts';
import { type HoldPart, type HoldTerms, type Posed, toPlace } from './holdPart.ts';
import { footTerms, legTerms } from './legTerms.ts';
import { lever } from './normalEquations.ts';
import { beyond, SIGMA, type Tip } from './residuals.ts';

/** Whose body a hold is on: `own` is bottom's, whoever holds. */
const whoIsHeld = ({ target }: Hold): Who | undefined =>
  target.of === 'mat' ? undefined : target.of === 'own' ? BOTTOM : TOP;

/** What a hold asks for: for every contact of it where it touches, how it faces, which way it goes round. */
export function holdTerms(bodies: Pair, position: Posed, hold: Hold, by: Who): HoldTerms {
  const on = whoIsHeld(hold);
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
  const limb = LIMBS[kind];
  if (limb) {
    part.limbs.add(`${limb.name}${side}`);
    limb.terms(part, side);
    return;
  }
  if (kind === 'head') part.limbs.add('neck');
  const { frame, at, radius } = TRUNK[kind] ?? TRUNK.chest!;
  pressed(part, { who: part.by, frame, at: scaled(part, at) }, radius);
}

const LIMBS: Record<string, { name: 'arm' | 'leg'; terms: (part: HoldPart, side: LeftRight) => void }> = {
  hand: { name: 'arm', terms: handTerms },
  arm: { name: 'arm', terms: armTerms },
  foot: { name: 'leg', terms: footTerms },
  leg: { name: 'leg', terms: legTerms },
};
/** What else of a body can lie against something: where on it, as shares of stature. */
const TRUNK: Record<string, { frame: number; at: Vec3; radius: number }> = {
  head: { frame: FRAME.head, at: [0, 0.012, 0.055], radius: 0.056 },
  hips: { frame: FRAME.pelvis, at: [0, 0.06, 0.04], radius: 0 },
  back: { frame: FRAME.chest, at: [0, -0.06, 0.04], radius: 0 },
  chest: { frame: FRAME.chest, at: [0, 0.06, 0.04], radius: 0 },
};

const scaled = ({ body }: HoldPart, at: Vec3): Vec3 => scale(at, body.lengths.stature);

/** A part of the body lies against the place. */
function pressed(part: HoldPart, tip: Tip, radius: number): void {
  toPlace(part, tip, radius * part.body.lengths.stature, SIGMA.place * 2);
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
          : [LEG[side].foot, [0, 0.03 * h, -0.037 * h], 0.003];
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
