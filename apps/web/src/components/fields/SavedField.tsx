import type { Issue } from '@aftersquall/core';
import { type KeyboardEvent, useEffect, useId, useState } from 'react';
import { Form } from 'react-bootstrap';

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
}

/**
 * A field that saves itself when one leaves it or presses Enter, so that closing the browser loses at most what
 * is being typed. What is refused stays in the field, with the reason under it; Escape gives the old text back.
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
}: Props) {
  const id = useId();
  const [text, setText] = useState(value);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    setText(value);
    setTrouble('');
  }, [value]);

  const save = () => {
    if (text === value) {
      setTrouble('');
      return;
    }
    const wrong = onSave(text);
    setTrouble(typeof wrong === 'string' ? wrong : (wrong ?? []).map((issue) => issue.message).join('; '));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !lines) save();
    if (event.key === 'Escape') {
      event.stopPropagation();
      setText(value);
      setTrouble('');
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
      onChange={(event) => setText(event.target.value)}
      onBlur={save}
      onKeyDown={onKeyDown}
    />
  );
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
      {trouble && <div className="invalid-feedback d-block">{trouble}</div>}
    </Form.Group>
  );
}

/** Reads a number as people write it ("1,5" too); undefined for nothing, NaN for what is none. */
export function readNumber(text: string): number | undefined {
  const trimmed = text.trim().replace(',', '.');
  return trimmed === '' ? undefined : Number(trimmed);
}
