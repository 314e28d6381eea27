interface Props<T extends string> {
  label: string;
  value: T;
  choices: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}

/** Two or three choices side by side, the one in force filled. */
export function ChoiceToggle<T extends string>({ label, value, choices, onChange }: Props<T>) {
  return (
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
}
