import { readFileSync } from 'node:fs';
import { evidenceOf, fadingOf, faultTrends, practiceOf, weeksBetween } from '@aftersquall/core/log';
import { PracticeRecordSchema } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { ATHLETES, demoRecords } from './demoRecords.ts';
import { readDemo } from './readDemo.ts';

const map = readDemo();
const shipped = PracticeRecordSchema.array().parse(
  JSON.parse(readFileSync(new URL('records.json', import.meta.url), 'utf8')),
);
const practice = practiceOf(shipped, { map: map.id });

describe('ten weeks of records', () => {
  it('are what the script makes', () => {
    expect(shipped).toEqual(demoRecords(map));
    expect(practice.sessions).toHaveLength(20);
    expect(new Set(practice.sessions.flatMap(({ athletes }) => athletes.map(({ id }) => id))).size).toBe(
      ATHLETES.length,
    );
  });

  it('tell of one who learns and one who stands still, and of one who was away', () => {
    const share = (athlete: string) => {
      const { trials } = practiceOf(shipped, { map: map.id, athlete });
      const sum = (of: 'worked' | 'tried') => trials.reduce((all, row) => all + row[of], 0);
      return sum('worked') / sum('tried');
    };
    expect(share('gull')).toBeGreaterThan(share('skua') + 0.1);
    const weeks = practice.sessions.map(({ athletes }) => athletes.some(({ id }) => id === 'knot'));
    expect(weeks.slice(6, 12)).toEqual([false, false, false, false, false, false]);
    expect(weeks.slice(12)).toContain(true);
  });

  it('tell of a fault that was mended and one that never was', () => {
    const trends = faultTrends(practice, weeksBetween('2026-09-15', '2026-11-19'));
    const first = (counts: number[]) => counts.slice(0, 3).reduce((sum, one) => sum + one, 0);
    const last = (counts: number[]) => counts.slice(-3).reduce((sum, one) => sum + one, 0);
    expect(trends.some(({ counts }) => first(counts) > 15 && last(counts) === 0)).toBe(true);
    expect(last(trends[0]!.counts)).toBeGreaterThan(15);
  });

  it('tell of a guess that proves wrong: the log, not the coach', () => {
    const [most] = evidenceOf(map, practice);
    expect(most!.light.tried + most!.full.tried).toBeGreaterThan(30);
    expect(most!.logged!.high).toBeLessThan(most!.guess);
    expect(most!.blend.mean).toBeLessThan(most!.guess - 0.1);
  });

  it('tell of a block that came back and of one that never did, and some of it fades', () => {
    expect(practice.missed.some(({ backOn }) => backOn !== undefined)).toBe(true);
    expect(practice.missed.some(({ backOn }) => backOn === undefined)).toBe(true);
    const kept = fadingOf(practice, '2026-11-26');
    expect(kept[0]!.retention).toBeLessThan(0.8);
    expect(kept.at(-1)!.retention).toBeGreaterThan(0.9);
  });
});
