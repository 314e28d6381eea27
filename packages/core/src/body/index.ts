// What is used of this folder outside the core.

export { answerName, doneName } from './answerName.ts';
export { canReact } from './canReact.ts';
export { endingOf, landingScene, momentAfter } from './endingOf.ts';
export type { Moment } from './followSteps.ts';
export {
  landingShort,
  landingWords,
  OUTCOME_GOOD,
  OUTCOME_WORDS,
  placeName,
  reactionName,
  reactionShort,
  shortName,
} from './landingWords.ts';
export { limbConflicts } from './limbConflicts.ts';
export { mirror, sided } from './mirror.ts';
export { pictureWords } from './pictureWords.ts';
export { playable } from './playable.ts';
export { type ApparelTranslation, holdsWorn, translateApparel } from './translateApparel.ts';
export { turnWords } from './turnWords.ts';
export {
  conditionWords,
  contactName,
  facetName,
  holdWords,
  joinWords,
  patternWords,
  signsWords,
  signWords,
  targetName,
  type WordContext,
  wordContext,
} from './words.ts';
export { wornWords } from './wornWords.ts';
