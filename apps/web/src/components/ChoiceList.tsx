export interface ListedChoice {
  key: string;
  name: string;
  /** What it is, in a word or two. */
  what: string;
}

interface Props {
  id: string;
  label: string;
  choices: readonly ListedChoice[];
  /** The one the keys are on; −1 for none yet. */
  chosen: number;
  onPick: (place: number) => void;
  className?: string;
}

/** The list under a field that proposes: the field has the keys and the focus, the list shows where they are. */
export function ChoiceList({ id, label, choices, chosen, onPick, className = '' }: Props) {
  return (
    <div id={id} role="listbox" aria-label={label} className={`choices ${className}`}>
      {choices.map((choice, i) => (
        // biome-ignore lint/a11y/useKeyWithClickEvents: the keys are those of the field above, which keeps the focus
        // biome-ignore lint/a11y/useFocusableInteractive: the field above has the focus and says which option is meant
        <div
          key={choice.key}
          id={`${id}-${i}`}
          role="option"
          aria-selected={i === chosen}
          className={i === chosen ? 'on' : ''}
          // The field keeps the focus, and with it what is being typed.
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onPick(i)}
        >
          <span className="clip">{choice.name}</span>
          <small className="soft">{choice.what}</small>
        </div>
      ))}
    </div>
  );
}

/** The place after an arrow key, or undefined for any other key. */
export function stepped(key: string, place: number, count: number, least = 0): number | undefined {
  if (key === 'ArrowDown') return Math.min(place + 1, count - 1);
  if (key === 'ArrowUp') return Math.max(place - 1, least);
  return undefined;
}
