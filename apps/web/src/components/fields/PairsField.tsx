import type { Issue } from '@aftersquall/core/documents';
import { Plus } from 'lucide-react';
import { Fragment, type ReactNode, useState } from 'react';
import { TakeOut } from '../TakeOut.tsx';
import { SavedField } from './SavedField.tsx';

interface Pair {
  key: string;
  first: string;
  second: string;
}

interface Props {
  /** What one pair is called: "fault". */
  name: string;
  /** What stands in the two fields while they are empty. */
  asks: [first: string, second: string];
  pairs: readonly Pair[];
  onChange: (place: number, pair: Pair) => Issue[];
  onAdd: (first: string) => Issue[];
  onRemove: (place: number) => void;
  /** What else is said of a pair, under it. */
  below?: (place: number) => ReactNode;
}

/** Two short texts that belong together, a row each: what goes wrong and what mends it. */
export function PairsField({ name, asks, pairs, onChange, onAdd, onRemove, below }: Props) {
  const [text, setText] = useState('');
  const add = () => {
    if (text.trim() && onAdd(text.trim()).length === 0) setText('');
  };
  const called = `${name.charAt(0).toUpperCase()}${name.slice(1)}`;
  return (
    <div className="faults">
      {pairs.map((pair, place) => (
        <Fragment key={pair.key}>
          <div className="fault-row">
            <SavedField
              label={`${called} ${place + 1}`}
              hideLabel
              value={pair.first}
              onSave={(first) => onChange(place, { ...pair, first })}
            />
            <SavedField
              label={`${asks[1].replace(/^./, (c) => c.toUpperCase())}: ${name} ${place + 1}`}
              hideLabel
              placeholder={asks[1]}
              value={pair.second}
              onSave={(second) => onChange(place, { ...pair, second })}
            />
            <TakeOut label={`Remove ${name} ${place + 1}`} onClick={() => onRemove(place)} />
          </div>
          {below?.(place)}
        </Fragment>
      ))}
      <div className="fault-row">
        <input
          className="form-control form-control-sm"
          aria-label={`New ${name}`}
          placeholder={asks[0]}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
        <button type="button" className="btn btn-sm btn-plain" disabled={!text.trim()} onClick={add}>
          <Plus size={14} aria-hidden /> {name}
        </button>
      </div>
    </div>
  );
}
