import { contactName, holdWords, type WordContext } from '@aftersquall/core/body';
import { type Issue, zodIssues } from '@aftersquall/core/documents';
import {
  CONTACTS,
  type Contact,
  DEPTHS,
  type Depth,
  freshId,
  HOLD_ACTIONS,
  type Hold,
  HoldSchema,
  PARTS,
  type Part,
  PLACES_ON,
} from '@aftersquall/core/model';
import { Pencil, Plus } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import { FallbacksField } from './FallbacksField.tsx';
import styles from './fields.module.scss';
import { SelectField, wordChoices } from './SelectField.tsx';

interface Props {
  label: string;
  by: 'own' | 'top';
  holds: readonly Hold[];
  context: WordContext;
  onChange: (holds: Hold[]) => Issue[];
  /** The hold that is pointed at, by its id, and who is told when that changes. */
  pointed?: string | undefined;
  onPoint?: (hold: string | undefined) => void;
}

const SIDES = [
  { value: 'L', name: 'their left' },
  { value: 'R', name: 'their right' },
  { value: 'C', name: 'middle' },
];

/** Holds in words, one a line, each to be changed or taken out; a new one is contact, action and target. */
export function HoldsField({ label, by, holds, context, onChange, pointed, onPoint }: Props) {
  const [editing, setEditing] = useState<string>();
  const [troubles, setTroubles] = useState<string[]>([]);
  const save = (hold: Hold) => {
    const exists = holds.some((other) => other.id === hold.id);
    const issues = onChange(
      exists ? holds.map((other) => (other.id === hold.id ? hold : other)) : [...holds, hold],
    );
    setTroubles(issues.map(({ message }) => message));
    if (issues.length === 0) setEditing(undefined);
  };
  return (
    <fieldset aria-label={label} className={styles['holds-field']}>
      <ul className="list-unstyled mb-1">
        {holds.map((hold) => (
          <li
            key={hold.id}
            className={hold.id === pointed ? styles.pointed : ''}
            onPointerEnter={() => onPoint?.(hold.id)}
            onPointerLeave={() => onPoint?.(undefined)}
          >
            <span className={by === 'own' ? 'own-mark' : 'top-mark'}>{holdWords(hold, context, by)}</span>
            <button
              type="button"
              className="bare"
              aria-label={`Change: ${holdWords(hold, context, by)}`}
              onClick={() => setEditing(hold.id)}
            >
              <Pencil size={13} aria-hidden />
            </button>
            <TakeOut
              label={`Remove: ${holdWords(hold, context, by)}`}
              onClick={() => onChange(holds.filter((other) => other !== hold))}
            />
            {editing === hold.id && (
              <HoldForm
                by={by}
                hold={hold}
                taken={holds}
                context={context}
                onSave={save}
                onCancel={() => setEditing(undefined)}
              />
            )}
          </li>
        ))}
      </ul>
      {editing === '' ? (
        <HoldForm
          by={by}
          taken={holds}
          context={context}
          onSave={save}
          onCancel={() => setEditing(undefined)}
        />
      ) : (
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setEditing('')}>
          <Plus size={14} aria-hidden /> hold
        </button>
      )}
      {troubles.map((trouble) => (
        <div key={trouble} className="invalid-feedback d-block">
          {trouble}
        </div>
      ))}
    </fieldset>
  );
}

interface FormProps {
  by: 'own' | 'top';
  hold?: Hold;
  taken: readonly Hold[];
  context: WordContext;
  onSave: (hold: Hold) => void;
  onCancel: () => void;
}

