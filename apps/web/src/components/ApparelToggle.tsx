import type { Apparel } from '@aftersquall/core/model';
import { ChoiceToggle } from './ChoiceToggle.tsx';

interface Props {
  label?: string;
  value: Apparel;
  onChange: (value: Apparel) => void;
  above?: string;
}

/** With the jacket or without. */
export function ApparelToggle({ label = 'Apparel', value, onChange, above }: Props) {
  return (
    <ChoiceToggle<Apparel>
      label={label}
      value={value}
      choices={[
        ['gi', 'Gi'],
        ['no-gi', 'No-gi'],
      ]}
      onChange={onChange}
      above={above}
    />
  );
}
