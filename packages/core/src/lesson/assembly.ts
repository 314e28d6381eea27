import type { Block } from '../model/blocks/blockKinds.ts';
import type { ClassPlan, Method } from '../model/classPlan.ts';
import type { GuardMap } from '../model/map.ts';
import type { Position } from '../model/position.ts';
import type { ChosenRepertoire } from './chooseRepertoire.ts';
import type { LessonRequest } from './lessonRequest.ts';
import type { Practice } from './practices.ts';

/** Of a class's time, what is kept for work against a partner who tries. */
const LIVE_SHARE = 0.2;

/** The schools: how much of a class is live, whether a task comes first, whether links are walked in a row only in the end. */
export const METHOD: Record<Method, { live: number; gameFirst: boolean; blocked: boolean }> = {
  'reps-first': { live: LIVE_SHARE, gameFirst: false, blocked: true },
  mixed: { live: LIVE_SHARE + 0.05, gameFirst: false, blocked: false },
  'games-first': { live: LIVE_SHARE + 0.15, gameFirst: true, blocked: false },
};

/** Seconds of the parts that every class has. */
export interface FixedTimes {
  talk: number;
  mechanics: number;
  review: number;
  water: number;
  live: number;
}

/** What the blocks of a lesson are made of. */
export interface Assembly {
  map: GuardMap;
  request: LessonRequest;
  start: Position;
  chosen: ChosenRepertoire;
  practices: readonly Practice[];
  reps: ReadonlyMap<string, number>;
  sides: 1 | 2;
  fixed: FixedTimes;
  method: (typeof METHOD)[Method];
  room: Pick<ClassPlan, 'people' | 'changeOverSeconds'>;
  /** What comes back first. */
  again: readonly Block[];
}
