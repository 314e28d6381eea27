// What the server, the screens and scripts use of the core. What only the core itself uses stays inside.

export { type Build, GRAVITY, MASS_RANGE, STATURE_RANGE } from './balance/bodyTables.ts';
export { checkSweep, momentOfSweep, type SweepCheck, USUAL_BUILD } from './balance/checkSweep.ts';
export { convexHull, type Point } from './balance/convexHull.ts';
export { STANCE_NAMES, STANCES, type StanceName } from './balance/stances.ts';
export { heading, tipping } from './balance/tipping.ts';
export {
  type Post,
  type ProfileDirection,
  type TippingProfile,
  tippingProfile,
} from './balance/tippingProfile.ts';
export { topSetup } from './balance/topSetup.ts';
export { arcWords, wayWords } from './balance/wayWords.ts';
export { weakestArc } from './balance/weakestArc.ts';
export { answerName, doneName } from './body/answerName.ts';
export { canReact } from './body/canReact.ts';
export { endingOf, landingScene, momentAfter } from './body/endingOf.ts';
export type { Moment } from './body/followSteps.ts';
export {
  landingShort,
  landingWords,
  OUTCOME_GOOD,
  OUTCOME_WORDS,
  placeName,
  reactionName,
  reactionShort,
  shortName,
} from './body/landingWords.ts';
export { limbConflicts } from './body/limbConflicts.ts';
export { mirror, sided } from './body/mirror.ts';
export { pictureWords } from './body/pictureWords.ts';
export { playable } from './body/playable.ts';
export { type ApparelTranslation, holdsWorn, translateApparel } from './body/translateApparel.ts';
export { turnWords } from './body/turnWords.ts';
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
} from './body/words.ts';
export type { CheckContext, Finding, Severity } from './check/finding.ts';
export { type Hole, holes } from './check/holes.ts';
export { validateMap } from './check/validateMap.ts';
export { printOpenApi } from './contract/openApi.ts';
export { type AnswerOf, addressOf, type CallOf, type InputOf, isText, type Route } from './contract/route.ts';
export { CHANGES_PAGE, HISTORY_PAGE, REMOVED_DAYS, ROUTES, type RouteName } from './contract/routes.ts';
export {
  addressKey,
  type ChangeEvent,
  ChangeEventSchema,
  type ChangesPage,
  type DocumentAddress,
  DocumentSchema,
  type DocumentSummary,
  type HistoryLine,
  type RefusalBody,
  type RemovedDocument,
  type StoredDocument,
} from './contract/shapes.ts';
export { type Applied, applyCommand } from './documents/applyCommand.ts';
export {
  type Change,
  ChangeSchema,
  changeKey,
  type FieldOverlap,
  isSameMaker,
  type MadeChange,
} from './documents/change.ts';
export {
  batch,
  type Command,
  CommandSchema,
  describe as describeHead,
  place,
  put,
  remove,
  set as setFields,
} from './documents/command.ts';
export { changesOfOthers, type Decision, decideChange, withValues } from './documents/decideChange.ts';
export { type AnyDocument, defineDocument } from './documents/defineDocument.ts';
export { describeChange, describeField, describeValue } from './documents/describeChange.ts';
export { diffDocuments } from './documents/diffDocuments.ts';
export { badReferences } from './documents/documentIssues.ts';
export {
  DOCUMENT_KIND_NAMES,
  DOCUMENT_KINDS,
  type DocumentKindName,
  type DocumentOf,
  documentKindOf,
} from './documents/documentKinds.ts';
export { duplicatePosition, duplicateSystem } from './documents/duplicate.ts';
export { edit, isEmpty } from './documents/edit.ts';
export { type Field, fieldsOfChange, isOrder, meet, overlap, withoutFields } from './documents/fields.ts';
export { fieldValue } from './documents/fieldValue.ts';
export { type Issue, RefusedError } from './documents/issue.ts';
export { commandOf, rebase } from './documents/rebase.ts';
export { zodIssues } from './documents/zodIssues.ts';
export {
  type BookError,
  type BookFile,
  bookErrorText,
  type GuardBook,
  parseGuardBook,
} from './formats/book/parseGuardBook.ts';
export { pickSystems } from './formats/book/pickSystems.ts';
export { printGuardBook } from './formats/book/printGuardBook.ts';
export { type BookChange, takeBook } from './formats/book/takeBook.ts';
export { clockText } from './formats/clockText.ts';
export { isOutcomeWord, type LineError, type Named, parseAnswer, quoteName } from './formats/lineSyntax.ts';
export { parseMapFile, printMapFile } from './formats/mapFile.ts';
export { mapJsonSchema } from './formats/mapJsonSchema.ts';
export { printCalendar } from './formats/printCalendar.ts';
export { doseWords, printClass, toldInFull } from './formats/printClass.ts';
export { printGraphml } from './formats/printGraphml.ts';
export { callName, printLines } from './formats/printLines.ts';
export { type LineChange, readAllLines } from './formats/readLines.ts';
export { type ReadRoll, readRoll } from './formats/readRoll.ts';
export { mechanicIds, namedMechanic, upgradeMap, withMechanicIds } from './formats/upgradeMap.ts';
export { printWeighingSheet, WEIGHING_SHEETS, type WeighingSheet } from './formats/weighingSheet.ts';
export { type Answer, type LandingChoice, writeAnswer } from './formats/writeAnswer.ts';
export { absorption } from './game/absorption.ts';
export { logitStage } from './game/logitStage.ts';
export { seeded } from './game/seeded.ts';
export { shortestPaths } from './game/shortestPaths.ts';
export { solveMatrixGame } from './game/solveMatrixGame.ts';
export { solveStochasticGame } from './game/solveStochasticGame.ts';
export type { StochasticGame } from './game/stochasticGame.ts';
export { allotReps, gainOf } from './lesson/allotReps.ts';
export { type BarredBlock, barredBlocks, barredWords } from './lesson/barredBlocks.ts';
export { bestConnectedSet } from './lesson/bestConnectedSet.ts';
export { blockTime, classSeconds, timetable, trioSeconds } from './lesson/blockTime.ts';
export { cheapestCut } from './lesson/cheapestCut.ts';
export { chooseRepertoire } from './lesson/chooseRepertoire.ts';
export { chooseWithin } from './lesson/chooseWithin.ts';
export { coverArcs, coverBound } from './lesson/coverArcs.ts';
export { coverChains } from './lesson/coverChains.ts';
export { canSplit, duplicateBlock, resizeBlock, splitBlock, turnBlock } from './lesson/editBlock.ts';
export { fillReps, type RepSum } from './lesson/fillReps.ts';
export { forkCalls } from './lesson/forkCalls.ts';
export { helpfulRoot } from './lesson/helpfulRoot.ts';
export { takeRung, withReps } from './lesson/ladder.ts';
export { lanesOn } from './lesson/lanes.ts';
export { FADING, movesOfLesson, type TaughtOn } from './lesson/learnt.ts';
export type { LessonRequest } from './lesson/lessonRequest.ts';
export { lessonRules, lessonRulesWords } from './lesson/lessonRules.ts';
export { turnOfLink } from './lesson/linkOf.ts';
export { matRun, type Segment, segmentAt, segmentStart } from './lesson/matRun.ts';
export { type OtherTheme, otherThemes } from './lesson/otherThemes.ts';
export { type PlannedClass, planClass } from './lesson/planClass.ts';
export { type PlannedLesson, planLesson } from './lesson/planLesson.ts';
export { type PlannedTermClass, planTerm, type TermRequest } from './lesson/planTerm.ts';
export { type LastClass, type Proposal, proposeClasses } from './lesson/proposeClasses.ts';
export { renewLinks, staleLinks } from './lesson/renewLinks.ts';
export { repertoireOf, repertoireValue } from './lesson/repertoire.ts';
export { type RoomNeeded, roomNeeded } from './lesson/roomNeeded.ts';
export { standsOn } from './lesson/standsOn.ts';
export { singleBlock, type Wanted } from './lesson/teach/singleBlock.ts';
export {
  type DatedLesson,
  type RetentionLine,
  type TermClassStory,
  type TermStory,
  tellTerm,
} from './lesson/tellTerm.ts';
export { holidayOn, isoDay, type TermDate, termDates } from './lesson/termDates.ts';
export { type Beginning, beginFrom, seenLately } from './log/beginFrom.ts';
export { type Belief, betaPosterior } from './log/betaPosterior.ts';
export { type ChanceEstimate, estimateChance, PRIOR_TRIALS } from './log/estimateChance.ts';
export { type Evidence, evidenceOf, guessOf, mapOn, takeBlend } from './log/evidence.ts';
export { fadingOf, type Kept } from './log/fading.ts';
export { everyFault, faultsOf } from './log/faultsOf.ts';
export { type FaultTrend, faultTrends, weeksBetween } from './log/faultTrend.ts';
export { type NextClass, nextClass } from './log/nextClass.ts';
export { practiceOf, weekOf } from './log/practice.ts';
export { reactionsSeen } from './log/reactionsSeen.ts';
export { type RecallCard, recallCards } from './log/recall.ts';
export { taughtFrom } from './log/taughtFrom.ts';
export { printTrials, type ReadTrials, readTrials } from './log/trialsCsv.ts';
export { wilsonInterval } from './log/wilsonInterval.ts';
export { allNames } from './model/allNames.ts';
export { answerTo } from './model/answerTo.ts';
export {
  type Block,
  type BlockKind,
  blockLines,
  blockName,
  type DrilledBlock,
  isDrilled,
  isLive,
  isPlayed,
  type PlayedBlock,
} from './model/blocks/blockKinds.ts';
export { RESISTANCES } from './model/blocks/defineBlock.ts';
export type { ChainTurn } from './model/chain.ts';
export { exchangeOf, failsIn, readTurn, turnIn, turnText } from './model/chainTurn.ts';
export {
  CLASS_FORMAT,
  CLASS_VERSION,
  type ClassPlan,
  ClassSchema,
  type Lesson,
  LessonSchema,
  type LessonStep,
  METHODS,
  type Method,
} from './model/classPlan.ts';
export {
  AthleteSchema,
  type Club,
  ClubSchema,
  emptyClub,
  type Holiday,
  type TermSlot,
} from './model/club.ts';
export { CONTACTS, type Contact } from './model/contacts.ts';
export { asPosition, type Ending, EndingSchema } from './model/ending.ts';
export { BASES, type Basis, type Exchange, ExchangeSchema, notesOf } from './model/exchange.ts';
export { freshId } from './model/freshId.ts';
export { HAZARD_TAGS, type HazardTag } from './model/hazards.ts';
export {
  DEPTHS,
  type Depth,
  type GripPlace,
  HOLD_ACTIONS,
  type Hold,
  type HoldAction,
  type HoldClass,
  type HoldPattern,
  HoldSchema,
  PARTS,
  type Part,
  PLACES_ON,
  type Target,
} from './model/hold.ts';
export { matchesPattern, patternOf } from './model/holdPattern.ts';
export { indexMap } from './model/indexMap.ts';
export { JOINTS, type Joint, LOADS, type Loads } from './model/joint.ts';
export {
  ENTITY_SCHEMAS,
  type EntityKind,
  type EntityOf,
  emptyMap,
  type GuardMap,
  MapSchema,
} from './model/map.ts';
export { MECHANIC_FORMS, type Mechanic, MechanicSchema } from './model/mechanic.ts';
export {
  FALLS,
  type Fall,
  MOVE_KINDS,
  type Move,
  MoveSchema,
  type Step,
  type Variant,
} from './model/move.ts';
export {
  BUILD_VALUES,
  type FalsePositive,
  type Fault,
  type Fit,
  FitSchema,
  type SeenFault,
} from './model/notes.ts';
export { type Opponent, type Tendency, trustOffered } from './model/opponent.ts';
export { isOutcome, type Landing, OUTCOMES, type Outcome } from './model/outcome.ts';
export {
  BOTTOM_LEVELS,
  CLUB_LEVEL,
  type PlayLevel,
  TOP_LEVELS,
} from './model/playLevel.ts';
export { HOOK_ROUTES, type PoseHints } from './model/poseHints.ts';
export { type PoseRecord, PoseRecordSchema } from './model/poseRecord.ts';
export { type Look, type Position, PositionSchema, type System } from './model/position.ts';
export { type Practice, type PracticeFilter, PracticeSchema, type RecallPast } from './model/practice.ts';
export {
  athletesOf,
  GRADES,
  type Grade,
  type PracticeRecord,
  PracticeRecordSchema,
  type RecordOf,
  recordsOf,
  standing,
} from './model/practiceRecord.ts';
export {
  type Apparel,
  type Level,
  NAME_LIMIT,
  NameSchema,
  SAID_LIMIT,
  SHORT_LIMIT,
  type Side,
  TEXT_LIMIT,
} from './model/primitives.ts';
export {
  bareRef,
  type LookReaction,
  REACTION_GROUPS,
  type Reaction,
  type ReactionNeed,
  type ReactionRef,
  ReactionSchema,
  reactionKey,
} from './model/reaction.ts';
export { reactionWords } from './model/reactionWords.ts';
export { remember } from './model/remember.ts';
export type { RulesProfile } from './model/rulesProfile.ts';
export { type Scenario, ScenarioSchema, type WhatIf, WhatIfSchema } from './model/scenario.ts';
export { exchangeSeconds, stepsOf, variantOf } from './model/seconds.ts';
export { type Condition, FACET_NAMES, FACETS, type Facet, type Signs, signOf } from './model/signs.ts';
export { type BodyFit, bodyFit } from './pose/bodyFit.ts';
export { type DrawnBodies, LAYERS, type Layer } from './pose/drawBodies.ts';
export { POSE_VERSION } from './pose/poseBodies.ts';
export { startYaws } from './pose/poseProblem.ts';
export {
  drawBetween,
  drawPose,
  type PosePicture,
  poseKey,
  poseMeasures,
  solveFrom,
  solvePose,
} from './pose/poseRecord.ts';
export type { View } from './pose/view.ts';
export { viewAcross } from './pose/viewAcross.ts';
export { differences, type Nearest } from './read/nearestPositions.ts';
export { readAsTop, type TopOption } from './read/readAsTop.ts';
export type { Builds, Option, Rank } from './read/readMove.ts';
export {
  orderWords,
  type Reading,
  type ReadOption,
  type ReadRequest,
  readReaction,
} from './read/readReaction.ts';
export { suggestAnswers } from './read/suggestAnswers.ts';
export { legality } from './rules/legality.ts';
export { loadedJoints, loadsAny, type MoveRole } from './rules/loadedJoints.ts';
export { SHIPPED_PROFILES } from './rules/shippedProfiles.ts';
export { type RunEvent, RunEventSchema } from './run/runEvent.ts';
export { plannedSeconds, runRecords, wasReached } from './run/runRecords.ts';
export { clockOf, placeOf, type RunState, runState } from './run/runState.ts';
export { type HoldScore, holdScore, type ScoreBar } from './score/holdScore.ts';
export { bestChains } from './weigh/bestChains.ts';
export { type DrillWorth, drillWorths } from './weigh/drillWorth.ts';
export { type Dilemma, findDilemmas, partingOf } from './weigh/findDilemmas.ts';
export { findHoles, resolveHoles, type StakedHole } from './weigh/findHoles.ts';
export { type Dependence, dependence, holdDependence, type TakenAway } from './weigh/holdDependence.ts';
export { levelWords } from './weigh/levelWords.ts';
export type { WeighOptions } from './weigh/mapGame.ts';
export { ordinaryPlay } from './weigh/ordinaryPlay.ts';
export { ENDS, type End, outcomeOdds, simulateRounds } from './weigh/outcomeOdds.ts';
export { outcomePoints } from './weigh/outcomePoints.ts';
export { expectedOf, type LevelPlay, playMap } from './weigh/playMap.ts';
export { pointsText, signedPoints } from './weigh/pointsText.ts';
export { scenarioOptions } from './weigh/scenarioOptions.ts';
export { sensitivity } from './weigh/sensitivity.ts';
export { bothKnowBest, CLUB_SOFTNESS, KNOW_BEST, softnessOf } from './weigh/softness.ts';
export { solveForTrusts, type TrustSolutions, tradeCurve } from './weigh/solveForTrusts.ts';
export { choosePlan, type LookPlan, type MapSolution, solveMap } from './weigh/solveMap.ts';
export { type RoundStory, tellRound } from './weigh/tellRound.ts';
export { topSheet } from './weigh/topSheet.ts';
export {
  describeWeighing,
  type WeighedLook,
  type WeighedPosition,
  type Weighing,
  weighMap,
} from './weigh/weighMap.ts';
export { type WorthReason, worthReason } from './weigh/worthReason.ts';
