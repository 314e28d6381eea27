// What is used of this folder outside the core.

export { type Beginning, beginFrom, seenLately } from './beginFrom.ts';
export { type Belief, betaPosterior } from './betaPosterior.ts';
export { type ChanceEstimate, estimateChance, PRIOR_TRIALS } from './estimateChance.ts';
export { type Evidence, evidenceOf, guessOf, mapOn, takeBlend } from './evidence.ts';
export { fadingOf, type Kept } from './fading.ts';
export { everyFault, faultsOf } from './faultsOf.ts';
export { type FaultTrend, faultTrends, weeksBetween } from './faultTrend.ts';
export { type NextClass, nextClass } from './nextClass.ts';
export { practiceOf, weekOf } from './practice.ts';
export { reactionsSeen } from './reactionsSeen.ts';
export { type RecallCard, recallCards } from './recall.ts';
export { taughtFrom } from './taughtFrom.ts';
export { printTrials, type ReadTrials, readTrials } from './trialsCsv.ts';
export { type UsualPeople, usualPeople } from './usualPeople.ts';
export { wilsonInterval } from './wilsonInterval.ts';
