import type { Lesson } from '../model/classPlan.ts';
import { ifAny } from './ifAny.ts';
import type { LessonRequest } from './lessonRequest.ts';
import { planLesson } from './planLesson.ts';

/** A choice of moves that is nearly as good as the one that was taken. */
export interface RivalLesson {
  /** The move that is not in it, and the names of those that stand in its place. */
  without: string;
  instead: string[];
  /** Points of a round from the root after it. */
  value: number;
}

/** A choice that is worth less by more than this is none to speak of, points. */
const NEARLY = 0.15;

/**
 * The next best choice for a lesson: of those without one of its moves, the one a round is worth most with; undefined where
 * none comes near. Moves that have to be taught stay.
 */
export function rivalLesson(request: LessonRequest, lesson: Lesson): RivalLesson | undefined {
  const { steps, pinned, value } = lesson;
  const taught = new Set(steps.map(({ move }) => move));
  let best: RivalLesson | undefined;
  for (const { move: without } of steps) {
    if (pinned.includes(without)) continue;
    // Where nothing is left to teach there is no other choice.
    const other = ifAny(() => planLesson({ ...request, out: [...(request.out ?? []), without] }).lesson);
    if (!other || other.value < value - NEARLY || (best && best.value >= other.value)) continue;
    const instead = other.steps.flatMap(({ move, name }) => (taught.has(move) ? [] : [name]));
    best = { without, instead, value: other.value };
  }
  return best;
}
