import { signOf } from '../../model/signs.ts';
import { nearestOn } from '../bodies/landmarks.ts';
import { BOTTOM } from '../bodies/pair.ts';
import { FRAME, LEG, type LeftRight, otherSide, SIDES, signOfSide } from '../bodies/skeleton.ts';
import { length, mix, sub, type Vec3 } from '../bodies/vec3.ts';
import { crookError, crookOf } from './crook.ts';
import { distanceTo, type HoldPart, markAt, pointOf, toPlace } from './holdPart.ts';
import { addBehind, addInside, addOutside, routeOf, windingMissing } from './hookRoutes.ts';
import { align, beyond, face, meet, SIGMA, straddle, type Tip, touch } from './residuals.ts';

const INSTEP_RADIUS = 0.018;
const SHANK_RADIUS = 0.03;
const KNEE_RADIUS = 0.036;
const THERE = 0.03;

/** A foot: its instep hooked behind something, or its sole on it. */
export function footTerms(part: HoldPart, side: LeftRight): void {
  const { by, body, place, hold } = part;
  const h = body.lengths.stature;
  const { foot } = LEG[side];
  const { mark, who } = place;
  if (hold.action !== 'hook' && hold.action !== 'wedge' && hold.action !== 'lace') {
    const sole: Tip = { who: by, frame: foot, at: [0, 0.045 * h, -0.036 * h] };
    toPlace(part, sole, 0, SIGMA.place);
    part.terms.push((eq) => {
      if (mark.kind === 'spot')
        align(
          eq,
          { ...sole, at: [0, 0, -1] },
          { who, frame: mark.frame, at: mark.normal! },
          -0.75,
          SIGMA.turn,
        );
      else {
        face(eq, sole, [0, 0, -1], place, SIGMA.turn, 0.85);
        if (mark.normal && mark.kind === 'limb')
          beyond(
            eq,
            sole,
            { who, frame: mark.frame, at: mark.b },
            mark.normal,
            0.2 * mark.radius,
            SIGMA.route,
          );
      }
    });
    return;
  }
  const instep: Tip = { who: by, frame: foot, at: [0, 0.022 * h, -0.016 * h] };
  const gap = INSTEP_RADIUS * h;
  toPlace(part, instep, gap, SIGMA.place);
  if (mark.kind !== 'spot')
    part.terms.push((eq) => face(eq, instep, [0, 0.45, 0.89], place, SIGMA.turn, 0.85));
  const route = routeOf(part, side);
  if (route === 'outside') {
    part.outside = signOfSide(side);
    part.windings.push(() => windingMissing(part.bodies, side));
    part.terms.push((eq) => addOutside(eq, part, side));
  } else if (route === 'inside') part.terms.push((eq) => addInside(eq, part, side, instep));
  else if (route === 'behind') part.terms.push((eq) => addBehind(eq, part, instep));
}

/** A leg: its shin against the place, a knee on either side of it, or its crook round it. */
export function legTerms(part: HoldPart, side: LeftRight): void {
  const { by, body, place, hold, paired } = part;
  const l = body.lengths;
  const h = l.stature;
  const { thigh, shank } = LEG[side];
  const { mark, who } = place;
  const shin = (share: number): Tip => ({ who: by, frame: shank, at: [0, 0, -l.shank * share] });
  const pinches = paired && (hold.action === 'pinch' || (hold.action === 'clamp' && mark.kind === 'limb'));
  if (pinches) {
    if (side === 'L') pinchTerms(part);
    return;
  }
  if (hold.action === 'shield' || hold.action === 'frame') {
    const tip = shin(0.38);
    toPlace(part, tip, SHANK_RADIUS * h, SIGMA.place * (footIsBusy(part, side) ? BUSY : 1.5));
    const normal = mark.normal ?? ([0, 1, 0] as Vec3);
    part.terms.push((eq) => {
      align(eq, { ...tip, at: [0, 1, 0] }, { who, frame: mark.frame, at: normal }, -0.7, SIGMA.turn);
      align(eq, { ...tip, at: [0, 0, 1] }, { who, frame: mark.frame, at: [0, 0, 1] }, 0, 0.5);
    });
    return;
  }
  if (hold.action === 'press' || hold.action === 'wedge') {
    const tip = shin(0.4);
    part.terms.push((eq) => touch(eq, tip, place, SHANK_RADIUS * h, SIGMA.place * 1.5));
    part.errors.push(() => Math.max(0, distanceTo(part, tip) - SHANK_RADIUS * h - mark.radius));
    markAt(part, tip);
    return;
  }
  const trunk = mark.kind === 'trunk' || hold.target.part === 'back' || hold.target.part === 'chest';
  if (trunk) {
    roundTrunk(part, side);
    return;
  }
  part.terms.push(crookOf(part, 'leg', side, footIsBusy(part, side) ? 3 : 1));
  if (hold.target.part === 'neck') part.terms.push((eq) => addRoundNeck(eq, part, side));
  if (hold.target.part === 'shoulder')
    part.terms.push((eq) => {
      const shoulders: Tip = { who, frame: FRAME.chest, at: [0, 0, 0.09 * h] };
      beyond(eq, shin(0.55), shoulders, [0, -1, 0], 0.04 * h, SIGMA.route);
      const outer: Tip = { who: by, frame: thigh, at: [0, 0, -l.thigh * 0.6] };
      const upper: Tip = { who, frame: mark.frame, at: [0, 0, 0] };
      beyond(eq, outer, upper, [signOfSide(mark.side), 0, 0], 0, SIGMA.route);
    });
  part.errors.push(crookError(part, 'leg', side));
  markAt(part, { who: by, frame: shank, at: [0, 0, 0] });
}

