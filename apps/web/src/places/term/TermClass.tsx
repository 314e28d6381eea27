import { holidayOn, type TermClassStory } from '@aftersquall/core/lesson';
import { type GuardMap, type Holiday, indexMap, type Lesson } from '@aftersquall/core/model';
import { signedPoints } from '@aftersquall/core/weigh';
import { format, parseISO } from 'date-fns';
import { RefreshCw } from 'lucide-react';
import { Link } from 'react-router';
import { classAddress } from '../../components/addresses.ts';
import { DayField } from '../../components/fields/DayField.tsx';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import type { DatedClass } from '../../store/classHead.ts';
import type { Held } from '../../store/records/useHeld.ts';
import { renewTerm } from './renewTerm.ts';
import styles from './term.module.scss';
import { usePlanning } from './usePlanning.ts';

interface Props {
  map: GuardMap;
  plan: DatedClass;
  classes: readonly DatedClass[];
  held: Held;
  story: TermClassStory | undefined;
  holidays: readonly Holiday[];
  onMove: (date: string) => void;
}

/** So many fading moves are named. */
const NAMED = 6;

/** A gain is told from so many points. */
const TOLD = 0.01;

/** One class of the term: what it teaches, what comes back in it and why, what it stands on that is missing. */
export function TermClass({ map, plan, classes, held, story, holidays, onMove }: Props) {
  const { lesson, when } = plan;
  const later = classes.slice(classes.indexOf(plan)).filter((one) => one.lesson && !held.isRecorded(one));
  const { progress, run, stop } = usePlanning();
  const holiday = holidayOn(holidays, when.date);
  const root = lesson && indexMap(map).position.get(lesson.root);
  return (
    <aside className={styles.card} aria-label="The class">
      <p className="soft small">
        {format(parseISO(when.date), 'EEEE d MMMM')}, {when.start}, {plan.minutes} minutes
      </p>
      <h2>
        {root && <PositionPicture position={root} width={96} />}
        <Link to={classAddress(plan.id)}>{plan.name}</Link>
      </h2>
      {holiday && <p className="notice">In {holiday.name}: no classes are held then.</p>}
      {story && story.broken.length > 0 && (
        <div className="notice hazard" role="note">
          {story.broken.map((text) => (
            <p key={text}>{text}</p>
          ))}
        </div>
      )}
      {lesson && (
        <>
          {lesson.value - lesson.before >= TOLD && (
            <p>Worth {signedPoints(lesson.value - lesson.before)} a round from here.</p>
          )}
          {lesson.faults.length > 0 && (
            <>
              <h3>Starts with</h3>
              <ul className={styles.faults}>
                {lesson.faults.map(({ of, id, name, fault }) => (
                  <li key={`${of} ${id} ${fault}`}>
                    {fault} <small className="soft">{name}</small>
                  </li>
                ))}
              </ul>
            </>
          )}
          {lesson.returns.length > 0 && (
            <>
              <h3>Comes back first</h3>
              <ul>
                {byMove(lesson.returns).map(({ move, name, why, answers }) => (
                  <li key={move}>
                    {name}{' '}
                    <small className="soft">
                      {answers > 1 && `${answers} answers. `}
                      {why}
                    </small>
                  </li>
                ))}
              </ul>
            </>
          )}
          <h3>New</h3>
          <ol>
            {lesson.steps.map(({ move, name }) => (
              <li key={move}>{name}</li>
            ))}
          </ol>
        </>
      )}
      {story && story.fading.length > 0 && (
        <>
          <h3>Fading, not in this class</h3>
          <ul>
            {story.fading.slice(0, NAMED).map(({ move, name, kept }) => (
              <li key={move}>
                {name} <small className="soft">{Math.round(kept * 100)} % still fresh</small>
              </li>
            ))}
            {story.fading.length > NAMED && <li className="soft">and {story.fading.length - NAMED} more</li>}
          </ul>
        </>
      )}
      <div className={styles.actions}>
        <DayField label="Day" value={when.date} onSave={onMove} />
        {later.length > 0 &&
          (progress ? (
            <button type="button" className="btn btn-sm btn-plain" onClick={stop}>
              Stop ({progress.done} of {progress.total})
            </button>
          ) : (
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() => void run(renewTerm(map, plan, classes, held))}
            >
              <RefreshCw size={14} aria-hidden />{' '}
              {later.length === 1 ? 'Plan it again' : `Plan it and the ${later.length - 1} after it again`}
            </button>
          ))}
      </div>
    </aside>
  );
}

/** Every move that comes back once, with how many of its answers do. */
function byMove(returns: Lesson['returns']): (Lesson['returns'][number] & { answers: number })[] {
  const moves = new Map<string, Lesson['returns'][number] & { answers: number }>();
  for (const one of returns)
    moves.set(one.move, { ...one, answers: (moves.get(one.move)?.answers ?? 0) + 1 });
  return [...moves.values()];
}
