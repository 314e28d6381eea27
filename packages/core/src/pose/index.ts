// What is used of this folder outside the core.

export { type BodyFit, bodyFit } from './draw/bodyFit.ts';
export { type DrawnBodies, LAYERS, type Layer } from './draw/drawBodies.ts';
export {
  drawBetween,
  drawPose,
  type PosePicture,
  poseKey,
  poseMeasures,
  solveFrom,
  solvePose,
} from './draw/poseRecord.ts';
export type { View } from './draw/view.ts';
export { viewAcross } from './draw/viewAcross.ts';
export { POSE_VERSION } from './solve/poseBodies.ts';
export { startYaws } from './solve/poseProblem.ts';
