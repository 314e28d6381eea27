import type { SeenFault } from '../model/notes.ts';
import type { Practice } from '../model/practice.ts';
import { weekOf } from './practice.ts';

/** A fault over the weeks. */
export interface FaultTrend extends SeenFault {
  /** Week by week, the oldest first. */
  counts: number[];
  total: number;
  /** How much it matters now: counts lose half of their weight every two weeks. */
  now: number;
}

const DAY = 86_400_000;
const HALF_LIFE = 2;
/** So many matter at once. */
const MATTER = 3;
/** A fault that nobody was seen with for so many weeks is mended. */
const MENDED_AFTER = 4;

/** The Mondays from one day to another. */
export function weeksBetween(from: string, to: string): string[] {
  const weeks: string[] = [];
  for (let at = Date.parse(`${weekOf(from)}T12:00:00Z`); at <= Date.parse(`${to}T12:00:00Z`); at += 7 * DAY)
    weeks.push(new Date(at).toISOString().slice(0, 10));
  return weeks;
}

/** Faults over weeks, those that matter most now first. @param weeks Mondays, the oldest first */
export function faultTrends({ faults }: Practice, weeks: readonly string[]): FaultTrend[] {
  const trends = new Map<string, FaultTrend>();
  for (const { week, of, id, name, fault, falsePositive, count } of faults) {
    const at = weeks.indexOf(week);
    if (at < 0) continue;
    const key = `${of} ${id} ${fault}`;
    const known =
      trends.get(key) ??
      ({
        of,
        id,
        name,
        fault,
        falsePositive,
        counts: weeks.map(() => 0),
        total: 0,
        now: 0,
      } satisfies FaultTrend);
    known.counts[at] = known.counts[at]! + count;
    known.total += count;
    known.now += count * 0.5 ** ((weeks.length - 1 - at) / HALF_LIFE);
    trends.set(key, known);
  }
  return [...trends.values()].sort((a, b) => b.now - a.now || (a.fault < b.fault ? -1 : 1));
}

/** The faults that matter now: those that were seen in the last weeks, the three that weigh most. */
export const faultsNow = (trends: readonly FaultTrend[]): FaultTrend[] =>
  trends.filter(({ counts }) => counts.slice(-MENDED_AFTER).some((count) => count > 0)).slice(0, MATTER);
