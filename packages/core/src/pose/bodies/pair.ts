import type { Body, BodyState } from './body.ts';

/** The two players, bottom first. */
export type Pair = readonly [Body, Body];
/** Where two bodies are. */
export type PairState = readonly [BodyState, BodyState];
export const BOTTOM = 0;
export const TOP = 1;
export type Who = typeof BOTTOM | typeof TOP;
