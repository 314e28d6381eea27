import { patternWords, type WordContext } from '@aftersquall/core/body';
import { HOLD_ACTIONS, type HoldPattern, PARTS } from '@aftersquall/core/model';
import { useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import styles from './fields.module.scss';
import { SelectField, wordChoices } from './SelectField.tsx';

interface Props {
  label: string;
  patterns: readonly HoldPattern[];
  context: WordContext;
  onChange: (patterns: HoldPattern[]) => void;
}

/** Hold patterns as chips; a new one is an action, a part and a side, any of them left open. */
export function PatternsField({ label, patterns, context, onChange }: Props) {
  const [action, setAction] = useState('');
  const [part, setPart] = useState('');
  const [side, setSide] = useState('');
  const add = () => {
    onChange([
      ...patterns,
      { ...(action && { action }), ...(part && { part }), ...(side && { side }) } as HoldPattern,
    ]);
    setAction('');
    setPart('');
    setSide('');
  };
  const [near, far] = context.leadSide === 'R' ? (['R', 'L'] as const) : (['L', 'R'] as const);
  return (
    <fieldset className="chip-field" aria-label={label}>
      {patterns.map((pattern, place) => (
        <span key={place} className="chip">
          {patternWords(pattern, context)}
          <TakeOut
            label={`Remove: ${patternWords(pattern, context)}`}
            onClick={() => onChange(patterns.toSpliced(place, 1))}
          />
        </span>
      ))}
      <span className={styles.pair}>
        <SelectField
          label={`${label}: action`}
          hideLabel
          value={action}
          choices={[{ value: '', name: 'any hold' }, ...wordChoices(HOLD_ACTIONS)]}
          onChange={setAction}
        />
        <SelectField
          label={`${label}: part`}
          hideLabel
          value={part}
          choices={[{ value: '', name: 'anywhere' }, ...wordChoices(PARTS)]}
          onChange={setPart}
        />
        <SelectField
          label={`${label}: side`}
          hideLabel
          value={side}
          choices={[
            { value: '', name: 'either side' },
            { value: near, name: 'near' },
            { value: far, name: 'far' },
          ]}
          onChange={setSide}
        />
        <button type="button" className="btn btn-sm btn-plain" disabled={!action && !part} onClick={add}>
          Add
        </button>
      </span>
    </fieldset>
  );
}