function HoldForm({ by, hold, taken, context, onSave, onCancel }: FormProps) {
  const [contacts, setContacts] = useState<Contact[]>(hold?.contacts ?? []);
  const [action, setAction] = useState<string>(hold?.action ?? 'grip');
  const [of, setOf] = useState<string>(hold?.target.of ?? (by === 'own' ? 'top' : 'own'));
  const [part, setPart] = useState<string>(hold?.target.part ?? 'sleeve');
  const [side, setSide] = useState<string>(hold?.target.side ?? 'R');
  const [at, setAt] = useState<string>(hold?.target.at ?? '');
  const [depth, setDepth] = useState<Depth | ''>(hold?.depth ?? '');
  const [keep, setKeep] = useState(Boolean(hold?.keep));
  const [fallbacks, setFallbacks] = useState(hold?.fallbacks);
  const [troubles, setTroubles] = useState<string[]>([]);
  const places: readonly string[] = PLACES_ON[part as Part] ?? [];

  const submit = (event: FormEvent) => {
    event.preventDefault();
    const onMat = part === 'mat';
    const parsed = HoldSchema.safeParse({
      ...hold,
      id:
        hold?.id ??
        freshId(
          `${contacts.join('-')}-${part}`,
          taken.map(({ id }) => id),
        ),
      contacts,
      action,
      target: {
        of: onMat ? 'mat' : of === 'mat' ? 'top' : of,
        part,
        side: onMat ? 'C' : side,
        ...(places.includes(at) && { at }),
      },
      ...(depth ? { depth } : { depth: undefined }),
      keep: keep || undefined,
      fallbacks: onMat ? undefined : fallbacks,
    });
    if (parsed.success) onSave(parsed.data);
    else setTroubles(zodIssues(parsed.error).map((issue) => `${issue.path.join(' ')}: ${issue.message}`));
  };
  const flip = (contact: Contact) =>
    setContacts(
      contacts.includes(contact) ? contacts.filter((other) => other !== contact) : [...contacts, contact],
    );

  return (
    <form className={styles['hold-form']} onSubmit={submit}>
      <div className="chip-field" role="group" aria-label="With">
        {CONTACTS.map((contact) => (
          <button
            key={contact}
            type="button"
            className={`chip ${contacts.includes(contact) ? 'on' : ''}`}
            aria-pressed={contacts.includes(contact)}
            onClick={() => flip(contact)}
          >
            {contactName(contact)}
          </button>
        ))}
      </div>
      <div className={styles['field-grid']}>
        <SelectField label="Does" value={action} choices={wordChoices(HOLD_ACTIONS)} onChange={setAction} />
        <SelectField label="On" value={part} choices={wordChoices(PARTS)} onChange={setPart} />
        <SelectField label="Side" value={side} choices={SIDES} onChange={setSide} />
        {places.length > 0 && (
          <SelectField
            label="At"
            value={at}
            choices={[{ value: '', name: 'anywhere' }, ...wordChoices(places)]}
            onChange={setAt}
          />
        )}
        <SelectField
          label="Whose"
          value={of}
          choices={[
            { value: 'top', name: "top's" },
            { value: 'own', name: "bottom's" },
          ]}
          onChange={setOf}
        />
        <SelectField
          label="Depth"
          value={depth}
          choices={[{ value: '', name: 'any' }, ...wordChoices(DEPTHS)]}
          onChange={(value) => setDepth(value as Depth | '')}
        />
      </div>
      {part !== 'mat' && (
        <FallbacksField
          fallbacks={fallbacks ?? []}
          of={of === 'own' ? 'own' : 'top'}
          context={context}
          onChange={setFallbacks}
        />
      )}
      <label className="form-check small">
        <input
          type="checkbox"
          className="form-check-input"
          checked={keep}
          onChange={(event) => setKeep(event.target.checked)}
        />{' '}
        Must keep: without it the position is lost
      </label>
      {troubles.map((trouble) => (
        <div key={trouble} className="invalid-feedback d-block">
          {trouble}
        </div>
      ))}
      <div className="d-flex gap-2 mt-1">
        <button type="submit" className="btn btn-sm btn-now">
          {hold ? 'Change the hold' : 'Add the hold'}
        </button>
        <button type="button" className="btn btn-sm btn-plain" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
