// What is used of this folder outside the core.

export { differences, type Nearest } from './nearestPositions.ts';
export { readAsTop, type TopOption } from './readAsTop.ts';
export type { Builds, Option, Rank } from './readMove.ts';
export {
  orderWords,
  type Reading,
  type ReadOption,
  type ReadRequest,
  readReaction,
} from './readReaction.ts';
export { suggestAnswers } from './suggestAnswers.ts';
