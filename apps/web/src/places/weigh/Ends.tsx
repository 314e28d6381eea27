import { type GuardMap, type PlayLevel } from '@aftersquall/core/model';
import {
  ENDS,
  levelWords,
  pointsText,
  signedPoints,
  type Weighing,
  type WeighOptions,
} from '@aftersquall/core/weigh';
import { SIMULATED, useSimulation } from '../../workers/weighQuestions.ts';
import { HundredRounds } from './HundredRounds.tsx';
import { endWords } from './storyWords.ts';
import styles from './weigh.module.scss';

interface Props {
  map: GuardMap;
  weighing: Weighing;
  options: WeighOptions;
  at: string;
  level: PlayLevel;
}

/** How rounds end from a position: exact, and by chance beside it. */
export function Ends({ map, weighing, options, at, level }: Props) {
  const place = map.positions.findIndex(({ id }) => id === at);
  const played = useSimulation(map, options, place);
  const odds = weighing.odds.from[place];
  if (!odds) return null;
  const shown = ENDS.filter((end) => odds[end] > 0.0005).sort((a, b) => odds[b] - odds[a]);
  return (
    <>
      <h2 className="mt-3">How rounds end from {map.positions[place]?.name}</h2>
      <HundredRounds chances={odds} />
      <table className={`${styles.ends} mt-2`}>
        <caption className="visually-hidden">Chance of each end</caption>
        <thead>
          <tr>
            <td />
            <th scope="col">exact, %</th>
            <th scope="col">played, %</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((end) => (
            <tr key={end}>
              <th scope="row">{endWords(end)}</th>
              <td>{(odds[end] * 100).toFixed(1)}</td>
              <td className="soft">
                {played
                  ? `${(played.share[end] * 100).toFixed(1)} ± ${(played.error[end] * 100).toFixed(1)}`
                  : '…'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className={`${styles.ends} mt-3`}>
        <caption className="label-small">Points of a round from here</caption>
        <tbody>
          {weighing.odds.distribution[place]!.filter(({ chance }) => chance > 0.0005).map(
            ({ points, chance }) => (
              <tr key={points}>
                <th scope="row">{signedPoints(points, Number.isInteger(points) ? 0 : 1)}</th>
                <td className={styles['share-cell']}>
                  <span
                    className={points < 0 ? styles.minus : ''}
                    style={{ '--share': chance } as object}
                    aria-hidden
                  />
                </td>
                <td>{(chance * 100).toFixed(1)} %</td>
              </tr>
            ),
          )}
        </tbody>
      </table>
      <p className="mt-2">
        On average <b>{pointsText(weighing.odds.points[place]!)}</b> points,{' '}
        {weighing.odds.exchanges[place]!.toFixed(1)} moves, {Math.round(weighing.odds.seconds[place]!)} s.
      </p>
      <p className="soft small">
        With {levelWords(level)}
        {weighing.trust > 0 && ', with this opponent’s habits'}. Played: {SIMULATED.toLocaleString('en')}{' '}
        simulated rounds; ± is the luck left in them.
      </p>
    </>
  );
}
