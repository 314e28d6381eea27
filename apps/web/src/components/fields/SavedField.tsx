import type { Issue } from '@aftersquall/core/documents';
import { type KeyboardEvent, type MouseEvent, useEffect, useId, useRef, useState } from 'react';
import { Form } from 'react-bootstrap';
import { say } from '../words.ts';
import { useDraft } from './useDraft.tsx';

interface Props {
  label: string;
  value: string;
  /** Saves the text and gives back what is wrong with it; nothing is saved then. */
  onSave: (text: string) => Issue[] | string | undefined;
  lines?: number;
  placeholder?: string;
  type?: 'text' | 'number';
  hideLabel?: boolean;
  unit?: string;
  /** The most letters that the field takes: said while one comes near it. */
  limit?: number;
}

/** The count of letters is shown from this share of the limit on. */
const NEAR_LIMIT = 0.9;

/**
 * A field that saves itself: when one leaves it, presses Enter or Escape, goes elsewhere, or the page is hidden. What is
 * typed is a draft on the device until then, and comes back after a crash. What is refused stays in the field, with the
 * reason under it.
 */
export function SavedField({
  label,
  value,
  onSave,
  lines,
  placeholder,
  type = 'text',
  hideLabel,
  unit,
  limit,
}: Props) {
  const id = useId();
  const draft = useDraft(value, label);
  const { text, dirty, theirs, restored } = draft;
  const [trouble, setTrouble] = useState('');
  /** What was refused is not sent again until it is another text. */
  const refused = useRef<string>(undefined);

  const save = () => {
    if (!dirty) return setTrouble('');
    if (refused.current === text) return;
    const wrong = onSave(text);
    const words = typeof wrong === 'string' ? wrong : (wrong ?? []).map((issue) => issue.message).join('; ');
    refused.current = words ? text : undefined;
    setTrouble(words);
    if (!words) draft.settle(text);
  };
  /** Only what was typed here and now is saved when the field goes. */
  const typed = useRef(false);
  const latest = useRef(save);
  latest.current = save;
  useEffect(() => {
    const onHidden = () => document.visibilityState === 'hidden' && latest.current();
    const onLeave = () => latest.current();
    document.addEventListener('visibilitychange', onHidden);
    addEventListener('pagehide', onLeave);
    return () => {
      document.removeEventListener('visibilitychange', onHidden);
      removeEventListener('pagehide', onLeave);
      // Closed, or gone elsewhere: what was typed becomes a change.
      if (typed.current) latest.current();
    };
  }, []);
  const giveUp = () => {
    refused.current = undefined;
    setTrouble('');
    draft.settle();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !lines) save();
    if (event.key === 'Escape') {
      event.stopPropagation();
      (event.target as HTMLElement).blur();
    }
  };
  const control = (
    <Form.Control
      as={lines ? 'textarea' : 'input'}
      {...(lines ? { rows: lines } : { type: 'text', inputMode: type === 'number' ? 'decimal' : 'text' })}
      size="sm"
      value={text}
      placeholder={placeholder}
      isInvalid={Boolean(trouble)}
      onChange={(event) => {
        typed.current = true;
        draft.type(event.target.value);
      }}
      onBlur={save}
      onKeyDown={onKeyDown}
    />
  );
  const isLong = limit !== undefined && text.length > NEAR_LIMIT * limit;
  return (
    <Form.Group controlId={id} className="saved-field">
      <Form.Label visuallyHidden={Boolean(hideLabel)}>{label}</Form.Label>
      {unit ? (
        <div className="input-group input-group-sm has-validation">
          {control}
          <span className="input-group-text">{unit}</span>
        </div>
      ) : (
        control
      )}
      {isLong && (
        <div className={`form-text ${text.length > limit ? 'hazard' : ''}`} aria-live="polite">
          {text.length} of at most {limit} letters
        </div>
      )}
      {trouble && <div className="invalid-feedback d-block">{trouble}</div>}
      {theirs !== undefined && (
        <div className="form-text" role="status">
          Somebody just changed this to “{theirs}”. Leave the field to save yours.
        </div>
      )}
      {restored && !trouble && (
        <div className="form-text" role="status">
          {say.typedBeforeNotSaved}{' '}
          <button type="button" className="btn btn-link btn-sm p-0" onMouseDown={stayInField} onClick={save}>
            Save it
          </button>
        </div>
      )}
      {(trouble || theirs !== undefined || restored) && (
        <button type="button" className="btn btn-link btn-sm p-0" onMouseDown={stayInField} onClick={giveUp}>
          Back to what is saved
        </button>
      )}
    </Form.Group>
  );
}

/** Leaving the field would save it before the button is heard. */
const stayInField = (event: MouseEvent): void => event.preventDefault();

/** Reads a number as people write it ("1,5" too); undefined for nothing, NaN for what is none. */
export function readNumber(text: string): number | undefined {
  const trimmed = text.trim().replace(',', '.');
  return trimmed === '' ? undefined : Number(trimmed);
}
