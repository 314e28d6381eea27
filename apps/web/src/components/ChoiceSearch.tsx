import { type KeyboardEvent, useState } from 'react';
import { ChoiceList, type ListedChoice, stepped } from './ChoiceList.tsx';

interface Props {
  /** Of the list; its options are named after it. */
  id: string;
  label: string;
  listLabel: string;
  placeholder: string;
  typed: string;
  onType: (typed: string) => void;
  choices: readonly ListedChoice[];
  /** By its place in the choices. */
  onPick: (place: number) => void;
  large?: boolean;
  /** Ready to be typed in at once. */
  focused?: boolean;
}

/** A field to search with and its finds under it: arrows walk them, Enter takes one. */
export function ChoiceSearch({
  id,
  label,
  listLabel,
  placeholder,
  typed,
  onType,
  choices,
  onPick,
  large,
  focused = false,
}: Props) {
  const [chosen, setChosen] = useState(0);
  const some = choices.length > 0;
  const onKeyDown = (event: KeyboardEvent) => {
    const next = stepped(event.key, chosen, choices.length);
    if (next !== undefined) setChosen(next);
    else if (event.key !== 'Enter') return;
    else if (choices[chosen]) onPick(chosen);
    event.preventDefault();
  };
  return (
    <>
      <input
        className={`form-control ${large ? 'form-control-lg' : ''}`}
        aria-label={label}
        role="combobox"
        aria-expanded={some}
        aria-controls={id}
        aria-activedescendant={some ? `${id}-${chosen}` : undefined}
        placeholder={placeholder}
        autoFocus={focused}
        value={typed}
        onChange={(event) => {
          onType(event.target.value);
          setChosen(0);
        }}
        onKeyDown={onKeyDown}
      />
      {some && (
        <ChoiceList
          id={id}
          label={listLabel}
          className="standing"
          choices={choices}
          chosen={chosen}
          onPick={onPick}
        />
      )}
    </>
  );
}
