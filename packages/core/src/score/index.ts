// What is used of this folder outside the core.

export { type HoldScore, holdScore, type ScoreBar } from './holdScore.ts';
