import type { Segment } from '../lesson/matRun.ts';

/** A moment at which the clock of a run was touched. */
export interface ClockMark {
  /** Milliseconds since 1970. */
  at: number;
  /** Seconds into the run from here on; below nothing it is still counted down to the start. */
  seconds: number;
  /** Whether it runs from here on. */
  running: boolean;
}

/** Where the clock stands at a time, seconds; below nothing it counts down to the start. */
export const clockAt = ({ at, seconds, running }: ClockMark, now: number): number =>
  running ? seconds + Math.max(0, now - at) / 1000 : seconds;

/**
 * How many seconds of each block ran, from the marks of the clock alone: every second that it ran belongs to the stretch it
 * stood in, so that the blocks add up to the time that ran.
 * @returns seconds by the block's number
 */
export function ranBlocks(
  segments: readonly Segment[],
  marks: readonly ClockMark[],
  now: number,
): Map<number, number> {
  const ran = new Map<number, number>();
  const total = segments.reduce((sum, { seconds }) => sum + seconds, 0);
  for (const [i, mark] of marks.entries()) {
    if (!mark.running) continue;
    const until = marks[i + 1]?.at ?? now;
    const from = Math.max(0, mark.seconds);
    // A start that lies ahead has not run yet.
    const waited = Math.max(0, -mark.seconds);
    const to = Math.min(total, from + Math.max(0, (until - mark.at) / 1000 - waited));
    let start = 0;
    for (const { block, seconds } of segments) {
      const part = Math.min(to, start + seconds) - Math.max(from, start);
      if (part > 0) ran.set(block, (ran.get(block) ?? 0) + part);
      start += seconds;
    }
  }
  return ran;
}
