import { type Fault, freshId, type Issue } from '@aftersquall/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import { SavedField } from './SavedField.tsx';

interface Props {
  faults: readonly Fault[];
  onChange: (faults: Fault[]) => Issue[];
}

/** What goes wrong and what mends it, in pairs. */
export function FaultsField({ faults, onChange }: Props) {
  const [text, setText] = useState('');
  const add = () => {
    const id = freshId(
      `f${faults.length + 1}`,
      faults.map((fault) => fault.id),
    );
    if (text.trim() && onChange([...faults, { id, text: text.trim() }]).length === 0) setText('');
  };
  return (
    <div className="faults">
      {faults.map((fault, place) => (
        <div key={fault.id} className="fault-row">
          <SavedField
            label={`Fault ${place + 1}`}
            hideLabel
            value={fault.text}
            onSave={(value) => onChange(faults.with(place, { ...fault, text: value }))}
          />
          <SavedField
            label={`What mends fault ${place + 1}`}
            hideLabel
            placeholder="what mends it"
            value={fault.mend ?? ''}
            onSave={(value) => onChange(faults.with(place, { ...fault, mend: value || undefined }))}
          />
          <TakeOut
            label={`Take out fault ${place + 1}`}
            onClick={() => onChange(faults.toSpliced(place, 1))}
          />
        </div>
      ))}
      <div className="fault-row">
        <input
          className="form-control form-control-sm"
          aria-label="New fault"
          placeholder="What goes wrong"
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
        <button type="button" className="btn btn-sm btn-plain" disabled={!text.trim()} onClick={add}>
          <Plus size={14} aria-hidden /> fault
        </button>
      </div>
    </div>
  );
}
