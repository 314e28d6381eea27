// What is used of this folder outside the core.

export { allNames } from './allNames.ts';
export { answerTo } from './answerTo.ts';
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
} from './blocks/blockKinds.ts';
export { RESISTANCES } from './blocks/defineBlock.ts';
export type { ChainTurn } from './chain.ts';
export { exchangeOf, failsIn, readTurn, turnIn, turnText } from './chainTurn.ts';
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
} from './classPlan.ts';
export {
  AthleteSchema,
  type Club,
  ClubSchema,
  emptyClub,
  type Holiday,
  type TermSlot,
} from './club.ts';
export { CONTACTS, type Contact } from './contacts.ts';
export { roundsWords, timesInTen } from './countWords.ts';
export { asPosition, type Ending, EndingSchema } from './ending.ts';
export { BASES, type Basis, type Exchange, ExchangeSchema, notesOf } from './exchange.ts';
export { freshId } from './freshId.ts';
export { HAZARD_TAGS, type HazardTag } from './hazards.ts';
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
} from './hold.ts';
export { matchesPattern, patternOf } from './holdPattern.ts';
export { indexMap } from './indexMap.ts';
export { JOINTS, type Joint, LOADS, type Loads } from './joint.ts';
export { lowerFirst } from './letterCase.ts';
export {
  ENTITY_SCHEMAS,
  type EntityKind,
  type EntityOf,
  emptyMap,
  type GuardMap,
  MapSchema,
} from './map.ts';
export { MECHANIC_FORMS, type Mechanic, MechanicSchema } from './mechanic.ts';
export {
  FALLS,
  type Fall,
  MOVE_KIND_WORDS,
  MOVE_KINDS,
  type Move,
  MoveSchema,
  type Step,
  type Variant,
} from './move.ts';
export {
  BUILD_VALUES,
  type FalsePositive,
  type Fault,
  type Fit,
  FitSchema,
  type SeenFault,
} from './notes.ts';
export { type Opponent, type Tendency, trustOffered } from './opponent.ts';
export { isOutcome, type Landing, OUTCOMES, type Outcome } from './outcome.ts';
export {
  BOTTOM_LEVELS,
  CLUB_LEVEL,
  type PlayLevel,
  TOP_LEVELS,
} from './playLevel.ts';
export { HOOK_ROUTES, type PoseHints } from './poseHints.ts';
export { type PoseRecord, PoseRecordSchema } from './poseRecord.ts';
export { type Look, type Position, PositionSchema, type System } from './position.ts';
export { type Practice, type PracticeFilter, PracticeSchema, type RecallPast } from './practice.ts';
export {
  athletesOf,
  GRADES,
  type Grade,
  type PracticeRecord,
  PracticeRecordSchema,
  type RecordOf,
  recordsOf,
  standing,
} from './practiceRecord.ts';
export {
  type Apparel,
  type Level,
  NAME_LIMIT,
  NameSchema,
  SAID_LIMIT,
  SHORT_LIMIT,
  type Side,
  TEXT_LIMIT,
} from './primitives.ts';
export {
  bareRef,
  type LookReaction,
  REACTION_GROUPS,
  type Reaction,
  type ReactionNeed,
  type ReactionRef,
  ReactionSchema,
  reactionKey,
} from './reaction.ts';
export { reactionWords } from './reactionWords.ts';
export { remember } from './remember.ts';
export type { RulesProfile } from './rulesProfile.ts';
export { type Scenario, ScenarioSchema, type WhatIf, WhatIfSchema } from './scenario.ts';
export { exchangeSeconds, stepsOf, variantOf } from './seconds.ts';
export { type Condition, FACET_NAMES, FACETS, type Facet, type Signs, signOf } from './signs.ts';
