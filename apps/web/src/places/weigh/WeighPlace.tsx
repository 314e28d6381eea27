import './weigh.scss';
import { SHIPPED_PROFILES, type Weighing, type WeighOptions } from '@aftersquall/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { ApparelToggle } from '../../components/ApparelToggle.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { RulesChoice } from '../../components/RulesChoice.tsx';
import { selectMap } from '../../store/mapSession.ts';
import { setApparel } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useWeighing } from '../../workers/useWeighing.ts';
import { Insights } from './Insights.tsx';
import { PositionPlan } from './PositionPlan.tsx';
import { withoutChoices, withoutOptions } from './without.ts';

/** What the map is worth, where it breaks, and what to fix first. */
export function WeighPlace() {
  const map = useAppSelector(selectMap)!;
  const { apparel, rules } = useAppSelector(({ settings }) => settings);
  const dispatch = useAppDispatch();
  const [params, set] = useAddress();
  const [submission, setSubmission] = useState(map.settings.submissionWorth);
  const [continuation, setContinuation] = useState(map.settings.continuation);
  const [without, setWithout] = useState('');
  const options = useMemo((): WeighOptions => {
    const profile = SHIPPED_PROFILES.find(({ id }) => id === rules);
    return {
      apparel,
      submissionWorth: submission,
      continuation,
      ...(profile && { rules: profile }),
      ...withoutOptions(without),
    };
  }, [apparel, rules, submission, continuation, without]);
  const { weighing, trouble, stale } = useWeighing(map, options);
  const at = params.get('at') ?? '';

  return (
    <>
      <header className="place-bar">
        <h1>Weigh</h1>
        <ApparelToggle value={apparel} onChange={(value) => dispatch(setApparel(value))} />
        <RulesChoice inBar />
        <SelectField
          label="Without"
          hideLabel
          value={without}
          choices={withoutChoices(map)}
          onChange={setWithout}
        />
        <WhatIf
          label="A submission is worth"
          value={submission}
          least={0}
          most={20}
          step={0.5}
          say={(value) => `${value} points`}
          onChange={setSubmission}
        />
        <WhatIf
          label="The round goes on"
          value={continuation}
          least={0.8}
          most={0.98}
          step={0.01}
          say={(value) => `${Math.round(value * 100)} % each 8 s`}
          onChange={setContinuation}
        />
      </header>
      {trouble ? (
        <div className="teach">
          <h1>This map cannot be weighed yet</h1>
          <p>{trouble.replace(/^./, (letter) => letter.toUpperCase())}.</p>
          <Link className="btn btn-now" to={`/${map.id}/map`}>
            To the map
          </Link>
        </div>
      ) : (
        weighing && (
          <div className={`weigh-body ${stale ? 'stale' : ''}`} aria-busy={stale}>
            <Values
              weighing={weighing}
              names={new Map(map.positions.map(({ id, name }) => [id, name]))}
              at={at}
              onPick={(id) => set({ at: id })}
            />
            <PositionPlan map={map} weighing={weighing} at={at || mostVisited(weighing)} />
            <Insights map={map} weighing={weighing} options={options} at={at || mostVisited(weighing)} />
          </div>
        )
      )}
      <p className="visually-hidden" role="status">
        {stale ? 'Weighing' : 'Weighed'}
      </p>
    </>
  );
}

const mostVisited = ({ positions }: Weighing): string =>
  positions.reduce((a, b) => (b.visits > a.visits ? b : a)).position;

interface WhatIfProps {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  say: (value: number) => string;
  onChange: (value: number) => void;
}

function WhatIf({ label, value, least, most, step, say, onChange }: WhatIfProps) {
  return (
    <label className="what-if">
      <span>
        {label} <b>{say(value)}</b>
      </span>
      <input
        type="range"
        className="form-range"
        min={least}
        max={most}
        step={step}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}

interface ValuesProps {
  weighing: Weighing;
  names: ReadonlyMap<string, string>;
  at: string;
  onPick: (id: string) => void;
}

/** Every position with its value, twice where that differs: as mapped, and as if its holes were answered. */
function Values({ weighing, names, at, onPick }: ValuesProps) {
  const sorted = [...weighing.positions].sort((a, b) => b.value - a.value);
  const scale = Math.max(
    1,
    ...weighing.positions.map(({ value, ifAnswered }) => Math.max(Math.abs(value), Math.abs(ifAnswered))),
  );
  const share = (value: number) => `${(value / scale) * 50}%`;
  return (
    <section className="weigh-column" aria-label="Values">
      <p className="entry-value">
        <b>{weighing.entry.toFixed(2)}</b> points a round
        <span className="soft"> as mapped, {weighing.entryIfAnswered.toFixed(2)} if answered</span>
      </p>
      <p className="soft small">
        Against a top who always knows best. {Math.round(weighing.guessed * 100)} % of it rests on the coach’s
        guesses.
      </p>
      <ol className="list-unstyled values">
        {sorted.map(({ position, value, ifAnswered, visits }) => (
          <li key={position}>
            <button
              type="button"
              className={position === at ? 'on' : ''}
              aria-pressed={position === at}
              onClick={() => onPick(position)}
            >
              <span className="clip">{names.get(position)}</span>
              <span className="numbers" title={`comes up ${visits.toFixed(2)} times a round`}>
                {value.toFixed(2)}
                {ifAnswered - value > 0.01 && <small className="soft"> ({ifAnswered.toFixed(2)})</small>}
              </span>
              <span className="value-bar" aria-hidden>
                <span
                  className={value < 0 ? 'minus' : 'plus'}
                  style={
                    value < 0 ? { right: '50%', width: share(-value) } : { left: '50%', width: share(value) }
                  }
                />
                <i style={{ left: `calc(50% + ${share(ifAnswered)})` }} />
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
