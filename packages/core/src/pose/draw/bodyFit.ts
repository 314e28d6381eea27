import type { PoseRecord } from '../../model/poseRecord.ts';
import type { Position } from '../../model/position.ts';
import { AVERAGE_BUILD, type PoseBuild } from '../bodies/skeleton.ts';
import type { DrawOptions } from './drawBodies.ts';
import { drawPose, type PosePicture, poseStart, solvePose, viewOf } from './poseRecord.ts';

/** Bodies that a position is tried with, beside two average ones. */
const OTHER_BUILDS = {
  'long legs': [{ ...AVERAGE_BUILD, legs: 1.08 }, AVERAGE_BUILD],
  'compact legs': [{ ...AVERAGE_BUILD, legs: 0.88 }, AVERAGE_BUILD],
  'a tall partner': [AVERAGE_BUILD, { ...AVERAGE_BUILD, stature: 1.95 }],
} as const satisfies Record<string, readonly [PoseBuild, PoseBuild]>;
type OtherBuild = keyof typeof OTHER_BUILDS;

/** How a position fits other bodies than average ones. */
export interface BodyFit {
  build: OtherBuild;
  /** What the pose asks of them, beside what it asks of average bodies, in σ². */
  energy: number;
  average: number;
  verdict: 'easier' | 'about the same' | 'harder';
  picture: PosePicture;
}

/** A difference is none below this share of what is asked anyway, nor below so much. */
const SHARE = 0.15;
const MIN_PULL_SIGMAS = 2.5;

/** How much harder or easier a position gets for other bodies: posed again from the average pose, so that only the bodies differ. */
export function bodyFit(
  position: Pick<Position, 'id' | 'holds' | 'topHolds' | 'signs' | 'pose'>,
  record: PoseRecord,
  options: DrawOptions = {},
): BodyFit[] {
  const start = poseStart(record);
  const average = solvePose(position, { start }).energy;
  // From one place all of them, so that only the bodies differ.
  const view = viewOf(position, record);
  return (Object.keys(OTHER_BUILDS) as OtherBuild[]).map((build): BodyFit => {
    const builds = OTHER_BUILDS[build];
    const fitted = solvePose(position, { start, builds });
    const more = fitted.energy - average;
    const counts = Math.abs(more) > Math.max(MIN_PULL_SIGMAS, SHARE * average);
    return {
      build,
      energy: fitted.energy,
      average,
      verdict: !counts ? 'about the same' : more > 0 ? 'harder' : 'easier',
      picture: drawPose(position, fitted, { ...options, builds, view }),
    };
  });
}
