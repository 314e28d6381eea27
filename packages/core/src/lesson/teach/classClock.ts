import { isOutcome } from '../../model/outcome.ts';
import type { Level } from '../../model/primitives.ts';
import { exchangeSeconds } from '../../model/seconds.ts';
import { hasHazard, type Row, type Technique } from './technique.ts';

/** Seconds that a real class takes. Common practice, no published source. */

export const PACE: Record<Level, number> = { novice: 1.1, intermediate: 1, expert: 0.85 };
const SHOW: Record<Level, number> = { novice: 1, intermediate: 0.7, expert: 0.55 };
/** Back to the start of a rep: from where one stopped, from a guard that is kept, from on top. */
const RESET = { stopped: 6, kept: 8, top: 10 };
const LONGEST_REP = 25;
/** A turn, a turn of a fork, a block, one with a second look: nobody stands for more. */
const TURN = 150;
export const FORK_TURN = 190;
const BLOCK = 480;
const BLOCK_LOOKED = 600;
const MOST_REPS = 8;
const LEAST_REPS = 4;
export const NEW_PARTNER = 30;
/** Of a class so much is played: bouts and rounds really worked. */
export const LIVE: Record<Level, number> = { novice: 0.2, intermediate: 0.3, expert: 0.35 };
/** The least time on the bottom in a round. */
export const ROUND_SIDE: Record<Level, number> = { novice: 60, intermediate: 90, expert: 90 };
/** So much of a class is left for what runs long, and by so much of it everybody has played. */
export const SPARE = 0.04;
export const LIVE_BY = 0.45;

export const halfMinutes = (seconds: number): number => Math.ceil(seconds / 30 - 0.01) * 30;

/** One repetition with the way back to its start. */
export function repSeconds(technique: Technique, row: Row, level: Level): number {
  const { to, exchange } = row;
  const outcome = isOutcome(to) ? to.outcome : '';
  const reset = /^top|^back/.test(outcome)
    ? RESET.top
    : outcome === 'submission'
      ? RESET.stopped
      : RESET.kept;
  const slowly =
    (technique.kind === 'submission' ? 3 : 0) +
    (hasHazard(technique, ['heel-hook', 'knee-bar', 'knee-reap', 'straight-ankle']) ? 3 : 0);
  const moved = (exchangeSeconds(technique.move, exchange) + reset) * PACE[level];
  return Math.round(Math.min(LONGEST_REP, moved + slowly));
}

export const showSeconds = (steps: number, level: Level): number =>
  halfMinutes(Math.min(150, (30 + 30 * Math.min(4, steps)) * SHOW[level]));

/** What a drill takes: shown, looked at again, and done in turns with the changes between. */
export interface Drill {
  show: number;
  look: number;
  rep: number;
  /** Repetitions on the other side. */
  other: number;
  turns: number;
  change: number;
}
export const drillSeconds = (reps: number, { show, look, rep, other, turns, change }: Drill): number =>
  halfMinutes(show + look + (reps + other) * rep * turns + (turns - 1) * change);

/** Repetitions that keep a turn and a block within what people stand; at least four. */
export function mostReps(drill: Drill): number {
  let reps = LEAST_REPS;
  const fits = (n: number) =>
    (n + drill.other) * drill.rep <= TURN &&
    drillSeconds(n, drill) <= (drill.look > 0 ? BLOCK_LOOKED : BLOCK);
  while (reps < MOST_REPS && fits(reps + 1)) reps++;
  return reps;
}
