// What is used of this folder outside the core.

export type { WeighOptions } from './game/mapGame.ts';
export { outcomePoints } from './game/outcomePoints.ts';
export { bothKnowBest, CLUB_SOFTNESS, KNOW_BEST, softnessOf } from './game/softness.ts';
export { solveForTrusts, type TrustSolutions, tradeCurve } from './game/solveForTrusts.ts';
export { choosePlan, type LookPlan, type MapSolution, solveMap } from './game/solveMap.ts';
export { type DrillWorth, drillWorths } from './measure/drillWorth.ts';
export { type Dilemma, findDilemmas, partingOf } from './measure/findDilemmas.ts';
export { findHoles, resolveHoles, type StakedHole } from './measure/findHoles.ts';
export {
  type Dependence,
  dependence,
  holdDependence,
  type TakenAway,
} from './measure/holdDependence.ts';
export { scenarioOptions } from './measure/scenarioOptions.ts';
export { topSheet } from './measure/topSheet.ts';
export {
  describeWeighing,
  type WeighedLook,
  type WeighedPosition,
  type Weighing,
  weighMap,
} from './measure/weighMap.ts';
export { bestChains } from './play/bestChains.ts';
export { ordinaryPlay } from './play/ordinaryPlay.ts';
export { ENDS, type End, outcomeOdds, simulateRounds } from './play/outcomeOdds.ts';
export { expectedOf, type LevelPlay, playMap } from './play/playMap.ts';
export { sensitivity } from './play/sensitivity.ts';
export { levelWords } from './tell/levelWords.ts';
export { pointsText, signedPoints, smallPointsText } from './tell/pointsText.ts';
export { type RoundStory, tellRound } from './tell/tellRound.ts';
export { type WorthReason, worthReason } from './tell/worthReason.ts';
