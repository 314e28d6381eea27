import type { OtherTheme } from '@aftersquall/core/lesson';
import type { ClassPlan, GuardMap, Lesson } from '@aftersquall/core/model';
import { useEffect, useState } from 'react';
import { requestOf } from '../../store/classRequest.ts';
import { thePlanner } from '../../workers/planner.ts';

/** Asked about when the lesson has stood for so long, ms: what the coach does next comes first. */
const SETTLED = 700;

interface Props {
  map: GuardMap;
  plan: ClassPlan;
  lesson: Lesson;
  /** Takes another theme: its moves are what is taught. */
  onTake: (moves: string[]) => void;
}

/** The second and the third theme from the same start, one tap each. */
export function OtherThemes({ map, plan, lesson, onTake }: Props) {
  const [themes, setThemes] = useState<OtherTheme[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only these fields of the class change the choice
  useEffect(() => {
    let wanted = true;
    setThemes([]);
    const timer = setTimeout(async () => {
      const found = await thePlanner()
        .otherThemes(requestOf(map, plan, lesson))
        // Stopped, or nothing else can be taught from here: then there is nothing to offer.
        .catch((): OtherTheme[] => []);
      if (wanted) setThemes(found);
    }, SETTLED);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [map, lesson, plan.minutes, plan.people, plan.apparel]);
  if (themes.length === 0) return null;
  return (
    <div className="chip-field" role="group" aria-label="Other themes">
      {themes.map(({ aim, moves }) => (
        <button key={aim} type="button" className="chip" onClick={() => onTake(moves)}>
          or: {aim}
        </button>
      ))}
    </div>
  );
}
