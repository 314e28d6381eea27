import { holidayOn, isoDay, type TermStory } from '@aftersquall/core/lesson';
import { type Holiday } from '@aftersquall/core/model';
import { addDays, addMinutes, addMonths, format, getDay, parse, parseISO, startOfWeek } from 'date-fns';
import { enGB } from 'date-fns/locale';
import { ChevronLeft, ChevronRight, TriangleAlert } from 'lucide-react';
import { type KeyboardEvent, type SyntheticEvent, useEffect, useMemo, useRef, useState } from 'react';
import { Calendar, type DateLocalizer, dateFnsLocalizer, type EventProps, Views } from 'react-big-calendar';
import dragAndDrop, { type EventInteractionArgs } from 'react-big-calendar/lib/addons/dragAndDrop';
import { say } from './words.ts';
import 'react-big-calendar/lib/css/react-big-calendar.css';
import 'react-big-calendar/lib/addons/dragAndDrop/styles.css';
import { IconButton } from '../../components/IconButton.tsx';
import type { DatedClass } from '../../store/classHead.ts';
import styles from './term.module.scss';

interface ClassEvent {
  plan: DatedClass;
  start: Date;
  end: Date;
  isNew: number;
  back: number;
  broken: boolean;
}

const localizer: DateLocalizer = dateFnsLocalizer({
  format,
  parse,
  startOfWeek: (date: Date) => startOfWeek(date, { weekStartsOn: 1 }),
  getDay,
  locales: { en: enGB },
});
// The add-on is CommonJS: its default export comes one deeper in the built page.
const draggable = (dragAndDrop as unknown as { default?: typeof dragAndDrop }).default ?? dragAndDrop;
const MonthCalendar = draggable<ClassEvent>(Calendar);

/** How far an arrow key moves a class, in days. */
const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

interface Props {
  classes: readonly DatedClass[];
  story: TermStory;
  holidays: readonly Holiday[];
  picked: string | undefined;
  onPick: (id: string) => void;
  onMove: (plan: DatedClass, date: string) => void;
}

/** A month of classes: dragged by mouse, moved by arrow keys a day or a week at a time. */
export function TermCalendar({ classes, story, holidays, picked, onPick, onMove }: Props) {
  const [month, setMonth] = useState(() => parseISO(classes[0]!.when.date));
  const at = classes.find(({ id }) => id === picked)?.when.date;
  /** The class that a key moves: it stands in another cell then, and keeps the focus. */
  const byKey = useRef<string | undefined>(undefined);
  // What is moved into another month is followed there.
  useEffect(() => {
    if (at) setMonth(parseISO(at));
  }, [at]);
  useEffect(() => {
    if (at && month && byKey.current) document.getElementById(buttonId(byKey.current))?.focus();
  }, [at, month]);
  const events = useMemo(
    () =>
      classes.map((plan): ClassEvent => {
        const start = parseISO(`${plan.when.date}T${plan.when.start}`);
        return {
          plan,
          start,
          end: addMinutes(start, plan.minutes),
          isNew: plan.lesson?.steps.length ?? 0,
          back: plan.lesson?.returns.length ?? 0,
          broken: (story.classes.find(({ id }) => id === plan.id)?.broken.length ?? 0) > 0,
        };
      }),
    [classes, story],
  );
  const onKey = (event: ClassEvent, pressed: SyntheticEvent) => {
    const step = STEPS[(pressed as KeyboardEvent).key];
    if (step === undefined) return;
    pressed.preventDefault();
    byKey.current = event.plan.id;
    onMove(event.plan, isoDay(addDays(parseISO(event.plan.when.date), step)));
  };
  return (
    <section className={styles.calendar} aria-label="Classes by day">
      <div className={styles.month}>
        <IconButton label="The month before" onClick={() => setMonth(addMonths(month, -1))}>
          <ChevronLeft size={16} aria-hidden />
        </IconButton>
        <h2 aria-live="polite">{format(month, 'MMMM yyyy')}</h2>
        <IconButton label="The month after" onClick={() => setMonth(addMonths(month, 1))}>
          <ChevronRight size={16} aria-hidden />
        </IconButton>
        <span className="soft small">{say.dragClassAnotherDay}</span>
      </div>
      <MonthCalendar
        localizer={localizer}
        culture="en"
        events={events}
        view={Views.MONTH}
        views={[Views.MONTH]}
        onView={() => undefined}
        toolbar={false}
        date={month}
        onNavigate={setMonth}
        drilldownView={null}
        resizable={false}
        showAllEvents
        formats={{ dateFormat: 'd', weekdayFormat: 'EEEE' }}
        components={{ event: DayEvent }}
        selected={events.find(({ plan }) => plan.id === picked)}
        onSelectEvent={({ plan }) => {
          byKey.current = undefined;
          onPick(plan.id);
        }}
        onKeyPressEvent={onKey}
        onEventDrop={({ event, start }: EventInteractionArgs<ClassEvent>) =>
          onMove(event.plan, isoDay(new Date(start)))
        }
        dayPropGetter={(day) => (holidayOn(holidays, isoDay(day)) ? { className: 'no-classes' } : {})}
        eventPropGetter={({ broken }) => (broken ? { className: 'broken' } : {})}
      />
    </section>
  );
}

/** What a day shows of a class: when, what about, how much of it is new and how much comes back. */
function DayEvent({ event: { plan, isNew, back, broken } }: EventProps<ClassEvent>) {
  return (
    // The calendar's rows are those of a table: what stands in one is a cell of it.
    <div role="cell">
      <button type="button" id={buttonId(plan.id)} className="bare">
        <b>
          {plan.when.start} {plan.name}
        </b>
        <small>
          {broken && <TriangleAlert size={12} aria-label="needs what is not taught yet" />} {isNew} new
          {back > 0 && `, ${back} back`}
        </small>
      </button>
    </div>
  );
}

const buttonId = (id: string): string => `day-of-${id}`;
