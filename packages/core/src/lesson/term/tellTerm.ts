import { addDays, parseISO } from 'date-fns';
import type { Lesson } from '../../model/classPlan.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { isOutcome } from '../../model/outcome.ts';
import { FADING, learn, movesOfLesson, nothingLearnt, type TaughtOn } from '../practise/learnt.ts';
import { retained } from '../practise/memory.ts';
import { isoDay } from './termDates.ts';

/** A class on a date, with what it teaches. */
export interface DatedLesson {
  id: string;
  date: string;
  start: string;
  lesson: Pick<Lesson, 'root' | 'steps' | 'returns'>;
  /** It was held and its day is recorded: what it practised is what the record says. */
  recorded?: boolean | undefined;
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
 * it; of every move how much of it is kept, day by day. A class counts as held by its plan, unless its day is recorded.
 * @param days what records say of days, in order
 * @param until the last day of the lines, year-month-day; the last class when absent
 */
export function tellTerm(
  map: GuardMap,
  lessons: readonly DatedLesson[],
  { days = [], until }: { days?: readonly TaughtOn[]; until?: string } = {},
): TermStory {
  const ordered = [...lessons].sort((a, b) => (`${a.date} ${a.start}` < `${b.date} ${b.start}` ? -1 : 1));
  const learnt = nothingLearnt();
  const { memories } = learnt;
  const lines = new Map<string, RetentionLine>();
  const waiting = [...days];
  let day = '';
  const goTo = (date: string) => {
    day ||= date;
    for (; day < date; day = nextDay(day))
      for (const [move, line] of lines)
        line.points.push({ date: day, kept: retained(memories.get(move)!, day) });
  };
  const take = (taught: TaughtOn) => {
    const { date } = taught;
    goTo(date);
    learn(learnt, taught);
    for (const { move, name } of taught.moves) {
      const line = lines.get(move) ?? { move, name, practised: [], points: [] };
      lines.set(move, line);
      if (!line.practised.includes(date)) line.practised.push(date);
    }
  };
  const takeDays = (isDue: (date: string) => boolean) => {
    for (let next = waiting[0]; next && isDue(next.date); next = waiting[0]) {
      take(next);
      waiting.shift();
    }
  };
  const classes = ordered.map(({ id, date, lesson, recorded }, i): TermClassStory => {
    takeDays((recordedOn) => recordedOn < date);
    goTo(date);
    const moves = movesOfLesson(lesson);
    const story: TermClassStory = {
      id,
      broken: brokenIn(map, ordered, i, new Set(memories.keys())),
      fading: [...memories].flatMap(([move, memory]) => {
        const kept = retained(memory, date);
        const back = moves.some((one) => one.move === move);
        return back || kept >= FADING ? [] : [{ move, name: lines.get(move)!.name, kept }];
      }),
    };
    story.fading.sort((a, b) => a.kept - b.kept);
    if (!recorded) take({ date, moves });
    return story;
  });
  takeDays(() => true);
  const last = until ?? ordered.at(-1)?.date ?? days.at(-1)?.date;
  if (day && last) goTo(nextDay(last));
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
  // A way in and a foundation begin elsewhere, and waiting leads on from where the class starts.
  const drift = index.position.get(lesson.root)?.drift;
  const leadsTo = (place: string, move: string) =>
    index.exchangesOf(move).some(({ to }) => !isOutcome(to) && to.position === place);
  const reached = new Set([
    lesson.root,
    ...[...own].flatMap((id) => {
      const move = index.move.get(id);
      return move && (move.foundation || leadsTo(lesson.root, id)) ? [move.position] : [];
    }),
    ...(drift && !isOutcome(drift) ? [drift.position] : []),
  ]);
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
