import { nearestOn } from '../bodies/landmarks.ts';
import { ARM, FRAME, type LeftRight, signOfSide } from '../bodies/skeleton.ts';
import { dot, length, mix, sub, type Vec3 } from '../bodies/vec3.ts';
import { crookError, crookOf } from './crook.ts';
import { type HoldPart, markAt, pointOf, toPlace } from './holdPart.ts';
import { align, beyond, face, keepApart, meet, SIGMA, straddle, type Tip } from './residuals.ts';

const PALM: Vec3 = [0, 0, -0.042];
const HAND_RADIUS = 0.017;
const FOREARM_RADIUS = 0.022;
/** Round something the tip of a limb need not be exact: what is nearer than this is there, metres. */
const THERE = 0.03;

const off = (part: HoldPart, tip: Tip, other: Tip) => () =>
  Math.max(0, length(sub(pointOf(part.bodies, tip), pointOf(part.bodies, other))) - THERE);

/** A hand: its palm on the place, facing it. */
export function handTerms(part: HoldPart, side: LeftRight): void {
  const { by, body, place, hold } = part;
  const h = body.lengths.stature;
  const { hand } = ARM[side];
  const gap = HAND_RADIUS * h;
  const palm: Tip = { who: by, frame: hand, at: [PALM[0] * h, PALM[1] * h, PALM[2] * h] };
  const inward: Vec3 = [-signOfSide(side), 0, 0];
  const { mark, who } = place;
  if (hold.action === 'clamp' || hold.action === 'body-lock') {
    // Both hands round a shoulder or the trunk meet behind it.
    const g = hold.action === 'clamp' ? signOfSide(mark.side) * 0.1 : 0;
    const behind: Tip = {
      who,
      frame: FRAME.chest,
      at: [g * h, (g ? -0.03 : -0.085) * h, (g ? 0.1 : 0.01) * h],
    };
    part.terms.push((eq) => {
      const round = { ...mark, frame: behind.frame, a: behind.at, b: behind.at, radius: 0.03 * h };
      meetAround(eq, palm, { who, mark: round }, gap);
    });
    part.errors.push(off(part, palm, behind));
    part.mark ??= () => pointOf(part.bodies, behind);
    return;
  }
  toPlace(part, palm, gap, SIGMA.place);
  if (mark.kind === 'spot') {
    const outward: Tip = { who, frame: mark.frame, at: mark.normal! };
    part.terms.push((eq) => align(eq, { ...palm, at: inward }, outward, -0.6, SIGMA.turn));
    return;
  }
  part.terms.push((eq) => {
    face(eq, palm, inward, place, SIGMA.turn, 0.7);
    if (hold.action === 'frame')
      beyond(
        eq,
        palm,
        { who, frame: mark.facing ?? mark.frame, at: frontOf(part) },
        [0, 1, 0],
        0.02,
        SIGMA.route,
      );
  });
}

const meetAround = (
  eq: Parameters<typeof keepApart>[0],
  palm: Tip,
  place: HoldPart['place'],
  gap: number,
): void => {
  const c = { who: place.who, frame: place.mark.frame, at: place.mark.a };
  keepApart(eq, palm, c, gap + place.mark.radius, SIGMA.place * 2);
};

/** The middle of what is framed on, in the terms of the frame that says what in front of it means. */
const frontOf = ({ place: { mark } }: HoldPart): Vec3 =>
  mark.facing === undefined ? mark.a : [0, 0, mark.a[2]];

