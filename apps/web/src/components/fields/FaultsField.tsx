import { type Fault, freshId, type Issue } from '@aftersquall/core';
import { PairsField } from './PairsField.tsx';

interface Props {
  faults: readonly Fault[];
  onChange: (faults: Fault[]) => Issue[];
}

/** What goes wrong and what mends it, in pairs. */
export function FaultsField({ faults, onChange }: Props) {
  const newId = () =>
    freshId(
      `f${faults.length + 1}`,
      faults.map(({ id }) => id),
    );
  return (
    <PairsField
      name="fault"
      asks={['What goes wrong', 'what mends it']}
      pairs={faults.map(({ id, text, mend = '' }) => ({ key: id, first: text, second: mend }))}
      onChange={(place, { key, first, second }) =>
        onChange(faults.with(place, { id: key, text: first, mend: second || undefined }))
      }
      onAdd={(text) => onChange([...faults, { id: newId(), text }])}
      onRemove={(place) => onChange(faults.toSpliced(place, 1))}
    />
  );
}
