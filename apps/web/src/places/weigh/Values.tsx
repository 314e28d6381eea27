import { type PlayLevel, roundsWords } from '@aftersquall/core/model';
import { levelWords, pointsText, signedPoints, type Weighing } from '@aftersquall/core/weigh';
import { Explained } from '../../components/Explained.tsx';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  weighing: Weighing;
  level: PlayLevel;
  /** Another what-if that it is laid beside. */
  beside: { name: string; weighing: Weighing } | undefined;
  names: ReadonlyMap<string, string>;
  at: string;
  onPick: (id: string) => void;
}

/** A difference below this shows as none. */
const SAME = 0.005;

/** Every position with its value, twice where that differs: as mapped, and as if its holes were answered. */
export function Values({ weighing, level, beside, names, at, onPick }: Props) {
  const sorted = [...weighing.positions].sort((a, b) => b.value - a.value);
  const scale = Math.max(
    1,
    ...weighing.positions.map(({ value, ifAnswered }) => Math.max(Math.abs(value), Math.abs(ifAnswered))),
  );
  const share = (value: number) => `${(value / scale) * 50}%`;
  const others = new Map(beside?.weighing.positions.map(({ position, value }) => [position, value]));
  const human = level.top !== 'knows best';
  return (
    <section className={styles['weigh-column']} aria-label="Values">
      <p className="entry-value">
        <b>{pointsText(weighing.entry)}</b> points a round
        {weighing.entryIfAnswered - weighing.entry > SAME && (
          <span className="soft">, {pointsText(weighing.entryIfAnswered)} with every hole answered</span>
        )}
      </p>
      {weighing.entryIfAnswered - weighing.entry > SAME && <Explained term="answered" />}
      {beside && (
        <p className="beside" role="note">
          <b>{signedPoints(weighing.entry - beside.weighing.entry)}</b> on “{beside.name}”, worth{' '}
          {pointsText(beside.weighing.entry)}
        </p>
      )}
      <p className="soft small">
        With {levelWords(level)}
        {human && `; ${pointsText(weighing.knowsBest.entry)} if both play perfectly`}.{' '}
        {weighing.trust > 0 && say.againstOpponentsHabits(pointsText(weighing.gain))}
        {(human || weighing.trust > 0) && say.ifPlayPerfectlyKeep(pointsText(weighing.worst))}
      </p>
      <ol className={`list-unstyled ${styles.values}`}>
        <li>
          <button
            type="button"
            className={at === '' ? 'on' : ''}
            aria-pressed={at === ''}
            onClick={() => onPick('')}
          >
            <b>The whole round</b>
            <span className="numbers">{pointsText(weighing.entry)}</span>
          </button>
        </li>
        {sorted.map(({ position, value, knowsBest, ifAnswered, visits }) => {
          const change = beside && value - (others.get(position) ?? 0);
          return (
            <li key={position}>
              <button
                type="button"
                className={position === at ? 'on' : ''}
                aria-pressed={position === at}
                onClick={() => onPick(position)}
              >
                <span className="clip">{names.get(position)}</span>
                <span
                  className="numbers"
                  title={`comes up ${roundsWords(visits)}; ${pointsText(knowsBest)} points if both play perfectly`}
                >
                  {pointsText(value)}
                  {change !== undefined
                    ? Math.abs(change) > SAME && (
                        <small className={change > 0 ? 'own' : 'top'}>
                          {' '}
                          {change > 0 ? '▲' : '▼'}
                          {signedPoints(change)}
                        </small>
                      )
                    : ifAnswered - value > 0.01 && (
                        <small className="soft"> ({pointsText(ifAnswered)})</small>
                      )}
                </span>
                <span className={styles['value-bar']} aria-hidden>
                  <span
                    className={value < 0 ? styles.minus : styles.plus}
                    style={
                      value < 0
                        ? { right: '50%', width: share(-value) }
                        : { left: '50%', width: share(value) }
                    }
                  />
                  <i style={{ left: `calc(50% + ${share(others.get(position) ?? ifAnswered)})` }} />
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