/** A leg whose foot holds something else does not do this one to the centimetre: σ is so many times that of a place. */
const BUSY = 6;
const NEAR_ENOUGH = 0.12;

/** Whether the foot of a leg has a hold of its own: one pose of that leg serves both. */
function footIsBusy({ position, by, hold }: HoldPart, side: LeftRight): boolean {
  const own = by === BOTTOM ? position.holds : position.topHolds;
  return own.some((other) => other.id !== hold.id && other.contacts.includes(`foot${side}`));
}

/** A knee on either side of what is pinched; where a foot is busy with something else, only about there. */
function pinchTerms(part: HoldPart): void {
  const { by, body, place } = part;
  const knee = (side: LeftRight): Tip => ({
    who: by,
    frame: LEG[side].thigh,
    at: [0, 0, -body.lengths.thigh * 0.92],
  });
  const apart = 2 * (place.mark.radius + KNEE_RADIUS * body.lengths.stature);
  const middle = () => mix(pointOf(part.bodies, knee('L')), pointOf(part.bodies, knee('R')), 0.5);
  const off = () => length(sub(middle(), nearestOn(part.held, place.mark, middle())));
  markAt(part, knee('L'));
  if (footIsBusy(part, 'L') || footIsBusy(part, 'R')) {
    part.terms.push((eq) => {
      for (const side of SIDES)
        touch(eq, knee(side), place, KNEE_RADIUS * body.lengths.stature, SIGMA.place * BUSY, 3);
    });
    part.errors.push(() => Math.max(0, off() - NEAR_ENOUGH));
    return;
  }
  part.terms.push((eq) => straddle(eq, knee('L'), knee('R'), place, apart, SIGMA.place * 2));
  part.errors.push(off);
}

/** A leg round the trunk: the thigh at the flank, the ankle behind the back. */
function roundTrunk(part: HoldPart, side: LeftRight): void {
  const { by, body, place, position } = part;
  const { mark, who } = place;
  const l = body.lengths;
  const h = l.stature;
  const { thigh, shank } = LEG[side];
  // Face to face the own right is at the other's left flank; from behind it is at the right one.
  const behind = signOf(position.signs, 'top.facing') === 'away';
  const flank = behind ? signOfSide(side) : -signOfSide(side);
  const radius = 0.035 * h;
  const middle: Tip = { who: by, frame: thigh, at: [0, 0, -l.thigh * 0.72] };
  const ankle: Tip = { who: by, frame: shank, at: [0, 0, -l.shank * 0.9] };
  const high = mark.kind !== 'trunk';
  const beside: Tip = high
    ? { who, frame: mark.frame, at: [flank * (0.08 * h + radius), 0.02 * h, -0.06 * h] }
    : { who, frame: FRAME.pelvis, at: [flank * (0.075 * h + radius), 0.015 * h, 0.045 * h] };
  const back: Tip = { who, frame: FRAME.pelvis, at: [-flank * 0.01 * h, -0.095 * h, 0.03 * h] };
  part.terms.push((eq) => {
    meet(eq, middle, beside, SIGMA.place * 3);
    meet(eq, ankle, back, SIGMA.place * 4);
  });
  part.errors.push(() =>
    Math.max(0, length(sub(pointOf(part.bodies, middle), pointOf(part.bodies, beside))) - THERE),
  );
  part.mark ??= () => part.held.point(mark.frame, [flank * 0.095 * h, 0, 0]);
}

/** Round the neck: the shin behind it, the thigh beside it, a locking leg outside of the trapped shoulder. */
function addRoundNeck(eq: Parameters<typeof meet>[0], part: HoldPart, side: LeftRight): void {
  const { by, body, place, position } = part;
  const { who } = place;
  const l = body.lengths;
  const h = l.stature;
  const behind = signOf(position.signs, 'top.facing') === 'away';
  const g = behind ? signOfSide(side) : -signOfSide(side);
  const shoulders: Tip = { who, frame: FRAME.chest, at: [0, 0, 0.1 * h] };
  const on = (frame: number, long: number, share: number): Tip => ({
    who: by,
    frame,
    at: [0, 0, -long * share],
  });
  beyond(eq, on(LEG[side].thigh, l.thigh, 0.75), shoulders, [g, 0, 0], 0.06 * h, SIGMA.route);
  beyond(eq, on(LEG[side].shank, l.shank, 0.5), shoulders, [0, -1, 0], 0.02 * h, SIGMA.route);
  const other = otherSide(side);
  const locks = position.holds.some(
    ({ contacts, target }) => contacts.includes(`leg${other}`) && target.of === 'own',
  );
  if (!locks) return;
  const far: Tip = { who, frame: FRAME.chest, at: [-g * 0.12 * h, 0, 0.1 * h] };
  beyond(eq, on(LEG[other].thigh, l.thigh, 0.8), far, [-g, 0, 0], 0.05 * h, SIGMA.route);
  beyond(eq, on(LEG[other].shank, l.shank, 0.15), shoulders, [0, -1, 0], 0, SIGMA.route);
}
