import { type PlannedClass, type PlannedLesson } from '@aftersquall/core/lesson';
import {
  CLASS_FORMAT,
  CLASS_VERSION,
  type ClassPlan,
  ClassSchema,
  freshId,
  type GuardMap,
} from '@aftersquall/core/model';
import { format, parseISO } from 'date-fns';
import { Play, Plus } from 'lucide-react';
import { type MouseEvent, useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { classAddress, matAddress } from '../../components/addresses.ts';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Explained } from '../../components/Explained.tsx';
import { LessonTabs } from '../../components/LessonTabs.tsx';
import { SaveState } from '../../components/SaveState.tsx';
import { UndoButtons } from '../../components/UndoButtons.tsx';
import { refusalOf, useListDocumentsQuery, useRemoveDocumentMutation } from '../../store/api.ts';
import { startGoal } from '../../store/classGoal.ts';
import { type ClassHead, isDated, nextOf } from '../../store/classHead.ts';
import type { AskedLesson, Goal, ReviewRequest } from '../../store/classRequest.ts';
import { createFresh } from '../../store/documents/createFresh.ts';
import { forgetDocument } from '../../store/documents/engine.ts';
import { useDocument, useEditedDocument } from '../../store/documents/useDocument.ts';
import { notify } from '../../store/notices.ts';
import { selectMap } from '../../store/openMap.ts';
import { useBeginning } from '../../store/records/useBeginning.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useClasses } from '../../store/useClasses.ts';
import { thePlanner } from '../../workers/planner.ts';
import { useMakeClass } from '../../workers/useMakeClass.ts';
import { ClassSheet } from './ClassSheet.tsx';
import { LessonForm } from './LessonForm.tsx';
import styles from './lessons.module.scss';
import { ReviewForm } from './ReviewForm.tsx';
import { say } from './words.ts';

const NO_CLASSES: ClassHead[] = [];

/** Classes: the saved ones on the left, the one at hand on the right; a new one is a lesson from one place, or a review. */
export function LessonsPlace() {
  const map = useAppSelector(selectMap)!;
  const { classId } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { data: classes, error } = useListDocumentsQuery({ params: { kind: 'class' } });
  const heads = useClasses(map.id) ?? NO_CLASSES;
  const { practice, isRecorded, beginning, last } = useBeginning(map, heads);
  const dated = heads.filter(isDated);
  const [removeDocument] = useRemoveDocumentMutation();
  const [note, setNote] = useState<PlannedClass>();
  const [next, setNext] = useState<PlannedLesson['next']>();
  const [trouble, setTrouble] = useState('');
  const [params, set] = useAddress();
  const asReview = params.get('as') === 'review' || params.has('goal');
  const open = useDocument('class', classId);
  useEditedDocument('class', classId);

  const build = async ({ name, goal, request }: { name: string; goal: Goal; request: ReviewRequest }) => {
    let planned: PlannedClass;
    try {
      planned = await thePlanner().planClass({ ...request, map });
    } catch (error) {
      dispatch(notify({ text: (error as Error).message }));
      return;
    }
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
      const text = say.leftOutAnswersNot(planned.unplayable.length, goal.name, request.apparel);
      dispatch(notify({ text }));
    }
    navigate(classAddress(made.id));
  };
  const makeClass = useMakeClass(map, practice);
  const teach = async (asked: AskedLesson) => {
    setTrouble('');
    const made = await makeClass(asked);
    if ('trouble' in made) return setTrouble(made.trouble);
    setNext(made.next);
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
    dispatch(forgetDocument(address));
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
    if (classId) return;
    setNote(undefined);
    setNext(undefined);
  }, [classId]);

  return (
    <>
      <title>{open?.shown ? `${open.shown.name} · Lessons` : 'Lessons'}</title>
      <header className="place-bar">
        <h1>Lessons</h1>
        <LessonTabs />
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
      {!classId && <Explained term="lessons" />}
      <div className={styles['lessons-body']}>
        <nav className={styles['class-list']} aria-label="Classes">
          <Link
            className={`${styles['pick-class']} ${classId ? '' : 'on'}`}
            to={classAddress()}
            onClick={startClass}
          >
            <Plus size={16} aria-hidden /> New class
          </Link>
          {heads.map(({ id, name, minutes, people, apparel, when }) => (
            <Link
              key={id}
              className={`${styles['pick-class']} ${id === classId ? 'on' : ''}`}
              to={classAddress(id)}
            >
              <span>{name}</span>
              <span className="soft small">
                {when && `${format(parseISO(when.date), 'd MMM')}, ${when.start}; `}
                {minutes} min, {people} people, {apparel}
              </span>
            </Link>
          ))}
          {error && <p className="hazard p-2">{refusalOf(error).message}</p>}
        </nav>
        <div className={styles['class-body']}>
          {!classId ? (
            <>
              <ChoiceToggle
                label={say.whatKindClass}
                value={asReview ? 'review' : 'lesson'}
                choices={[
                  ['lesson', 'A lesson'],
                  ['review', 'A review'],
                ]}
                onChange={(kind) => set({ as: kind === 'review' ? 'review' : undefined, goal: undefined })}
              />
              {asReview ? (
                <ReviewForm key={map.id} map={map} onBuild={build} />
              ) : (
                <LessonForm
                  key={map.id}
                  map={map}
                  trouble={trouble}
                  beginning={beginning}
                  practice={practice}
                  last={last}
                  planned={nextOf(dated, isRecorded)}
                  onBuild={teach}
                />
              )}
            </>
          ) : open?.shown ? (
            <ClassSheet
              key={classId}
              plan={open.shown}
              planned={note}
              next={next}
              onNext={setNext}
              onRemove={remove}
            />
          ) : (
            open?.state === 'missing' && <p>{open.online ? say.classRemoved : say.serverDoesNotAnswer}</p>
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
  { minutes, people, apparel }: ReviewRequest,
  { blocks, leftOver }: PlannedClass,
): ClassPlan {
  const head = { format: CLASS_FORMAT, version: CLASS_VERSION, id, name, map: map.id };
  return ClassSchema.parse({ ...head, minutes, people, apparel, blocks, leftOver });
}
