import { readFileSync } from 'node:fs';
import { ClassSchema, ClubSchema, PracticeRecordSchema } from '@aftersquall/core/model';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { nearToday } from './nearToday.ts';

const read = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../demo/${name}`, import.meta.url), 'utf8'));
const demo = {
  records: z.array(PracticeRecordSchema).parse(read('records.json')),
  classes: [ClassSchema.parse(read('tuesday.class.json'))],
  clubs: [ClubSchema.parse(read('kelpwick.club.json'))],
};
const lastOf = ({ records }: typeof demo) =>
  records
    .map(({ date }) => date)
    .sort()
    .at(-1)!;
const daysBetween = (from: string, to: string) => differenceInCalendarDays(parseISO(to), parseISO(from));

describe('the days of a club that ships', () => {
  it.each([
    '2026-12-07',
    '2027-03-28',
    '2029-02-28',
  ])('are brought near %s by whole weeks, all of them alike', (today) => {
    const moved = nearToday(demo, today);
    const days = daysBetween(lastOf(demo), lastOf(moved));
    expect(days % 7).toBe(0);
    expect(daysBetween(lastOf(moved), today)).toBeGreaterThanOrEqual(4);
    expect(daysBetween(lastOf(moved), today)).toBeLessThanOrEqual(10);
    for (const [i, record] of moved.records.entries()) {
      expect(daysBetween(demo.records[i]!.date, record.date)).toBe(days);
      expect(record.at.slice(0, 10)).toBe(record.date);
    }
    expect(daysBetween(demo.classes[0]!.when!.date, moved.classes[0]!.when!.date)).toBe(days);
    expect(daysBetween(demo.clubs[0]!.holidays[0]!.to, moved.clubs[0]!.holidays[0]!.to)).toBe(days);
  });

  it('are never moved back, and stay where nothing was recorded', () => {
    expect(nearToday(demo, '2026-01-01')).toEqual(demo);
    const { classes } = nearToday({ ...demo, records: [] }, '2029-01-01');
    expect(classes).toEqual(demo.classes);
  });
});
