import { nearestOn } from '../bodies/landmarks.ts';
import { ARM, LEG, type LeftRight } from '../bodies/skeleton.ts';
import { addScaled, dot, length, radians, sub, unit, type Vec3 } from '../bodies/vec3.ts';
import type { HoldPart } from './holdPart.ts';
import type { Energy } from './levenbergMarquardt.ts';
import { turning } from './normalEquations.ts';
import { SIGMA } from './residuals.ts';

/** Bent at least so far round something, degrees; a leg that locks on the own ankle more. */
const BENT = { arm: 80, leg: 70, ownAnkle: 108 } as const;

interface Bend {
  /** Frames above and below the elbow or knee, and the joint angle. */
  above: number;
  below: number;
  angle: number;
  /** From the bones to the axis of what lies in the crook, metres. */
  reach: number;
}

function bendOf({ body, place }: HoldPart, limb: 'arm' | 'leg', side: LeftRight): Bend {
  const h = body.lengths.stature;
  if (limb === 'arm') {
    const { upper, fore, angle } = ARM[side];
    return { above: upper, below: fore, angle: angle + 5, reach: (place.mark.radius + 0.022 * h) * 1.05 };
  }
  const { thigh, shank, angle } = LEG[side];
  return { above: thigh, below: shank, angle: angle + 3, reach: place.mark.radius + 0.03 * h };
}

/** The point inside a bend where what is held lies: from the elbow or knee along both bones. */
function crookPoint({ body }: HoldPart, { above, below, reach }: Bend) {
  const joint = body.origin(below);
  const up = body.direction(above, [0, 0, 1]);
  const down = body.direction(below, [0, 0, -1]);
  const onUpper = addScaled(joint, up, reach);
  return {
    joint,
    up,
    down,
    onUpper,
    onLower: addScaled(joint, down, reach),
    point: addScaled(onUpper, down, reach),
  };
}

/**
 * What is held lies in the crook, square to both bones, and the limb is bent round it.
 * @param loose so many times the σ, and no bend asked for: the limb does something else, too
 */
export function crookOf(part: HoldPart, limb: 'arm' | 'leg', side: LeftRight, loose = 1): Energy {
  const bend = bendOf(part, limb, side);
  const { by, body, held, place } = part;
  const { mark, who } = place;
  const least = radians(limb === 'arm' ? BENT.arm : who === by ? BENT.ownAnkle : BENT.leg);
  const square = limb === 'arm' ? 0.45 : who === by ? 0.5 : 0.6;
  return (eq) => {
    const { joint, up, down, onUpper, onLower, point } = crookPoint(part, bend);
    const c = nearestOn(held, mark, point);
    eq.addVector(sub(point, c), SIGMA.place * loose, [
      [by, bend.above, onUpper, 1],
      [by, bend.below, onLower, 1],
      [by, bend.below, joint, -1],
      [who, mark.frame, c, -1],
    ]);
    const short = body.angles[bend.angle]! - least;
    if (short < 0 && loose === 1) eq.addAngle(by, bend.angle, short, 0.12);
    if (mark.kind === 'spot' || mark.kind === 'ball') return;
    const axis = unit(sub(held.point(mark.frame, mark.b), held.point(mark.frame, mark.a)));
    const bones: [number, Vec3][] = [
      [bend.above, up],
      [bend.below, down],
    ];
    for (const [frame, d] of bones)
      eq.add(dot(axis, d), square, [turning(by, frame, d, axis), turning(who, mark.frame, axis, d)]);
  };
}

/** How far what is held is from lying in the crook, metres. */
export const crookError =
  (part: HoldPart, limb: 'arm' | 'leg', side: LeftRight): (() => number) =>
  () => {
    const { point } = crookPoint(part, bendOf(part, limb, side));
    return length(sub(point, nearestOn(part.held, part.place.mark, point)));
  };
