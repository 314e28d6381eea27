import { addDays, parseISO } from 'date-fns';
import type { Lesson } from '../model/classPlan.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome } from '../model/outcome.ts';
import { type Memory, retained } from './memory.ts';
import { FADING, remember } from './planTerm.ts';
import { isoDay } from './termDates.ts';

/** A class on a date, with what it teaches. */
export interface DatedLesson {
  id: string;
  date: string;
  start: string;
  lesson: Pick<Lesson, 'root' | 'steps' | 'returns'>;
}

export interface TermClassStory {
  id: string;
  /** What is not taught before it and would have to be, in sentences. */
  broken: string[];
  /** What has faded by then and does not come back in it, the most faded first. */
  fading: { move: string; name: string; kept: number }[];
}

/** How much of a move is kept, from the day it was first taught to the end. */
export interface RetentionLine {
  move: string;
  name: string;
  /** Days on which it was practised. */
  practised: string[];
  /** Shares kept, in [0, 1], a point a day. */
  points: { date: string; kept: number }[];
}

export interface TermStory {
  classes: TermClassStory[];
  lines: RetentionLine[];
}

/**
 * What a term comes to: of every class what it stands on that was not taught before it, and what has faded and is not in
 * it; of every move how much of it is kept, day by day.
 * @param until the last day of the lines, year-month-day; the last class when absent
 */
export function tellTerm(map: GuardMap, lessons: readonly DatedLesson[], until?: string): TermStory {
  const ordered = [...lessons].sort((a, b) => (`${a.date} ${a.start}` < `${b.date} ${b.start}` ? -1 : 1));
  const state = new Map<string, Memory>();
  const lines = new Map<string, RetentionLine>();
  const last = until ?? ordered.at(-1)?.date ?? '';
  let day = '';
  const goTo = (date: string) => {
    for (; day < date; day = nextDay(day))
      for (const [move, line] of lines)
        line.points.push({ date: day, kept: retained(state.get(move)!, day) });
  };
  const classes = ordered.map(({ id, date, lesson }, i): TermClassStory => {
    day ||= date;
    goTo(date);
    const story: TermClassStory = {
      id,
      broken: brokenIn(map, ordered, i, new Set(state.keys())),
      fading: [...state].flatMap(([move, memory]) => {
        const kept = retained(memory, date);
        const back = [...lesson.steps, ...lesson.returns].some((one) => one.move === move);
        return back || kept >= FADING ? [] : [{ move, name: lines.get(move)!.name, kept }];
      }),
    };
    story.fading.sort((a, b) => a.kept - b.kept);
    remember(state, { date, lesson });
    for (const { move, name } of [...lesson.steps, ...lesson.returns]) {
      const line = lines.get(move) ?? { move, name, practised: [], points: [] };
      lines.set(move, line);
      if (!line.practised.includes(date)) line.practised.push(date);
    }
    return story;
  });
  if (day) goTo(nextDay(last));
  return { classes, lines: [...lines.values()] };
}

const nextDay = (date: string): string => isoDay(addDays(parseISO(date), 1));

/** What a class teaches that nothing taught before it leads to, or that needs what is not known yet. */
function brokenIn(
  map: GuardMap,
  lessons: readonly DatedLesson[],
  at: number,
  taught: ReadonlySet<string>,
): string[] {
  const index = indexMap(map);
  const { lesson } = lessons[at]!;
  const own = new Set(lesson.steps.map(({ move }) => move));
  const usable = [...taught, ...own];
  const reached = new Set([lesson.root]);
  for (let grown = true; grown; ) {
    grown = false;
    for (const move of usable) {
      const known = index.move.get(move);
      if (!known || !reached.has(known.position)) continue;
      for (const { to, otherwise } of index.exchangesOf(move))
        for (const landing of [to, otherwise])
          if (landing && !isOutcome(landing) && !reached.has(landing.position)) {
            reached.add(landing.position);
            grown = true;
          }
    }
  }
  /** Where a later class teaches it, that is said. */
  const later = (moves: readonly string[]) => {
    const found = lessons
      .slice(at + 1)
      .find(({ lesson: { steps } }) => steps.some(({ move }) => moves.includes(move)));
    return found ? `only taught on ${found.date}` : 'not taught in this term';
  };
  return lesson.steps.flatMap(({ move, name }): string[] => {
    const known = index.move.get(move);
    if (!known) return [];
    const needs = known.requires.flatMap((need) => ('move' in need ? [need.move] : []));
    const missing = needs.filter((need) => !own.has(need) && !taught.has(need));
    const start = index.position.get(known.position)!;
    const leading = map.exchanges
      .filter(({ to }) => !isOutcome(to) && to.position === known.position)
      .map((exchange) => exchange.move);
    return [
      ...missing.map((need) => `“${name}” needs “${index.move.get(need)?.name ?? need}”, ${later([need])}.`),
      ...(reached.has(known.position)
        ? []
        : [`“${name}” begins in “${start.name}”; what leads there is ${later(leading)}.`]),
    ];
  });
}
