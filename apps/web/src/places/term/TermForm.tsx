import { type Command, edit, type Issue, put, remove } from '@aftersquall/core/documents';
import { isoDay, termDates } from '@aftersquall/core/lesson';
import {
  type Club,
  freshId,
  type GuardMap,
  type Holiday,
  indexMap,
  type TermSlot,
} from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { addDays, addWeeks, isMonday, nextMonday, parseISO } from 'date-fns';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { DayField } from '../../components/fields/DayField.tsx';
import { rootChoices } from '../../components/fields/rootChoices.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { IconButton } from '../../components/IconButton.tsx';
import type { DatedClass } from '../../store/classHead.ts';
import { logMissing, useFigures } from '../../store/records/useFigures.ts';
import type { Held } from '../../store/records/useHeld.ts';
import { useAppSelector } from '../../store/store.ts';
import { keepTerm } from './keepTerm.ts';
import styles from './term.module.scss';
import { usePlanning } from './usePlanning.ts';
import { say } from './words.ts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MOST_WEEKS = 26;

interface Props {
  map: GuardMap;
  club: Club;
  classes: readonly DatedClass[];
  held: Held;
  onClub: (command: Command, announce?: string) => Issue[];
  onPlanned: (first: string) => void;
}

/** When classes are held and what they work through: a class for every day is made of that. */
export function TermForm({ map, club, classes, held, onClub, onPlanned }: Props) {
  const goal = useAppSelector((state) => state.classGoal);
  const { apparel, rules } = useAppSelector(({ settings }) => settings);
  const { map: figured, on } = useFigures(map, goal.figures);
  const missing = logMissing(on);
  const today = new Date();
  const [from, setFrom] = useState(isoDay(isMonday(today) ? today : nextMonday(today)));
  const [weeks, setWeeks] = useState(6);
  const [themes, setThemes] = useState<string[]>([]);
  const { progress, run, stop } = usePlanning();
  const index = indexMap(map);
  const { slots, holidays } = club;
  const free = termDates(slots, { from, weeks, holidays }).filter(
    ({ date, start }) => !classes.some(({ when }) => when.date === date && when.start === start),
  );
  const roots = rootChoices(map);
  const change = <K extends 'slot' | 'holiday'>(
    kind: K,
    before: K extends 'slot' ? TermSlot : Holiday,
    after: Partial<TermSlot & Holiday>,
  ) => onClub(edit(kind, before as never, { ...before, ...after } as never));
  const addSlot = () => {
    const id = freshId(
      'time',
      slots.map((one) => one.id),
    );
    onClub(put('slot', { id, weekday: 2, start: '18:30', minutes: 60 }));
  };
  const addHoliday = () => {
    const id = freshId(
      'holiday',
      holidays.map((one) => one.id),
    );
    const first = addWeeks(parseISO(from), 2);
    const [begins, ends] = [isoDay(first), isoDay(addDays(first, 6))];
    onClub(put('holiday', { id, name: 'Holidays', from: begins, to: ends }));
  };
  const plan = () =>
    run(
      keepTerm(
        {
          map: figured,
          dates: free,
          themes,
          held: held.held(classes),
          faults: held.faults,
          figures: goal.figures,
          people: Number(goal.people) || 14,
          apparel,
          level: goal.level,
          youth: goal.youth,
          rules: SHIPPED_PROFILES.find(({ id }) => id === rules),
          method: goal.method,
          sides: goal.sides,
        },
        [],
        onPlanned,
      ),
    );
  return (
    <section className={styles.form} aria-label="Plan a term">
      <div className={styles.columns}>
        <fieldset>
          <legend>Times of the week</legend>
          {slots.map((slot) => (
            <div key={slot.id} className={styles.row}>
              <SelectField
                label={say.dayWeek}
                hideLabel
                value={String(slot.weekday)}
                choices={WEEKDAYS.map((name, i) => ({ value: String(i + 1), name }))}
                onChange={(day) => change('slot', slot, { weekday: Number(day) })}
              />
              <SavedField
                label="Starts at"
                hideLabel
                value={slot.start}
                onSave={(start) => change('slot', slot, { start })}
              />
              <SavedField
                label={say.minutesClass}
                hideLabel
                type="number"
                unit="min"
                value={String(slot.minutes)}
                onSave={(text) => change('slot', slot, { minutes: readNumber(text)! })}
              />
              <IconButton bare label="Remove this time" onClick={() => onClub(remove('slot', slot.id))}>
                <X size={14} aria-hidden />
              </IconButton>
            </div>
          ))}
          <button type="button" className="chip" onClick={addSlot}>
            <Plus size={13} aria-hidden /> a time
          </button>
        </fieldset>
        <fieldset>
          <legend>Days without classes</legend>
          {holidays.map((holiday) => (
            <div key={holiday.id} className={styles.row}>
              <SavedField
                label="Holidays"
                hideLabel
                value={holiday.name}
                onSave={(name) => change('holiday', holiday, { name })}
              />
              {(['from', 'to'] as const).map((end) => (
                <DayField
                  key={end}
                  label={end === 'from' ? `${holiday.name}, first day` : `${holiday.name}, last day`}
                  hideLabel
                  value={holiday[end]}
                  onSave={(day) => {
                    // The other end goes along where it would be passed.
                    const moved = { ...holiday, [end]: day };
                    change(
                      'holiday',
                      holiday,
                      moved.from <= moved.to ? { [end]: day } : { from: day, to: day },
                    );
                  }}
                />
              ))}
              <IconButton bare label="Remove it" onClick={() => onClub(remove('holiday', holiday.id))}>
                <X size={14} aria-hidden />
              </IconButton>
            </div>
          ))}
          <button type="button" className="chip" onClick={addHoliday}>
            <Plus size={13} aria-hidden /> holidays
          </button>
        </fieldset>
        <fieldset>
          <legend>Themes in this order, then what helps most</legend>
          {themes.length > 0 && (
            <ol>
              {themes.map((id) => (
                <li key={id}>
                  {index.position.get(id)!.name}{' '}
                  <IconButton
                    bare
                    label="Leave it out"
                    onClick={() => setThemes(themes.filter((one) => one !== id))}
                  >
                    <X size={14} aria-hidden />
                  </IconButton>
                </li>
              ))}
            </ol>
          )}
          <SelectField
            label="Work through"
            hideLabel
            value=""
            choices={[
              { value: '', name: say.addPlaceStart },
              ...roots.filter(({ value }) => !themes.includes(value)),
            ]}
            onChange={(id) => id && setThemes([...themes, id])}
          />
        </fieldset>
      </div>
      <div className={styles.go}>
        <DayField label="From" value={from} onSave={setFrom} />
        <label className="small">
          Weeks{' '}
          <input
            type="number"
            min={1}
            max={MOST_WEEKS}
            className="form-control form-control-sm"
            value={weeks}
            onChange={({ target }) =>
              setWeeks(Math.min(MOST_WEEKS, Math.max(1, Math.round(Number(target.value)) || 1)))
            }
          />
        </label>
        {progress ? (
          <>
            <button type="button" className="btn btn-plain" onClick={stop}>
              Stop
            </button>
            <progress value={progress.done} max={progress.total} aria-label="Classes planned" />
            <span aria-live="polite">
              {progress.done} of {progress.total} classes
            </span>
          </>
        ) : (
          <button
            type="button"
            className="btn btn-now"
            disabled={free.length === 0 || roots.length === 0 || missing !== undefined}
            onClick={() => void plan()}
          >
            Plan {free.length} {free.length === 1 ? 'class' : 'classes'}
          </button>
        )}
        <span className="soft small">
          {missing
            ? say.waitChooseMapsFigures(missing)
            : slots.length === 0
              ? say.firstSayWhenClasses
              : roots.length === 0
                ? say.mapHasNoMoves
                : free.length === 0
                  ? say.allTheseDaysHave
                  : `For ${goal.people} people, ${goal.level}${goal.youth ? ', youth' : ''}, ${apparel}, as in “New class”. Days that already have a class stay as they are.`}
        </span>
      </div>
    </section>
  );
}
