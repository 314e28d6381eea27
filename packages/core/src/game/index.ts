// What is used of this folder outside the core.

export { absorption } from './absorption.ts';
export { logitStage } from './logitStage.ts';
export { seeded } from './seeded.ts';
export { shortestPaths } from './shortestPaths.ts';
export { solveMatrixGame } from './solveMatrixGame.ts';
export { solveStochasticGame } from './solveStochasticGame.ts';
export type { StochasticGame } from './stochasticGame.ts';
