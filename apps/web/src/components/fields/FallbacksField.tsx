import { targetName, type WordContext } from '@aftersquall/core/body';
import { PARTS, type Part, type Side, type Target } from '@aftersquall/core/model';
import { useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import { say } from '../words.ts';
import styles from './fields.module.scss';
import { SelectField, wordChoices } from './SelectField.tsx';

interface Props {
  fallbacks: readonly Target[];
  /** Whose body the hold is on. */
  of: 'top' | 'own';
  context: WordContext;
  onChange: (fallbacks: Target[] | undefined) => void;
}

/** What to take when the first target is not to be had, in the order of worth. */
export function FallbacksField({ fallbacks, of, context, onChange }: Props) {
  const [side, setSide] = useState<Side>('R');
  const set = (next: Target[]) => onChange(next.length > 0 ? next : undefined);
  return (
    <div className="chip-field" role="group" aria-label={say.ifCannotGet}>
      <span className="label-small">else</span>
      {fallbacks.map((target, place) => (
        <span key={place} className="chip">
          {targetName(target, context)}
          <TakeOut
            label={`Remove: ${targetName(target, context)}`}
            onClick={() => set(fallbacks.toSpliced(place, 1))}
          />
        </span>
      ))}
      <span className={styles.pair}>
        <SelectField
          label={say.sideWhatTakenInstead}
          hideLabel
          value={side}
          choices={[
            { value: 'L', name: 'left' },
            { value: 'R', name: 'right' },
            { value: 'C', name: 'middle' },
          ]}
          onChange={(value) => setSide(value as Side)}
        />
        <SelectField
          label={say.whatTakenInstead}
          hideLabel
          value=""
          choices={[{ value: '', name: '+ instead' }, ...wordChoices(PARTS.filter((part) => part !== 'mat'))]}
          onChange={(part) => {
            if (part) set([...fallbacks, { of, part: part as Part, side }]);
          }}
        />
      </span>
    </div>
  );
}
