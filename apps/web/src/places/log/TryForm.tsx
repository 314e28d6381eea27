import { answerName } from '@aftersquall/core/body';
import { type Club, type GuardMap } from '@aftersquall/core/model';
import { matchSorter } from 'match-sorter';
import { useMemo, useState } from 'react';
import { ChoiceSearch } from '../../components/ChoiceSearch.tsx';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { TakeOut } from '../../components/TakeOut.tsx';
import { device } from '../../device/device.ts';
import styles from './log.module.scss';
import { lineOf } from './logPart.ts';
import { RollForm, rollDraft, type Trial } from './RollForm.tsx';
import { say } from './words.ts';

/** So many answers are offered. */
const MAX_ANSWERS_OFFERED = 7;

interface Props {
  map: GuardMap;
  club: Club | undefined;
  present: readonly { id: string; alias: string }[];
  session: string;
  onTries: (trials: Trial[]) => void;
}

/** A try, found by typing its line: position, move, what it met; then who, against what, and whether it worked. */
export function TryForm({ map, club, present, session, onTries }: Props) {
  const [typed, setTyped] = useState('');
  const [resistance, setResistance] = useState<'light' | 'full'>('full');
  const [athlete, setAthlete] = useState('');
  const lines = useMemo(
    () =>
      map.exchanges.map((exchange) => {
        const words = answerName(map, exchange);
        return { exchange: exchange.id, ...words, line: `${words.position}: ${words.move} | ${words.meets}` };
      }),
    [map],
  );
  /** Whoever asks for another try types on. */
  const [another, setAnother] = useState(false);
  const [chosen, setChosen] = useState<(typeof lines)[number]>();
  const found = typed
    ? matchSorter(lines, typed, { keys: ['move', 'line', 'meets'] }).slice(0, MAX_ANSWERS_OFFERED)
    : [];
  const people = present.length > 0 ? present : (club?.athletes ?? []);
  const someone = people.find(({ id }) => id === athlete);
  const trial = { resistance, ...(someone && { athlete: { id: someone.id, alias: someone.alias } }) };
  const tried = (worked: boolean) => {
    if (!chosen) return;
    const { line: _, ...words } = chosen;
    onTries([{ kind: 'trial', ...words, ...trial, worked, count: 1 }]);
  };
  return (
    <>
      <div className={styles.try}>
        {chosen ? (
          <p className={styles.tried}>
            <b>{lineOf(chosen)}</b> <span className="soft">{chosen.position}</span>
            <TakeOut
              label="Another one"
              onClick={() => {
                setAnother(true);
                setChosen(undefined);
              }}
            />
          </p>
        ) : (
          <ChoiceSearch
            focused={another}
            id="tries"
            label="What was tried"
            listLabel={say.answersMap}
            placeholder="position: move | what top did"
            typed={typed}
            onType={setTyped}
            choices={found.map(({ exchange, move, meets, position }) => ({
              key: exchange,
              name: lineOf({ move, meets }),
              what: position,
            }))}
            onPick={(place) => {
              setChosen(found[place]);
              setTyped('');
            }}
          />
        )}
        <SelectField
          label="Who"
          hideLabel
          value={athlete}
          choices={[
            { value: '', name: 'anybody' },
            ...people.map(({ id, alias }) => ({ value: id, name: alias })),
          ]}
          onChange={setAthlete}
        />
        <ChoiceToggle
          label="Against"
          value={resistance}
          choices={[
            ['light', 'light'],
            ['full', 'full'],
          ]}
          onChange={setResistance}
        />
        <button type="button" className="btn btn-now" disabled={!chosen} onClick={() => tried(true)}>
          Worked
        </button>
        <button type="button" className="btn btn-plain" disabled={!chosen} onClick={() => tried(false)}>
          Did not
        </button>
      </div>
      <details open={device.cells.draft(rollDraft(session)) !== undefined}>
        <summary>A whole roll or match, line by line</summary>
        <RollForm map={map} session={session} trial={trial} onTries={onTries} />
      </details>
    </>
  );
}
