import { levelWords, pointsText, signedPoints } from '@aftersquall/core/weigh';
import { useAppSelector } from '../store/store.ts';
import { say } from './words.ts';

interface Props {
  /** Points of a round. */
  value: number;
  /** Worked out for the map as it was. */
  stale?: boolean;
  /** Says that it is points, where that is not plain. */
  inWords?: boolean;
}

/** What something is worth; what is no longer so looks so, here or inside of what is stale. */
export function Worth({ value, stale, inWords }: Props) {
  const level = useAppSelector(({ settings }) => settings.level);
  const text = pointsText(value);
  return (
    <span
      className={`worth ${text.startsWith('−') ? 'top' : 'own'} ${stale ? 'stale' : ''}`}
      title={say.pointsRoundHereSweep(levelWords(level))}
    >
      {inWords ? `${signedPoints(value)} points` : text}
    </span>
  );
}
