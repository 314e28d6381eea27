import type { ClassPlan, Club, PracticeRecord } from '@aftersquall/core/model';
import { addDays, differenceInCalendarWeeks, format, parseISO } from 'date-fns';

/** What is moved in time together. */
export interface Dated {
  records: PracticeRecord[];
  classes: ClassPlan[];
  clubs: Club[];
}

const WEEK = 7;
const dayLater = (date: string, days: number): string => format(addDays(parseISO(date), days), 'yyyy-MM-dd');
const timeLater = (at: string, days: number): string => {
  const time = new Date(at);
  time.setUTCDate(time.getUTCDate() + days);
  return time.toISOString();
};

/**
 * A club's days brought near today, by whole weeks so that a Tuesday stays one: the last record is of the week before this
 * one. Nothing is moved into the past, and nothing where nothing was recorded.
 * @param today year-month-day
 */
export function nearToday(dated: Dated, today: string): Dated {
  const { records, classes, clubs } = dated;
  const last = records.reduce((latest, { date }) => (date > latest ? date : latest), '');
  const weeks = last
    ? differenceInCalendarWeeks(parseISO(today), parseISO(last), { weekStartsOn: 1 }) - 1
    : 0;
  if (weeks <= 0) return dated;
  const days = WEEK * weeks;
  return {
    records: records.map((record) => ({
      ...record,
      date: dayLater(record.date, days),
      at: timeLater(record.at, days),
    })),
    classes: classes.map((plan) =>
      plan.when ? { ...plan, when: { ...plan.when, date: dayLater(plan.when.date, days) } } : plan,
    ),
    clubs: clubs.map((club) => ({
      ...club,
      holidays: club.holidays.map((holiday) => ({
        ...holiday,
        from: dayLater(holiday.from, days),
        to: dayLater(holiday.to, days),
      })),
    })),
  };
}
