import type { GuardMap } from '@aftersquall/core/model';
import type { Weighing, WeighOptions } from '@aftersquall/core/weigh';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Chains } from './Chains.tsx';
import { Dilemmas } from './Dilemmas.tsx';
import { Ends } from './Ends.tsx';
import { Holes } from './Holes.tsx';
import type { InsightView } from './insightViews.ts';
import { OpponentPane } from './OpponentPane.tsx';
import { Rests } from './Rests.tsx';
import type { useWhatIf } from './useWhatIf.ts';
import { WhatIfPane } from './WhatIfPane.tsx';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  /** The map that was weighed: what is told of the weighing is told with its names. */
  weighedMap: GuardMap;
  weighing: Weighing;
  options: WeighOptions;
  asked: ReturnType<typeof useWhatIf>;
  /** Whether the weighing is that of the question asked. */
  settled: boolean;
  at: string;
  view: InsightView;
  onView: (view: InsightView) => void;
  onPick: (position: string) => void;
}
/** What to fix first and what to ask: holes, dilemmas, what-ifs, opponents, what the game rests on, how rounds end. */
export function Insights(props: Props) {
  const { map, weighedMap, weighing, options, asked, settled, at, view, onView, onPick } = props;
  const { whatIf, change } = asked;
  return (
    <section className={styles['weigh-column']} aria-label={say.whatFixFirst}>
      <div className={styles['weigh-tabs']}>
        <ChoiceToggle<InsightView>
          label={say.whatLook}
          value={view}
          choices={[
            ['holes', 'Holes'],
            ['dilemmas', 'Dilemmas'],
            ['what-if', 'What if'],
            ['opponent', 'Opponent'],
            ['rests', 'Without…'],
            ['ends', 'Ends'],
            ['chains', 'Chains'],
          ]}
          onChange={onView}
        />
      </div>
      {view === 'holes' && (
        <Holes
          map={weighedMap}
          weighing={weighing}
          options={options}
          settled={settled}
          asked={asked}
          onView={onView}
        />
      )}
      {view === 'what-if' && <WhatIfPane map={map} whatIf={whatIf} change={change} />}
      {view === 'opponent' && (
        <OpponentPane map={map} weighing={weighing} whatIf={whatIf} change={change} at={at} onPick={onPick} />
      )}
      {view === 'dilemmas' && <Dilemmas map={weighedMap} weighing={weighing} onPick={onPick} />}
      {view === 'rests' && <Rests map={map} options={options} />}
      {view === 'ends' && (
        <Ends map={weighedMap} weighing={weighing} options={options} at={at} level={asked.level} />
      )}
      {view === 'chains' && <Chains map={weighedMap} weighing={weighing} options={options} at={at} />}
    </section>
  );
}
