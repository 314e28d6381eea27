import type { GuardMap, Weighing, WeighOptions } from '@aftersquall/core';
import { useState } from 'react';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Chains } from './Chains.tsx';
import { Ends } from './Ends.tsx';
import { Holds } from './Holds.tsx';
import { Holes } from './Holes.tsx';

interface Props {
  map: GuardMap;
  weighing: Weighing;
  options: WeighOptions;
  at: string;
}
type View = 'holes' | 'holds' | 'ends' | 'chains';

/** What to fix first: holes by what they cost, what the game rests on, how rounds end, which guesses matter. */
export function Insights({ map, weighing, options, at }: Props) {
  const [view, setView] = useState<View>('holes');
  return (
    <section className="weigh-column" aria-label="What to fix first">
      <ChoiceToggle<View>
        label="What to look at"
        value={view}
        choices={[
          ['holes', 'Holes'],
          ['holds', 'Holds'],
          ['ends', 'How it ends'],
          ['chains', 'Best chains'],
        ]}
        onChange={setView}
      />
      {view === 'holes' && <Holes map={map} weighing={weighing} />}
      {view === 'holds' && <Holds map={map} options={options} />}
      {view === 'ends' && <Ends map={map} weighing={weighing} options={options} at={at} />}
      {view === 'chains' && <Chains map={map} options={options} at={at} />}
    </section>
  );
}
