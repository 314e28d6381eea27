import type { Practice } from '../model/practice.ts';
import type { Evidence } from './evidence.ts';
import type { Kept } from './fading.ts';
import type { FaultTrend } from './faultTrend.ts';

/** What the next class begins from. */
export interface NextClass {
  /** Planned and not reached, and never come since. */
  carried: Practice['missed'];
  faults: FaultTrend[];
  fading: Kept[];
  /** Often relied on, hardly tried. */
  thin: Evidence[];
}

/** Below this something fades. */
const FADES = 0.85;
const FAULTS = 3;
const SOME = 5;

/** The carry-over, the three faults that matter, what fades and where evidence is thin. */
export function nextClass(
  { missed }: Pick<Practice, 'missed'>,
  trends: readonly FaultTrend[],
  kept: readonly Kept[],
  evidence: readonly Evidence[],
): NextClass {
  const latest = new Map(missed.filter(({ backOn }) => !backOn).map((one) => [one.exchange, one]));
  return {
    carried: [...latest.values()],
    faults: trends.filter(({ now }) => now > 0.5).slice(0, FAULTS),
    fading: kept.filter(({ retention }) => retention < FADES).slice(0, SOME),
    thin: [...evidence].sort((a, b) => b.more - a.more).slice(0, SOME),
  };
}
