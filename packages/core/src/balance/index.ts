// What is used of this folder outside the core.

export { type Build, GRAVITY, MASS_RANGE, STATURE_RANGE } from './bodyTables.ts';
export { checkSweep, momentOfSweep, type SweepCheck, USUAL_BUILD } from './checkSweep.ts';
export { convexHull, type Point } from './convexHull.ts';
export { STANCE_NAMES, STANCES, type StanceName } from './stances.ts';
export { heading, tipping } from './tipping.ts';
export {
  type Post,
  type ProfileDirection,
  type TippingProfile,
  tippingProfile,
} from './tippingProfile.ts';
export { topSetup } from './topSetup.ts';
export { arcWords, wayWords } from './wayWords.ts';
export { weakestArc } from './weakestArc.ts';
