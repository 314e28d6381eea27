import { describeHead } from '@aftersquall/core/documents';
import { printCalendar } from '@aftersquall/core/formats';
import { isoDay, type TermStory, tellTerm } from '@aftersquall/core/lesson';
import { type ClassPlan } from '@aftersquall/core/model';
import { addDays, format, parseISO } from 'date-fns';
import { CalendarArrowDown, CalendarPlus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Explained } from '../../components/Explained.tsx';
import { LessonTabs } from '../../components/LessonTabs.tsx';
import { SaveState } from '../../components/SaveState.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { UndoButtons } from '../../components/UndoButtons.tsx';
import { ask } from '../../store/api.ts';
import { type DatedClass, nextOf } from '../../store/classHead.ts';
import { changeDocument, openDocument } from '../../store/documents/engine.ts';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { notify } from '../../store/notices.ts';
import { selectMap } from '../../store/openMap.ts';
import { useHeld } from '../../store/records/useHeld.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useDatedClasses } from '../../store/useClasses.ts';
import { useClub } from '../../store/useClub.ts';
import { RetentionLines } from './RetentionLines.tsx';
import { TermCalendar } from './TermCalendar.tsx';
import { TermClass } from './TermClass.tsx';
import { TermForm } from './TermForm.tsx';
import styles from './term.module.scss';
import { say } from './words.ts';

const NONE: DatedClass[] = [];
const EMPTY_STORY: TermStory = { classes: [], lines: [] };

/** The term: classes on their days, what each stands on and brings back, and how much of every move is kept. */
export function TermPlace() {
  const map = useAppSelector(selectMap)!;
  const dispatch = useAppDispatch();
  const { club, change: changeClub } = useClub();
  const dated = useDatedClasses(map.id);
  const classes = dated ?? NONE;
  const held = useHeld(map, classes);
  const { days, isRecorded } = held;
  const story = useMemo(() => {
    const lessons = classes.flatMap((plan) => {
      const { id, when, lesson } = plan;
      return lesson ? [{ id, ...when, lesson, recorded: isRecorded(plan) }] : [];
    });
    const last = classes.at(-1)?.when.date;
    return last ? tellTerm(map, lessons, { days, until: isoDay(addDays(parseISO(last), 14)) }) : EMPTY_STORY;
  }, [map, classes, days, isRecorded]);
  const [params, set] = useAddress();
  const picked = params.get('class') ?? undefined;
  const setPicked = (id: string) => set({ class: id });
  const [planning, setPlanning] = useState(false);
  // What comes next is open first.
  const open = classes.find(({ id }) => id === picked) ?? nextOf(classes, isRecorded) ?? classes[0];
  useEditedDocument('class', open?.id);
  const move = async (plan: DatedClass, date: string) => {
    if (date === plan.when.date) return;
    setPicked(plan.id);
    const address = { kind: 'class' as const, id: plan.id };
    await dispatch(openDocument(address));
    const issues = dispatch(
      changeDocument(address, describeHead([{ path: ['when'], value: { ...plan.when, date } }]), {
        announce: `“${plan.name}” is on ${format(parseISO(date), 'EEEE d MMMM')} now.`,
      }),
    );
    if (issues.length > 0) dispatch(notify({ text: issues[0]!.message }));
  };
  const saveCalendar = async () => {
    const found = await Promise.all(
      classes.map(({ id }) => ask('getDocument', { params: { kind: 'class', id } })),
    );
    const plans = found.flatMap(({ data: kept }) => (kept ? [kept.document as ClassPlan] : []));
    if (plans.length < classes.length) {
      dispatch(
        notify({
          text: say.serverDoesNotAnswer,
        }),
      );
      return;
    }
    const name = club?.name ?? map.name;
    saveFile(`${map.id}-term.ics`, printCalendar(plans, { name }), 'text/calendar;charset=utf-8');
  };
  const showForm = planning || dated?.length === 0;
  return (
    <>
      <title>Term · Lessons</title>
      <header className="place-bar">
        <h1>Lessons</h1>
        <LessonTabs />
        <span className="push" />
        <SaveState />
        <UndoButtons />
        <button
          type="button"
          className="btn btn-sm btn-plain"
          disabled={classes.length === 0}
          onClick={() => void saveCalendar()}
        >
          <CalendarArrowDown size={15} aria-hidden /> Calendar file
        </button>
        <button
          type="button"
          className={`btn btn-sm ${showForm ? 'btn-plain' : 'btn-now'}`}
          aria-expanded={showForm}
          onClick={() => setPlanning(!planning)}
        >
          <CalendarPlus size={15} aria-hidden /> Plan a term
        </button>
      </header>
      <Explained term="term" />
      <div className={styles.term}>
        {showForm && club && (
          <TermForm
            map={map}
            club={club}
            classes={classes}
            held={held}
            onClub={changeClub}
            onPlanned={(first) => {
              setPlanning(false);
              setPicked(first);
            }}
          />
        )}
        {classes.length > 0 && (
          <>
            <div className={styles.days}>
              <TermCalendar
                classes={classes}
                story={story}
                holidays={club?.holidays ?? []}
                picked={open?.id}
                onPick={setPicked}
                onMove={(plan, date) => void move(plan, date)}
              />
              {open && (
                <TermClass
                  key={open.id}
                  map={map}
                  plan={open}
                  classes={classes}
                  held={held}
                  holidays={club?.holidays ?? []}
                  story={story.classes.find(({ id }) => id === open.id)}
                  onMove={(date) => void move(open, date)}
                />
              )}
            </div>
            <RetentionLines lines={story.lines} />
          </>
        )}
      </div>
    </>
  );
}
