import { addDays, format, getISODay, parseISO } from 'date-fns';
import type { Holiday, TermSlot } from '../../model/club.ts';

/** A time at which a class is held: year-month-day, hour:minute by the club's own clock, and its length. */
export interface TermDate {
  date: string;
  start: string;
  minutes: number;
}

/** `yyyy-MM-dd` of a date by the local calendar. */
export const isoDay = (date: Date): string => format(date, 'yyyy-MM-dd');

/**
 * When classes are held: every time of the week for some weeks, holidays left out, in order.
 * @param from the first day, year-month-day
 */
export function termDates(
  slots: readonly TermSlot[],
  { from, weeks, holidays = [] }: { from: string; weeks: number; holidays?: readonly Holiday[] },
): TermDate[] {
  const first = parseISO(from);
  const days = Array.from({ length: weeks * 7 }, (_, i) => addDays(first, i));
  return days.flatMap((day) => {
    const date = isoDay(day);
    if (holidayOn(holidays, date)) return [];
    return slots
      .filter(({ weekday }) => weekday === getISODay(day))
      .map(({ start, minutes }) => ({ date, start, minutes }))
      .sort((a, b) => (a.start < b.start ? -1 : 1));
  });
}

/** The holiday that a day falls in. */
export const holidayOn = (holidays: readonly Holiday[], date: string): Holiday | undefined =>
  holidays.find(({ from, to }) => from <= date && date <= to);
