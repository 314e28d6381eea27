import { facetName } from '@aftersquall/core/body';
import { FACETS, type Facet, type Signs, signOf } from '@aftersquall/core/model';
import { say } from '../words.ts';
import type { Spot } from './BodyPlan.tsx';
import styles from './bodyPlan.module.scss';
import { facetsIn } from './geometry.ts';
import { PlanChip } from './PlanChip.tsx';

interface Props {
  spot: Spot;
  signs: Signs;
  onChange: (signs: Signs) => void;
}

/** What can be seen of one region, a row of chips for each facet; the usual value says nothing. */
export function SignChoices({ spot, signs, onChange }: Props) {
  const facets = facetsIn(spot.body, spot.region);
  if (facets.length === 0) return <p className="soft">{say.nothingMarkThere}</p>;
  const set = (facet: Facet, value: string) => {
    const { [facet]: _, ...others } = signs;
    onChange(value === FACETS[facet][0] ? others : ({ ...others, [facet]: value } as Signs));
  };
  return facets.map((facet) => (
    <div key={facet} role="group" aria-label={facetName(facet)}>
      <div className="label-small mt-1">{facetName(facet)}</div>
      <div className={styles['plan-chips']}>
        {FACETS[facet].map((value) => (
          <PlanChip key={value} on={signOf(signs, facet) === value} onPick={() => set(facet, value)}>
            {value.replaceAll('-', ' ')}
          </PlanChip>
        ))}
      </div>
    </div>
  ));
}
