import {
  CLASS_FORMAT,
  CLASS_VERSION,
  type ClassPlan,
  ClassSchema,
  freshId,
  type GuardMap,
  type PlannedClass,
} from '@aftersquall/core';
import { Play, Plus } from 'lucide-react';
import { type MouseEvent, useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { classAddress, matAddress } from '../../components/addresses.ts';
import { SaveState } from '../../components/SaveState.tsx';
import { UndoButtons } from '../../components/UndoButtons.tsx';
import { refusalOf, useListDocumentsQuery, useRemoveDocumentMutation } from '../../store/api.ts';
import { startGoal } from '../../store/classGoal.ts';
import { createFresh } from '../../store/documents/createFresh.ts';
import { closeDocument } from '../../store/documents/documentsSlice.ts';
import { useDocument, useEditedDocument } from '../../store/documents/useDocument.ts';
import { notify } from '../../store/notices.ts';
import { selectMap } from '../../store/openMap.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { thePlanner } from '../../workers/planner.ts';
import { ClassSheet } from './ClassSheet.tsx';
import styles from './drills.module.scss';
import { GoalForm } from './GoalForm.tsx';
import type { Goal, Request } from './request.ts';

/** Classes: the saved ones on the left, the one at hand on the right; a new one is built from goals. */
export function DrillsPlace() {
  const map = useAppSelector(selectMap)!;
  const { classId } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { data: classes, error } = useListDocumentsQuery({ params: { kind: 'class' } });
  const [removeDocument] = useRemoveDocumentMutation();
  const [note, setNote] = useState<PlannedClass>();
  const open = useDocument('class', classId);
  useEditedDocument('class', classId);

  const build = async ({ name, goal, request }: { name: string; goal: Goal; request: Request }) => {
    const planned = await thePlanner().planClass({ ...request, map });
    const taken = (classes ?? []).map(({ id }) => id);
    const plan = classOf(map, freshId(name, taken), name, request, planned);
    const made = await dispatch(createFresh('class', plan, taken));
    if (made.refusal) {
      dispatch(notify({ text: made.refusal.message }));
      return;
    }
    setNote(planned);
    dispatch(startGoal());
    if (planned.unplayable.length > 0) {
      const text = `${planned.unplayable.length} exchanges of ${goal.name} are not played ${request.apparel} and were left out.`;
      dispatch(notify({ text }));
    }
    navigate(classAddress(made.id));
  };
  const remove = async ({ id, name }: ClassPlan) => {
    const address = { kind: 'class' as const, id };
    const { error: refused } = await removeDocument({ params: address });
    dispatch(
      notify(
        refused ? { text: refusalOf(refused).message } : { text: `Removed “${name}”.`, removed: address },
      ),
    );
    if (refused) return;
    dispatch(closeDocument(address));
    navigate(classAddress());
  };
  /** Shows the form at once: what is typed next must not go into the class that was open. */
  const startClass = (event: MouseEvent) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    void navigate(classAddress(), { flushSync: true });
  };
  // What the planner said belongs to the class just built, not to the next one that is opened.
  useEffect(() => {
    if (!classId) setNote(undefined);
  }, [classId]);

  return (
    <>
      <title>{open?.shown ? `${open.shown.name} · Drills` : 'Drills'}</title>
      <header className="place-bar">
        <h1>Drills</h1>
        {open?.shown && (
          <>
            <span className="push" />
            <SaveState />
            <UndoButtons />
            <Link className="btn btn-sm btn-now" to={matAddress(open.shown.id)}>
              <Play size={15} aria-hidden /> Run on the mat
            </Link>
          </>
        )}
      </header>
      <div className={styles['drills-body']}>
        <nav className={styles['class-list']} aria-label="Classes">
          <Link
            className={`${styles['pick-class']} ${classId ? '' : 'on'}`}
            to={classAddress()}
            onClick={startClass}
          >
            <Plus size={16} aria-hidden /> New class
          </Link>
          {(classes ?? []).map(({ id, head }) => (
            <Link
              key={id}
              className={`${styles['pick-class']} ${id === classId ? 'on' : ''}`}
              to={classAddress(id)}
            >
              <span>{head.name}</span>
              <span className="soft small">
                {String(head.minutes)} min, {String(head.people)} people, {String(head.apparel)}
              </span>
            </Link>
          ))}
          {error && <p className="hazard p-2">{refusalOf(error).message}</p>}
        </nav>
        <div className={styles['class-body']}>
          {!classId ? (
            <GoalForm key={map.id} map={map} onBuild={build} />
          ) : open?.shown ? (
            <ClassSheet key={classId} plan={open.shown} planned={note} onRemove={remove} />
          ) : (
            open?.state === 'missing' && (
              <p>
                {open.online
                  ? 'This class is not here any more.'
                  : 'The server cannot be reached; this class is shown once it is.'}
              </p>
            )
          )}
        </div>
      </div>
    </>
  );
}

/** A planned class as the document that is kept. */
function classOf(
  map: GuardMap,
  id: string,
  name: string,
  { minutes, people, apparel }: Request,
  { blocks, leftOver }: PlannedClass,
): ClassPlan {
  const head = { format: CLASS_FORMAT, version: CLASS_VERSION, id, name, map: map.id };
  return ClassSchema.parse({ ...head, minutes, people, apparel, blocks, leftOver });
}
