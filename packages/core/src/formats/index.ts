// What is used of this folder outside the core.

export {
  type BookError,
  type BookFile,
  bookErrorText,
  type GuardBook,
  parseGuardBook,
} from './book/parseGuardBook.ts';
export { pickSystems } from './book/pickSystems.ts';
export { printGuardBook } from './book/printGuardBook.ts';
export { type BookChange, takeBook } from './book/takeBook.ts';
export { clockText } from './clockText.ts';
export { isOutcomeWord, type LineError, type Named, parseAnswer, quoteName } from './lineSyntax.ts';
export { parseMapFile, printMapFile } from './mapFile.ts';
export { mapJsonSchema } from './mapJsonSchema.ts';
export { printCalendar } from './printCalendar.ts';
export { doseWords, printClass, toldInFull } from './printClass.ts';
export { printGraphml } from './printGraphml.ts';
export { callName, printLines } from './printLines.ts';
export { type LineChange, readAllLines } from './readLines.ts';
export { type ReadRoll, readRoll } from './readRoll.ts';
export { SAFETY_NOTE } from './safetyNote.ts';
export { mechanicIds, namedMechanic, upgradeMap, withMechanicIds } from './upgradeMap.ts';
export { printWeighingSheet, WEIGHING_SHEETS, type WeighingSheet } from './weighingSheet.ts';
export { type Answer, type LandingChoice, writeAnswer } from './writeAnswer.ts';
