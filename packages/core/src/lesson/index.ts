// What is used of this folder outside the core.

export { type BarredBlock, barredBlocks, barredWords } from './blocks/barredBlocks.ts';
export { blockTime, classSeconds, timetable, trioSeconds } from './blocks/blockTime.ts';
export { cheapestCut } from './blocks/cheapestCut.ts';
export { canSplit, duplicateBlock, resizeBlock, splitBlock, turnBlock } from './blocks/editBlock.ts';
export { takeRung, withReps } from './blocks/ladder.ts';
export { lanesOn } from './blocks/lanes.ts';
export { turnOfLink } from './blocks/linkOf.ts';
export { matRun, type Segment, segmentAt, segmentStart } from './blocks/matRun.ts';
export { renewLinks, staleLinks } from './blocks/renewLinks.ts';
export { type RoomNeeded, roomNeeded } from './blocks/roomNeeded.ts';
export { bestConnectedSet } from './choose/bestConnectedSet.ts';
export { chooseRepertoire } from './choose/chooseRepertoire.ts';
export { chooseWithin } from './choose/chooseWithin.ts';
export { helpfulRoot } from './choose/helpfulRoot.ts';
export type { LessonRequest } from './choose/lessonRequest.ts';
export { lessonRules, lessonRulesWords } from './choose/lessonRules.ts';
export { repertoireOf, repertoireValue } from './choose/repertoire.ts';
export { standsOn } from './choose/standsOn.ts';
export { coverArcs, coverBound } from './cover/coverArcs.ts';
export { coverChains } from './cover/coverChains.ts';
export { type PlannedClass, planClass } from './cover/planClass.ts';
export { allotReps, gainOf } from './practise/allotReps.ts';
export { fillReps, type RepSum } from './practise/fillReps.ts';
export { forkCalls } from './practise/forkCalls.ts';
export { FADING, movesOfLesson, type TaughtOn } from './practise/learnt.ts';
export { type OtherTheme, otherThemes } from './teach/otherThemes.ts';
export { type PlannedLesson, planLesson } from './teach/planLesson.ts';
export { type LastClass, type Proposal, proposeClasses } from './teach/proposeClasses.ts';
export { singleBlock, type Wanted } from './teach/singleBlock.ts';
export { type PlannedTermClass, planTerm, type TermRequest } from './term/planTerm.ts';
export {
  type DatedLesson,
  type RetentionLine,
  type TermClassStory,
  type TermStory,
  tellTerm,
} from './term/tellTerm.ts';
export { holidayOn, isoDay, type TermDate, termDates } from './term/termDates.ts';
