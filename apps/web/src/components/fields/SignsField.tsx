import { facetName, signWords } from '@aftersquall/core/body';
import { FACET_NAMES, FACETS, type Facet, type Signs } from '@aftersquall/core/model';
import { useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import styles from './fields.module.scss';
import { SelectField, wordChoices } from './SelectField.tsx';

interface Props {
  label: string;
  signs: Signs;
  onChange: (signs: Signs) => void;
}

/** Signs as chips; a new one is a facet and its value. */
export function SignsField({ label, signs, onChange }: Props) {
  const [facet, setFacet] = useState<Facet | ''>('');
  const free = FACET_NAMES.filter((name) => !(name in signs));
  const drop = (name: string) =>
    onChange(Object.fromEntries(Object.entries(signs).filter(([other]) => other !== name)));
  return (
    <fieldset aria-label={label} className="chip-field">
      {Object.entries(signs).map(([name, value]) => (
        <span key={name} className={`chip ${name.startsWith('top') ? 'of-top' : ''}`}>
          {signWords(name as Facet, value)}
          <TakeOut label={`Remove: ${signWords(name as Facet, value)}`} onClick={() => drop(name)} />
        </span>
      ))}
      <span className={styles.pair}>
        <SelectField
          label={`${label}: add a sign`}
          hideLabel
          value={facet}
          choices={[
            { value: '', name: '+ sign' },
            ...free.map((name) => ({ value: name, name: facetName(name) })),
          ]}
          onChange={(value) => setFacet(value as Facet | '')}
        />
        {facet && (
          <SelectField
            label={`${label}: its value`}
            hideLabel
            value=""
            choices={[{ value: '', name: 'is…' }, ...wordChoices(FACETS[facet])]}
            onChange={(value) => {
              if (value) onChange({ ...signs, [facet]: value });
              setFacet('');
            }}
          />
        )}
      </span>
    </fieldset>
  );
}
