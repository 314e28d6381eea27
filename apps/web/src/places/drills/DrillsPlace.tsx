import './drills.scss';
import { type ClassPlan, freshId, type PlannedClass } from '@aftersquall/core';
import { Play, Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import {
  refusalOf,
  type StoredClass,
  useClassesQuery,
  useRemoveClassMutation,
  useSaveClassMutation,
} from '../../store/api.ts';
import { selectMap } from '../../store/mapSession.ts';
import { useAppSelector } from '../../store/store.ts';
import { thePlanner } from '../../workers/planner.ts';
import { ClassSheet } from './ClassSheet.tsx';
import { GoalForm } from './GoalForm.tsx';
import type { Goal, Request } from './request.ts';

/** Classes: the saved ones on the left, the one at hand on the right; a new one is built from goals. */
export function DrillsPlace() {
  const map = useAppSelector(selectMap)!;
  const { mapId = '', classId } = useParams();
  const navigate = useNavigate();
  const { data: classes, error } = useClassesQuery();
  const [saveClass] = useSaveClassMutation();
  const [removeClass] = useRemoveClassMutation();
  const [notice, setNotice] = useState<{ text: string; undo?: StoredClass }>();
  const [note, setNote] = useState<PlannedClass>();
  const mine = (classes ?? []).filter(({ plan }) => plan.map === map.id);
  const open = mine.find(({ plan }) => plan.id === classId);

  const build = async ({ name, goal, request }: { name: string; goal: Goal; request: Request }) => {
    const planned = await thePlanner().planClass({ ...request, map });
    const plan: ClassPlan = {
      id: freshId(
        name,
        (classes ?? []).map((known) => known.plan.id),
      ),
      name,
      map: map.id,
      minutes: request.minutes,
      people: request.people,
      apparel: request.apparel,
      changeOverSeconds: 10,
      blocks: planned.blocks,
      leftOver: planned.leftOver,
    };
    const saved = await saveClass({ revision: 0, plan });
    if (saved.error) {
      setNotice({ text: refusalOf(saved.error).message });
      return;
    }
    setNote(planned);
    setNotice(
      planned.unplayable.length > 0
        ? {
            text: `${planned.unplayable.length} exchanges of ${goal.name} are not played ${request.apparel} and were left out.`,
          }
        : undefined,
    );
    navigate(`/${mapId}/drills/${plan.id}`);
  };
  const remove = async (stored: StoredClass) => {
    const { error: refused } = await removeClass({ id: stored.plan.id, revision: stored.revision });
    setNotice(
      refused
        ? { text: refusalOf(refused).message }
        : { text: `Removed “${stored.plan.name}”.`, undo: stored },
    );
    if (!refused) navigate(`/${mapId}/drills`);
  };
  const restore = async (stored: StoredClass) => {
    await saveClass({ revision: 0, plan: stored.plan });
    setNotice(undefined);
    navigate(`/${mapId}/drills/${stored.plan.id}`);
  };
  // What the planner said belongs to the class just built, not to the next one that is opened.
  useEffect(() => {
    if (!classId) setNote(undefined);
  }, [classId]);

  return (
    <>
      <header className="place-bar">
        <h1>Drills</h1>
        {open && (
          <Link className="btn btn-sm btn-now push" to={`/${mapId}/mat/${open.plan.id}`}>
            <Play size={15} aria-hidden /> Run on the mat
          </Link>
        )}
      </header>
      <div className="drills-body">
        <nav className="class-list" aria-label="Classes">
          <Link className={`pick-class ${classId ? '' : 'on'}`} to={`/${mapId}/drills`}>
            <Plus size={16} aria-hidden /> New class
          </Link>
          {mine.map(({ plan }) => (
            <Link
              key={plan.id}
              className={`pick-class ${plan.id === classId ? 'on' : ''}`}
              to={`/${mapId}/drills/${plan.id}`}
            >
              <span>{plan.name}</span>
              <span className="soft small">
                {plan.minutes} min, {plan.people} people, {plan.apparel}
              </span>
            </Link>
          ))}
          {error && <p className="hazard p-2">{refusalOf(error).message}</p>}
        </nav>
        <div className="class-body">
          {notice && (
            <p className="notice" role="status">
              {notice.text}{' '}
              {notice.undo && (
                <button
                  type="button"
                  className="btn btn-sm btn-plain"
                  onClick={() => void restore(notice.undo!)}
                >
                  Undo
                </button>
              )}
            </p>
          )}
          {open ? (
            <ClassSheet
              key={open.plan.id}
              stored={open}
              map={map}
              planned={note}
              onRemove={() => void remove(open)}
            />
          ) : classId && classes ? (
            <p>This class is not here any more.</p>
          ) : (
            <GoalForm map={map} onBuild={build} />
          )}
        </div>
      </div>
    </>
  );
}
