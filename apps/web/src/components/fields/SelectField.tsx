import { useId } from 'react';
import { Form } from 'react-bootstrap';

export interface Choice {
  value: string;
  name: string;
  group?: string;
}

interface Props {
  label: string;
  value: string;
  choices: readonly Choice[];
  onChange: (value: string) => void;
  hideLabel?: boolean;
}

/** A select whose change counts at once; choices with a group stand under its name. */
export function SelectField({ label, value, choices, onChange, hideLabel }: Props) {
  const id = useId();
  const groups = [...new Set(choices.map(({ group }) => group ?? ''))];
  const options = (group: string) =>
    choices
      .filter((choice) => (choice.group ?? '') === group)
      .map((choice) => (
        <option key={choice.value} value={choice.value}>
          {choice.name}
        </option>
      ));
  return (
    <Form.Group controlId={id}>
      <Form.Label visuallyHidden={Boolean(hideLabel)}>{label}</Form.Label>
      <Form.Select size="sm" value={value} onChange={(event) => onChange(event.target.value)}>
        {groups.map((group) =>
          group ? (
            <optgroup key={group} label={group}>
              {options(group)}
            </optgroup>
          ) : (
            options(group)
          ),
        )}
      </Form.Select>
    </Form.Group>
  );
}

/** Plain words as choices: "two-on-one" → "two on one". */
export const wordChoices = (values: readonly string[]): Choice[] =>
  values.map((value) => ({ value, name: value.replaceAll('-', ' ') }));
