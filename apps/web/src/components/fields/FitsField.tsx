import { type Issue, zodIssues } from '@aftersquall/core/documents';
import { BUILD_VALUES, type Fit, FitSchema } from '@aftersquall/core/model';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import styles from './fields.module.scss';
import { SelectField, wordChoices } from './SelectField.tsx';

interface Props {
  fits: readonly Fit[];
  onChange: (fits: Fit[]) => Issue[];
}

const EFFECTS: [string, string][] = [
  ['2', 'made for it'],
  ['1', 'helps'],
  ['-1', 'makes it harder'],
  ['-2', 'leave it'],
];

/** Whom it suits and whom not, always with the reason. */
export function FitsField({ fits, onChange }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <div>
      <ul className="list-unstyled mb-1">
        {fits.map((fit, place) => (
          <li key={place} className="d-flex gap-2 align-items-start">
            <b className="fit-effect">{fit.effect > 0 ? `+${fit.effect}` : fit.effect}</b>
            <span className="flex-grow-1">
              {fit.of === 'own' ? 'we' : 'partner'}: {fit.about} {fit.value}.{' '}
              <span className="soft">{fit.why}</span>
            </span>
            <TakeOut
              label={`Remove: ${fit.about} ${fit.value}`}
              onClick={() => onChange(fits.toSpliced(place, 1))}
            />
          </li>
        ))}
      </ul>
      {open ? (
        <FitForm
          onAdd={(fit) => {
            onChange([...fits, fit]);
            setOpen(false);
          }}
        />
      ) : (
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setOpen(true)}>
          <Plus size={14} aria-hidden /> whom it suits
        </button>
      )}
    </div>
  );
}

function FitForm({ onAdd }: { onAdd: (fit: Fit) => void }) {
  const [about, setAbout] = useState<Fit['about']>('limbs');
  const [of, setOf] = useState('own');
  const [value, setValue] = useState('long');
  const [effect, setEffect] = useState('1');
  const [why, setWhy] = useState('');
  const [trouble, setTrouble] = useState('');
  const add = () => {
    const parsed = FitSchema.safeParse({ about, of, value, effect: Number(effect), why: why.trim() });
    if (parsed.success) onAdd(parsed.data);
    else
      setTrouble(
        zodIssues(parsed.error)
          .map(({ message }) => message)
          .join('; '),
      );
  };
  return (
    <div className={styles['hold-form']}>
      <div className={styles['field-grid']}>
        <SelectField
          label="About"
          value={about}
          choices={wordChoices(Object.keys(BUILD_VALUES))}
          onChange={(next) => {
            setAbout(next as Fit['about']);
            setValue(BUILD_VALUES[next as Fit['about']].at(-1)!);
          }}
        />
        <SelectField
          label="That is"
          value={value}
          choices={wordChoices(BUILD_VALUES[about])}
          onChange={setValue}
        />
        <SelectField
          label="Whose"
          value={of}
          choices={[
            { value: 'own', name: 'ours' },
            { value: 'partner', name: "partner's" },
          ]}
          onChange={setOf}
        />
        <SelectField
          label="Effect"
          value={effect}
          choices={EFFECTS.map(([key, name]) => ({ value: key, name }))}
          onChange={setEffect}
        />
      </div>
      <input
        className="form-control form-control-sm"
        aria-label="Why"
        placeholder="why"
        value={why}
        onChange={(event) => setWhy(event.target.value)}
      />
      {trouble && <div className="invalid-feedback d-block">{trouble}</div>}
      <button type="button" className="btn btn-sm btn-now" onClick={add}>
        Add
      </button>
    </div>
  );
}
