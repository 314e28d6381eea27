import { helpfulRoot } from '../choose/helpfulRoot.ts';
import { ifAny } from '../choose/ifAny.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { learn, movesOfLesson, nothingLearnt, returnsOn, type TaughtOn } from '../practise/learnt.ts';
import { type PlannedLesson, planLesson } from '../teach/planLesson.ts';
import type { TermDate } from './termDates.ts';

/** A lesson that adds less than this to a round from its start ends its theme, points. */
const ENOUGH = 0.05;

export interface TermRequest
  extends Omit<LessonRequest, 'root' | 'minutes' | 'known' | 'pinned' | 'returns'> {
  dates: readonly TermDate[];
  /** Positions to work through in order; when they are done, or none are given, what helps most. */
  themes: readonly string[];
  /** Days of practice that are there already, in order: each counts for the dates after it. */
  held?: readonly TaughtOn[] | undefined;
}

export interface PlannedTermClass extends TermDate {
  name: string;
  planned: PlannedLesson;
}

/**
 * Classes on dates, each a lesson that builds on those before it: a theme goes on, its tree growing, until it has little
 * left to give, then the next one comes. First in every class comes back what found no time before, then what is
 * likely to have faded under `FADING`; faults are taken up in the first one. The same request gives the same term.
 * @param onClass told of each class as it is planned
 * Where nothing is left to teach, it ends before the dates do.
 */
export function planTerm(
  { dates, themes, held = [], faults, ...request }: TermRequest,
  onClass?: (done: number, total: number) => void,
): PlannedTermClass[] {
  const { map } = request;
  const learnt = nothingLearnt();
  const waiting = [...held];
  const queue = [...themes];
  const done = new Set<string>();
  /** Roots that a class has begun from: the first one of a theme is held whatever it gives. */
  const begun = new Set<string>();
  const classes: PlannedTermClass[] = [];
  for (const [i, when] of dates.entries()) {
    for (let one = waiting[0]; one && one.date <= when.date; one = waiting[0]) {
      learn(learnt, one);
      waiting.shift();
    }
    const known = [...learnt.memories.keys()];
    const returns = returnsOn(map, learnt, when.date);
    const first = i === 0 ? faults : undefined;
    const ask = (root: string) =>
      planLesson({ ...request, root, minutes: when.minutes, known, returns, faults: first });
    const planned = nextLesson(ask);
    if (!planned) break;
    learn(learnt, { date: when.date, moves: movesOfLesson(planned.lesson), leftOver: planned.leftOver });
    classes.push({ ...when, name: planned.name, planned });
    onClass?.(i + 1, dates.length);
  }
  return classes;

  /** The lesson of the theme that is on, or of the next that still has something to give. */
  function nextLesson(ask: (root: string) => PlannedLesson): PlannedLesson | undefined {
    let scant: PlannedLesson | undefined;
    while (queue.length > 0) {
      const planned = ifAny(() => ask(queue[0]!));
      if (planned && (gainOf(planned) >= ENOUGH || !begun.has(queue[0]!))) {
        begun.add(queue[0]!);
        return planned;
      }
      scant ??= planned;
      done.add(queue.shift()!);
    }
    for (;;) {
      const known = [...learnt.memories.keys()];
      const root = ifAny(() => helpfulRoot({ ...request, known, without: [...done] }));
      if (root === undefined) return scant;
      const planned = ifAny(() => ask(root));
      if (planned && gainOf(planned) >= ENOUGH) {
        queue.push(root);
        begun.add(root);
        return planned;
      }
      done.add(root);
      scant ??= planned;
    }
  }
}

const gainOf = ({ lesson }: PlannedLesson): number => lesson.value - lesson.before;
