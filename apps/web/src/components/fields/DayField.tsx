import { useEffect, useId, useState } from 'react';

interface Props {
  label: string;
  hideLabel?: boolean;
  /** Year-month-day; nothing where there is no day. */
  value: string;
  /** May there be no day at all? */
  optional?: boolean;
  onSave: (day: string) => void;
}

/** While a year is typed it passes through years that nobody means. */
const FIRST_YEAR = 2000;

/** A day that saves itself once it is one; while it is typed it stays in the field. */
export function DayField({ label, hideLabel = false, value, optional = false, onSave }: Props) {
  const id = useId();
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  return (
    <div>
      <label className={hideLabel ? 'visually-hidden' : 'form-label'} htmlFor={id}>
        {label}
      </label>
      <input
        id={id}
        type="date"
        className="form-control form-control-sm"
        value={text}
        onChange={({ target }) => {
          setText(target.value);
          const whole = target.value ? Number(target.value.slice(0, 4)) >= FIRST_YEAR : optional;
          if (whole && target.value !== value) onSave(target.value);
        }}
        onBlur={() => setText(value)}
      />
    </div>
  );
}
