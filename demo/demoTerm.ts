import { readFileSync } from 'node:fs';
import { planTerm, termDates } from '@aftersquall/core/lesson';
import { practiceOf, seenLately, taughtFrom } from '@aftersquall/core/log';
import {
  CLASS_FORMAT,
  CLASS_VERSION,
  type ClassPlan,
  ClassSchema,
  ClubSchema,
  type GuardMap,
} from '@aftersquall/core/model';
import { demoRecords } from './demoRecords.ts';

const club = new URL('kelpwick.club.json', import.meta.url);

/** The demo's term: a class for every day of it, as the planner plans them. The first one has a name of its own. */
export function demoTerm(map: GuardMap): ClassPlan[] {
  const { slots, holidays } = ClubSchema.parse(JSON.parse(readFileSync(club, 'utf8')));
  const asked = { people: 14, apparel: 'gi', level: 'intermediate', method: 'mixed' } as const;
  const dates = termDates(slots, { from: '2026-12-01', weeks: 6, holidays });
  const practice = practiceOf(demoRecords(map), { map: map.id });
  const term = planTerm({
    ...asked,
    map,
    dates,
    themes: ['cross-sleeve-standing'],
    held: taughtFrom(map, practice),
    faults: seenLately(practice, dates[0]!.date),
  });
  return term.map(({ date, start, minutes, name: named, planned }, i) => {
    const { lesson, blocks, leftOver } = planned;
    const { people, apparel } = asked;
    const [id, name] =
      i === 0 ? ['tuesday', 'Tuesday: from the sleeve to the back'] : [`term-${i + 1}`, named];
    const head = { format: CLASS_FORMAT, version: CLASS_VERSION, id, name, map: map.id };
    const when = { date, start };
    return ClassSchema.parse({ ...head, minutes, people, apparel, when, blocks, leftOver, lesson });
  });
}
