import type { Lesson } from '../model/classPlan.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { helpfulRoot } from './helpfulRoot.ts';
import { ifAny } from './ifAny.ts';
import type { LessonRequest } from './lessonRequest.ts';
import { type Memory, practised, retained } from './memory.ts';
import { type PlannedLesson, planLesson } from './planLesson.ts';
import type { ReturnOf } from './returnBlocks.ts';
import type { TermDate } from './termDates.ts';

/** What is likely to be gone falls under this: it comes back. */
export const FADING = 0.85;
/** A lesson that adds less than this to a round from its start ends its theme, points. */
const ENOUGH = 0.05;

/** What a class did for what is known: the moves it taught and those that came back. */
export interface TaughtOn {
  date: string;
  lesson: Pick<Lesson, 'steps' | 'returns'>;
  /** Exchanges that found no time in it. */
  leftOver?: readonly string[] | undefined;
}

export interface TermRequest
  extends Omit<LessonRequest, 'root' | 'minutes' | 'known' | 'pinned' | 'returns'> {
  dates: readonly TermDate[];
  /** Positions to work through in order; when they are done, or none are given, what helps most. */
  themes: readonly string[];
  /** Classes that are there already, in order: each counts for the dates after it. */
  held?: readonly TaughtOn[] | undefined;
}

export interface PlannedTermClass extends TermDate {
  name: string;
  planned: PlannedLesson;
}

/**
 * Classes on dates, each a lesson that builds on those before it: a theme goes on, its tree growing, until it has little
 * left to give, then the next one comes. First in every class comes back what found no time in the last one, then what is
 * likely to have faded under `FADING`. The same request gives the same term.
 * @param onClass told of each class as it is planned
 * Where nothing is left to teach, it ends before the dates do.
 */
export function planTerm(
  { dates, themes, held = [], ...request }: TermRequest,
  onClass?: (done: number, total: number) => void,
): PlannedTermClass[] {
  const { map } = request;
  const index = indexMap(map);
  const state = new Map<string, Memory>();
  const waiting = [...held];
  const queue = [...themes];
  const done = new Set<string>();
  let carried: readonly string[] = [];
  const classes: PlannedTermClass[] = [];
  for (const [i, when] of dates.entries()) {
    for (let one = waiting[0]; one && one.date <= when.date; one = waiting[0]) {
      remember(state, one);
      carried = one.leftOver ?? [];
      waiting.shift();
    }
    const known = [...state.keys()];
    const returns = returnsOn(map, when.date, carried, state);
    const ask = (root: string) => planLesson({ ...request, root, minutes: when.minutes, known, returns });
    const planned = nextLesson(ask);
    if (!planned) break;
    carried = planned.leftOver;
    remember(state, { date: when.date, lesson: planned.lesson });
    classes.push({ ...when, name: index.position.get(planned.lesson.root)!.name, planned });
    onClass?.(i + 1, dates.length);
  }
  return classes;

  /** The lesson of the theme that is on, or of the next that still has something to give. */
  function nextLesson(ask: (root: string) => PlannedLesson): PlannedLesson | undefined {
    let scant: PlannedLesson | undefined;
    while (queue.length > 0) {
      const planned = ifAny(() => ask(queue[0]!));
      if (planned && gainOf(planned) >= ENOUGH) return planned;
      scant ??= planned;
      done.add(queue.shift()!);
    }
    for (;;) {
      const known = [...state.keys()];
      const root = ifAny(() => helpfulRoot({ ...request, known, without: [...done] }));
      if (root === undefined) return scant;
      const planned = ifAny(() => ask(root));
      if (planned && gainOf(planned) >= ENOUGH) {
        queue.push(root);
        return planned;
      }
      done.add(root);
      scant ??= planned;
    }
  }
}

const gainOf = ({ lesson }: PlannedLesson): number => lesson.value - lesson.before;

/** What a class leaves in memory. */
export function remember(state: Map<string, Memory>, { date, lesson }: TaughtOn): void {
  const moves = new Set([...lesson.steps, ...lesson.returns].map(({ move }) => move));
  for (const move of moves) state.set(move, practised(state.get(move), date));
}

/** What comes back on a date: what was carried over, then what fades, the most faded first. */
function returnsOn(
  map: GuardMap,
  date: string,
  carried: readonly string[],
  state: ReadonlyMap<string, Memory>,
): ReturnOf[] {
  const index = indexMap(map);
  const fading = [...state]
    .map(([move, memory]) => ({ move, kept: retained(memory, date) }))
    .filter(({ kept }) => kept < FADING)
    .sort((a, b) => a.kept - b.kept || (a.move < b.move ? -1 : 1));
  const carriedMoves = new Set(carried.map((id) => index.exchange.get(id)?.move));
  return [
    ...carried.map((exchange) => ({ exchange, why: 'It found no time in the class before.' })),
    ...fading.flatMap(({ move, kept }) => {
      if (carriedMoves.has(move)) return [];
      const [exchange] = index.exchangesOf(move).toSorted((a, b) => b.chance - a.chance);
      return exchange
        ? [{ exchange: exchange.id, why: `About ${Math.round(kept * 100)} % of it is kept by now.` }]
        : [];
    }),
  ];
}
