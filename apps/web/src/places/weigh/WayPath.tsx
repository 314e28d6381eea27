import { holdWords, wordContext } from '@aftersquall/core/body';
import { type GuardMap, timesInTen } from '@aftersquall/core/model';
import { type RoundStory } from '@aftersquall/core/weigh';
import { ArrowRight } from 'lucide-react';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import styles from './roundStory.module.scss';
import { stepWords } from './storyWords.ts';

interface Props {
  map: GuardMap;
  way: NonNullable<RoundStory['way']>;
  onPick: (position: string) => void;
}

/** A way through the map as cards, from where it begins to what it ends in, with what is done between them. */
export function WayPath({ map, way, onPick }: Props) {
  const steps = way.steps.map((step) => ({ ...step, ...stepWords(map, step.exchange) }));
  return (
    <ol className={styles.way} aria-label="Best way through">
      {steps.map(({ position, name, met, chance, exchange }) => {
        const context = wordContext(position);
        return (
          <li key={exchange}>
            <button
              type="button"
              onClick={() => onPick(position.id)}
              title={position.holds.map((hold) => holdWords(hold, context)).join(', ')}
            >
              <PositionPicture position={position} width={108} />
              <b>{position.name}</b>
            </button>
            <p>
              <ArrowRight size={18} aria-hidden />
              <strong>{name}</strong>
              <small>works {timesInTen(chance)},</small>
              <small className="top">most when {met}</small>
            </p>
          </li>
        );
      })}
      <li className={styles.goal}>{steps.at(-1)?.landing}</li>
    </ol>
  );
}
