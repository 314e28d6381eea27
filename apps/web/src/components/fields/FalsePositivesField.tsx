import type { Issue } from '@aftersquall/core/documents';
import type { FalsePositive } from '@aftersquall/core/model';
import { useState } from 'react';
import { PairsField } from './PairsField.tsx';

interface Props {
  found: readonly FalsePositive[];
  onChange: (found: FalsePositive[]) => Issue[];
}

/** What seems to work only against a kind partner, and the honest test of it. A new one is kept once it has its test. */
export function FalsePositivesField({ found, onChange }: Props) {
  const [begun, setBegun] = useState('');
  const pairs = [...found, ...(begun ? [{ text: begun, test: '' }] : [])];
  const change = (place: number, text: string, test: string): Issue[] => {
    if (place < found.length) return onChange(found.with(place, { text, test }));
    if (!test) {
      setBegun(text);
      return [];
    }
    const issues = onChange([...found, { text, test }]);
    if (issues.length === 0) setBegun('');
    return issues;
  };
  return (
    <PairsField
      name="fake success"
      asks={['Fake success', 'how to test it honestly']}
      pairs={pairs.map(({ text, test }, i) => ({ key: String(i), first: text, second: test }))}
      onChange={(place, { first, second }) => change(place, first, second)}
      onAdd={(text) => {
        setBegun(text);
        return [];
      }}
      onRemove={(place) => (place < found.length ? onChange(found.toSpliced(place, 1)) : setBegun(''))}
    />
  );
}
