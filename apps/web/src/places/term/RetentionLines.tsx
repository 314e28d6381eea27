import { FADING, type RetentionLine } from '@aftersquall/core/lesson';
import { line } from 'd3-shape';
import { differenceInDays, parseISO } from 'date-fns';
import styles from './term.module.scss';

const WIDTH = 220;
const HEIGHT = 30;
const DOT = 2.5;
/** Everything from half kept to all of it is drawn. */
const MIN_RETENTION_DRAWN = 0.5;

/** How much of every move is kept over the term, as small lines on one scale; what fades in the end first. */
export function RetentionLines({ lines }: { lines: readonly RetentionLine[] }) {
  if (lines.length === 0) return null;
  const first = lines.reduce(
    (least, { points }) => (points[0]!.date < least ? points[0]!.date : least),
    '9999',
  );
  const last = lines[0]!.points.at(-1)!.date;
  const days = Math.max(1, differenceInDays(parseISO(last), parseISO(first)));
  const x = (date: string) =>
    (differenceInDays(parseISO(date), parseISO(first)) / days) * (WIDTH - 2 * DOT) + DOT;
  const y = (kept: number) =>
    HEIGHT -
    3 -
    ((Math.max(MIN_RETENTION_DRAWN, kept) - MIN_RETENTION_DRAWN) / (1 - MIN_RETENTION_DRAWN)) * (HEIGHT - 6);
  const path = line<RetentionLine['points'][number]>(
    ({ date }) => x(date),
    ({ kept }) => y(kept),
  );
  const end = ({ points }: RetentionLine) => points.at(-1)!.kept;
  return (
    <section aria-label="Still fresh">
      <h2>How fresh each move is</h2>
      <p className="soft small">
        How fresh each move is, from your records and the planned classes, until two weeks after the last. A
        dot is a day of practice. Below the line at {Math.round(FADING * 100)} % it comes back in a class.
      </p>
      <ul className={styles.lines}>
        {[...lines]
          .sort((a, b) => end(a) - end(b))
          .map((one) => (
            <li key={one.move}>
              <span>{one.name}</span>
              <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width={WIDTH} height={HEIGHT} aria-hidden="true">
                <line x1={0} x2={WIDTH} y1={y(FADING)} y2={y(FADING)} className={styles.fading} />
                <path d={path(one.points) ?? ''} />
                {one.practised.map((date) => (
                  <circle key={date} cx={x(date)} cy={y(1)} r={DOT} />
                ))}
              </svg>
              <b className={end(one) < FADING ? 'hazard' : ''}>{Math.round(end(one) * 100)} %</b>
            </li>
          ))}
      </ul>
    </section>
  );
}
