import { addMinutes, parseISO } from 'date-fns';
import ical from 'ical-generator';
import { timetable } from '../lesson/blocks/blockTime.ts';
import type { ClassPlan } from '../model/classPlan.ts';
import { clockText } from './clockText.ts';

/**
 * Classes that have a day as a calendar file (RFC 5545): each an event of the class's minutes by the club's own clock, with
 * no time zone, its blocks with their minutes in the description. Classes without a day are left out.
 * @param name of the calendar
 * @param stamp when the file is made
 */
export function printCalendar(
  classes: readonly ClassPlan[],
  { name, stamp = new Date() }: { name: string; stamp?: Date },
): string {
  const calendar = ical({ name, prodId: { company: 'Aftersquall', product: 'Lessons', language: 'EN' } });
  for (const plan of classes) {
    if (!plan.when) continue;
    const start = parseISO(`${plan.when.date}T${plan.when.start}`);
    calendar.createEvent({
      id: `${plan.id}@aftersquall`,
      stamp,
      start,
      end: addMinutes(start, plan.minutes),
      floating: true,
      summary: plan.name,
      description: linesOf(plan).join('\n'),
    });
  }
  return calendar.toString();
}

/** A block a line, with its minutes and seconds. */
const linesOf = (plan: ClassPlan): string[] =>
  timetable(plan).map(({ block, total }) => `${clockText(total)} ${block.title}`);
