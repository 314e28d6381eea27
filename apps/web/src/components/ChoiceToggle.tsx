interface Props<T extends string> {
  label: string;
  value: T;
  choices: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  /** Words that stand above it; else the label is only read out. */
  above?: string | undefined;
}

/** Two or three choices side by side, the one in force filled. */
export function ChoiceToggle<T extends string>({ label, value, choices, onChange, above }: Props<T>) {
  const toggle = (
    <fieldset className="btn-group btn-group-sm" aria-label={label}>
      {choices.map(([choice, name]) => (
        <button
          key={choice}
          type="button"
          className={`btn ${choice === value ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={choice === value}
          onClick={() => onChange(choice)}
        >
          {name}
        </button>
      ))}
    </fieldset>
  );
  if (above === undefined) return toggle;
  return (
    <div>
      <div className="form-label" aria-hidden>
        {above}
      </div>
      {toggle}
    </div>
  );
}