/** An arm: its forearm against the place, or its crook round it. */
export function armTerms(part: HoldPart, side: LeftRight): void {
  const { by, body, place, hold, paired } = part;
  const l = body.lengths;
  const h = l.stature;
  const { fore, hand, upper } = ARM[side];
  const { mark, who } = place;
  const round = hold.action === 'wrap' || hold.action === 'harness' || hold.action === 'body-lock';
  if (
    paired &&
    round &&
    mark.kind !== 'trunk' &&
    hold.contacts.includes('armL') &&
    hold.contacts.includes('armR')
  ) {
    if (side === 'L') hugTerms(part);
    return;
  }
  if (hold.action === 'frame' || hold.action === 'press' || hold.action === 'shield') {
    const tip: Tip = { who: by, frame: fore, at: [0, 0, -l.foreArm * 0.6] };
    toPlace(part, tip, FOREARM_RADIUS * h, SIGMA.place * (mark.kind === 'spot' ? 1.5 : 1));
    if (mark.kind !== 'spot')
      part.terms.push((eq) =>
        beyond(
          eq,
          tip,
          { who, frame: mark.facing ?? mark.frame, at: frontOf(part) },
          [0, 1, 0],
          0,
          SIGMA.route,
        ),
      );
    return;
  }
  if (hold.target.part === 'armpit' || (hold.action === 'underhook' && hold.target.part === 'shoulder')) {
    underhookTerms(part, side);
    return;
  }
  if (mark.kind === 'trunk' || hold.target.part === 'back' || hold.target.part === 'chest') {
    // Round the trunk: forearm across the back, hand on the far flank, the palm down.
    const near = () => {
      const apart = sub(body.origin(upper), part.held.origin(mark.frame));
      return dot(apart, part.held.direction(mark.frame, [1, 0, 0])) > 0 ? 1 : -1;
    };
    const forearm: Tip = { who: by, frame: fore, at: [0, 0, -l.foreArm * 0.75] };
    const palm: Tip = { who: by, frame: hand, at: [0, 0, -0.03 * h] };
    const back = (x: number, y: number): Tip => ({ who, frame: mark.frame, at: [x * h, y * h, 0.01 * h] });
    part.terms.push((eq) => {
      const q = near();
      meet(eq, forearm, back(q * 0.01, -0.085), SIGMA.place * 2.5);
      meet(eq, palm, back(-q * 0.06, -0.075), SIGMA.place * 3);
      align(eq, { ...palm, at: [-signOfSide(side), 0, 0] }, { ...back(0, 0), at: [0, -1, 0] }, -0.8, 0.5);
      align(eq, { ...forearm, at: [0, 0, -1] }, { ...back(0, 0), at: [0, -1, 0] }, 0, 0.4);
    });
    part.errors.push(off(part, forearm, back(0, -0.085)));
    part.mark ??= () => pointOf(part.bodies, back(0, -0.085));
    return;
  }
  // Wrap, overhook, underhook or hook of a limb: it lies in the crook of the elbow.
  const crook = crookOf(part, 'arm', side);
  part.terms.push(crook);
  if (hold.action === 'overhook') {
    const g = signOfSide(mark.side);
    part.terms.push((eq) => {
      const elbow: Tip = { who: by, frame: fore, at: [0, 0, 0] };
      beyond(eq, elbow, { who, frame: mark.frame, at: mark.b }, [g, 0, 0], 0.02 * h, SIGMA.route);
      const chest: Tip = { who, frame: FRAME.chest, at: [g * 0.06 * h, 0.085 * h, 0] };
      meet(eq, { who: by, frame: hand, at: [0, 0, -0.04 * h] }, chest, 0.06, 2);
    });
  }
  part.errors.push(crookError(part, 'arm', side));
  markAt(part, { who: by, frame: fore, at: [0, 0, 0] });
}

/** Both arms round one thing: a wrist on either side of it, the hands together. */
function hugTerms(part: HoldPart): void {
  const { by, body, place } = part;
  const h = body.lengths.stature;
  const wrist = (side: LeftRight): Tip => ({
    who: by,
    frame: ARM[side].fore,
    at: [0, 0, -body.lengths.foreArm * 0.8],
  });
  const palm = (side: LeftRight): Tip => ({ who: by, frame: ARM[side].hand, at: [0, 0, -0.05 * h] });
  const apart = 2 * (place.mark.radius + FOREARM_RADIUS * h);
  part.terms.push((eq) => {
    straddle(eq, wrist('L'), wrist('R'), place, apart, SIGMA.place * 1.5);
    keepApart(eq, palm('L'), palm('R'), 0.05 * h, 0.05);
  });
  const middle = () => mix(pointOf(part.bodies, wrist('L')), pointOf(part.bodies, wrist('R')), 0.5);
  part.errors.push(() => length(sub(middle(), nearestOn(part.held, place.mark, middle()))));
  markAt(part, wrist('L'));
}

/** Under the armpit: the forearm in it, the hand on the shoulder blade. */
function underhookTerms(part: HoldPart, side: LeftRight): void {
  const { by, body, place } = part;
  const h = body.lengths.stature;
  const { fore, hand } = ARM[side];
  const g = signOfSide(place.mark.side);
  const chest = (x: number, y: number, z: number): Tip => ({
    who: place.who,
    frame: FRAME.chest,
    at: [g * x * h, y * h, z * h],
  });
  const forearm: Tip = { who: by, frame: fore, at: [0, 0, -body.lengths.foreArm * 0.25] };
  const palm: Tip = { who: by, frame: hand, at: [0, 0, -0.04 * h] };
  const blade = chest(0.055, -0.085, 0.07);
  part.terms.push((eq) => {
    meet(eq, forearm, chest(0.125, 0, 0.045), SIGMA.place * 2.5);
    meet(eq, palm, blade, SIGMA.place * 2.5);
    align(eq, { ...palm, at: [-signOfSide(side), 0, 0] }, { ...blade, at: [0, -1, 0] }, -0.8, 0.6);
  });
  part.errors.push(off(part, palm, blade));
  part.mark ??= () => pointOf(part.bodies, chest(0.1, 0, 0.05));
}
