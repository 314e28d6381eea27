import type { Posed } from '../solve/holdPart.ts';
import { startYaws } from '../solve/poseProblem.ts';
import type { View } from './view.ts';

/** Low enough to see a tilt, high enough to see the mat, degrees. */
const ELEVATION = 8;

/**
 * Where a pair is looked at from so that a push on top goes to the right of the picture.
 * @param degrees of the push, clockwise from where top's pelvis faces, as in Balance
 */
export function viewAcross(position: Posed, degrees: number): View {
  // Seen from above the push is top's front turned back by its degrees; who looks stands a quarter turn right of it.
  const azimuth = 180 + startYaws(position).top - degrees + 90;
  return { azimuth: ((Math.round(azimuth) % 360) + 360) % 360, elevation: ELEVATION };
}
