import { OUTCOME_WORDS } from '@aftersquall/core/body';
import {
  type GuardMap,
  indexMap,
  JOINTS,
  OUTCOMES,
  type Outcome,
  type WhatIf,
} from '@aftersquall/core/model';
import { pointsText } from '@aftersquall/core/weigh';
import { useMemo } from 'react';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { TakeOut } from '../../components/TakeOut.tsx';
import type { Changes } from '../../store/whatIf.ts';
import { exchangeName } from './exchangeName.ts';
import { Slider } from './Slider.tsx';
import styles from './weigh.module.scss';
import { takenAway, withoutChoices, withoutTaken } from './without.ts';
import { say as texts } from './words.ts';

/** The most that an ending may be made worth beside its points, either way. */
const MOST_WORTH = 100;

interface Props {
  map: GuardMap;
  whatIf: WhatIf;
  change: (some: Partial<Changes>) => void;
}

/** Everything that can be asked about: worths, what is taken away, sore joints, other chances. */
export function WhatIfPane({ map, whatIf, change }: Props) {
  const index = indexMap(map);
  const { settings } = map;
  const choices = useMemo(() => withoutChoices(map), [map]);
  /** What the map says itself is no change. */
  const setNumber = (what: 'submissionWorth' | 'continuation' | 'rest', value: number) =>
    change({ [what]: value === settings[what] ? undefined : value });
  const setWorth = (outcome: Outcome, text: string): string | undefined => {
    const worth = readNumber(text) ?? 0;
    if (!(Math.abs(worth) <= MOST_WORTH)) return `From −${MOST_WORTH} to ${MOST_WORTH} points.`;
    const { [outcome]: _, ...others } = whatIf.outcomeWorth;
    change({ outcomeWorth: worth === 0 ? others : { ...others, [outcome]: worth } });
    return undefined;
  };
  return (
    <>
      <h2 className="mt-3">What if…</h2>
      <Slider
        label={texts.submissionWorth}
        value={whatIf.submissionWorth ?? settings.submissionWorth}
        least={0}
        most={20}
        step={0.5}
        say={(value) => `${value} points`}
        onChange={(value) => setNumber('submissionWorth', value)}
      />
      <Slider
        label={texts.roundGoes}
        value={whatIf.continuation ?? settings.continuation}
        least={0.8}
        most={0.98}
        step={0.01}
        say={(value) => `${Math.round(value * 100)} % each ${settings.roundPace} s`}
        onChange={(value) => setNumber('continuation', value)}
      />
      <Slider
        label="Waiting is worth"
        value={whatIf.rest ?? settings.rest}
        least={-3}
        most={3}
        step={0.1}
        say={(value) => `${pointsText(value, 1)} points`}
        onChange={(value) => setNumber('rest', value)}
      />
      <div className="mt-3">
        <SelectField
          label="Without"
          value=""
          choices={choices}
          onChange={(choice) => change(withoutTaken(map, whatIf, choice))}
        />
        <ul className={`list-unstyled ${styles.taken}`} aria-label="Left out">
          {takenAway(map, whatIf).map(({ key, name, back }) => (
            <li key={key} className="chip on">
              {name}
              <TakeOut label={`Put back: ${name}`} onClick={() => change(back)} />
            </li>
          ))}
        </ul>
      </div>
      <fieldset className="mt-3">
        <legend className="form-label">Sore: do not load it</legend>
        <div className="d-flex flex-wrap gap-1">
          {JOINTS.map((joint) => {
            const on = whatIf.sparedJoints.includes(joint);
            return (
              <button
                key={joint}
                type="button"
                className={`btn btn-sm ${on ? 'btn-dark' : 'btn-plain'}`}
                aria-pressed={on}
                onClick={() =>
                  change({
                    sparedJoints: on
                      ? whatIf.sparedJoints.filter((one) => one !== joint)
                      : [...whatIf.sparedJoints, joint],
                  })
                }
              >
                {joint}
              </button>
            );
          })}
        </div>
        {whatIf.sparedJoints.length > 0 && <p className="soft small mt-1">{texts.movesLoadLeftOut}</p>}
      </fieldset>
      {whatIf.chances.length > 0 && <h3 className="mt-3">Other chances</h3>}
      {whatIf.chances.map(({ exchange: id, chance }) => (
        <Slider
          key={id}
          label={exchangeName(map, id)}
          value={chance}
          least={0}
          most={1}
          step={0.01}
          say={(value) =>
            `${Math.round(value * 100)} %, ${Math.round((index.exchange.get(id)?.chance ?? 0) * 100)} % mapped`
          }
          onChange={(value) =>
            change({
              chances: whatIf.chances.map((one) => (one.exchange === id ? { ...one, chance: value } : one)),
            })
          }
          onAway={() => change({ chances: whatIf.chances.filter(({ exchange }) => exchange !== id) })}
        />
      ))}
      <details className="mt-3" open={Object.values(whatIf.outcomeWorth).some(Boolean)}>
        <summary>What an ending is worth besides points</summary>
        <p className="soft small">{texts.withoutMapSubmissionsCounts}</p>
        {OUTCOMES.map((outcome) => (
          <div key={outcome} className={styles['outcome-worth']}>
            <SavedField
              label={OUTCOME_WORDS[outcome]}
              type="number"
              value={String(whatIf.outcomeWorth[outcome] ?? 0)}
              onSave={(text) => setWorth(outcome, text)}
            />
          </div>
        ))}
      </details>
    </>
  );
}
