import { ChoiceToggle } from './ChoiceToggle.tsx';

interface Props {
  label?: string;
  value: 1 | 2;
  onChange: (sides: 1 | 2) => void;
}

/** Drilled on one side, or on both. */
export function SidesChoice({ label = 'Sides', value, onChange }: Props) {
  return (
    <ChoiceToggle
      label={label}
      above="Sides"
      value={value === 1 ? '1' : '2'}
      choices={[
        ['1', 'One'],
        ['2', 'Both'],
      ]}
      onChange={(sides) => onChange(sides === '1' ? 1 : 2)}
    />
  );
}
