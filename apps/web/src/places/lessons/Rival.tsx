import {
  type ClassPlan,
  type GuardMap,
  indexMap,
  type Lesson,
  type RivalLesson,
  signedPoints,
} from '@aftersquall/core';
import { useEffect, useState } from 'react';
import { thePlanner } from '../../workers/planner.ts';
import { requestOf } from './request.ts';

/** Asked about when the lesson has stood for so long, ms: what the coach does next comes first. */
const SETTLED = 700;

interface Props {
  map: GuardMap;
  plan: ClassPlan;
  lesson: Lesson;
  /** Takes the other choice: the lesson without a move. */
  onTake: (without: string) => void;
}

/** The next best choice of moves, where it is nearly as good. */
export function Rival({ map, plan, lesson, onTake }: Props) {
  const [rival, setRival] = useState<RivalLesson>();
  useEffect(() => {
    let wanted = true;
    setRival(undefined);
    const timer = setTimeout(async () => {
      const found = await thePlanner().rivalLesson(requestOf(map, plan, lesson), lesson);
      if (wanted) setRival(found);
    }, SETTLED);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
    // Other fields of the class do not change the choice.
  }, [map, lesson, plan.minutes, plan.people, plan.apparel]);
  if (!rival) return null;
  const name = indexMap(map).move.get(rival.without)?.name;
  return (
    <p className="small mb-1">
      Nearly as good, {signedPoints(rival.value)}: without “{name}”
      {rival.instead.length > 0 && `, with ${rival.instead.map((one) => `“${one}”`).join(', ')}`}.{' '}
      <button type="button" className="chip" onClick={() => onTake(rival.without)}>
        take it
      </button>
    </p>
  );
}
