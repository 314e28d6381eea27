import { type Evidence, evidenceOf, takeBlend } from '@aftersquall/core/log';
import { useMemo, useState } from 'react';
import { changeMap } from '../../store/openMap.ts';
import { newRecord } from '../../store/records/newRecord.ts';
import { keepAndSend } from '../../store/records/records.ts';
import { useAppDispatch } from '../../store/store.ts';
import styles from './log.module.scss';
import { type LogPartProps, lineOf, percent } from './logPart.ts';
import { say } from './words.ts';

const AT_FIRST = 40;

/** Evidence against guess: what the coach believed, what was tried, and what both say together. */
export function EvidencePart({ map, practice, date, again, athlete }: LogPartProps) {
  const dispatch = useAppDispatch();
  const [all, setAll] = useState(false);
  const rows = useMemo(() => evidenceOf(map, practice), [map, practice]);
  const open = rows.filter(
    ({ exchange, blend }) =>
      exchange.basis !== 'blended' || // The map keeps whole points.
      Math.abs(exchange.chance - blend.mean) > 0.0051,
  );
  const take = async (taken: readonly Evidence[]) => {
    // The coach's own chances first: what is blended once more begins from them.
    await keepAndSend(
      taken.map(({ exchange, guess }) =>
        newRecord(
          { map: map.id, session: `blend-${date}`, date },
          { kind: 'blend', exchange: exchange.id, guess },
        ),
      ),
    );
    dispatch(
      changeMap(takeBlend(taken), {
        announce: `${taken.length} ${taken.length === 1 ? 'answer uses' : 'answers use'} guess and count now.`,
      }),
    );
    again();
  };
  if (rows.length === 0) return <p className={styles.empty}>{say.nobodyTriedAnythingAgainst}</p>;
  return (
    <>
      {athlete ? (
        <p className="soft">{say.theseOneAthletesTries}</p>
      ) : (
        <p>
          <button
            type="button"
            className="btn btn-sm btn-now"
            disabled={open.length === 0}
            onClick={() => void take(open)}
          >
            Use the counted results for all {open.length}
          </button>{' '}
          <span className="soft">{say.canUndoGuessCounts}</span>
        </p>
      )}
      <table className={styles.table}>
        <thead>
          <tr>
            <th>Answer</th>
            <th className="num">Guess</th>
            <th className="num">Light</th>
            <th className="num">Full</th>
            <th className={styles.wide}>Guess ◇, tries ┃, both ●</th>
            <th className="num">Both</th>
            <th className={`num ${styles.wide}`}>To ±10</th>
            <th aria-label="Take" />
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, all ? undefined : AT_FIRST).map((row) => (
            <tr key={row.exchange.id}>
              <th scope="row">
                {lineOf(row)}
                <small className="soft">{row.position}</small>
              </th>
              <td className="num">{percent(row.guess)}</td>
              <td className="num">{tally(row.light)}</td>
              <td className="num">{tally(row.full)}</td>
              <td className={styles.wide}>
                <Intervals row={row} />
              </td>
              <td className="num">
                <b>{percent(row.blend.mean)}</b>
                <small className="soft">
                  {percent(row.blend.low)}–{percent(row.blend.high)}
                </small>
              </td>
              <td className={`num ${styles.wide}`}>{row.more === 0 ? 'known' : `${row.more} more`}</td>
              <td>
                {athlete ? null : open.includes(row) ? (
                  <button
                    type="button"
                    className="btn btn-sm btn-plain"
                    aria-label={say.useCountedResults(lineOf(row))}
                    onClick={() => void take([row])}
                  >
                    take
                  </button>
                ) : (
                  <span className="soft">taken</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {!all && rows.length > AT_FIRST && (
        <button type="button" className="btn btn-plain" onClick={() => setAll(true)}>
          All {rows.length}
        </button>
      )}
    </>
  );
}

const tally = ({ worked, tried }: Evidence['light']): string => (tried > 0 ? `${worked} of ${tried}` : '');

const WIDE = 200;

/** The guess, what the tries say by themselves, and both together, on one line from never to always. */
function Intervals({ row }: { row: Evidence }) {
  const { guess, logged, blend } = row;
  const x = (share: number) => 4 + share * (WIDE - 8);
  const words = [
    `guess ${percent(guess)}`,
    logged && `tries ${percent(logged.low)} to ${percent(logged.high)}`,
    `both ${percent(blend.low)} to ${percent(blend.high)}`,
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <svg className={styles.intervals} viewBox={`0 0 ${WIDE} 30`} role="img" aria-label={words}>
      <path d={`M4 15H${WIDE - 4}`} className={styles.axis} />
      {logged && (
        <path
          d={`M${x(logged.low)} 9V21M${x(logged.low)} 15H${x(logged.high)}M${x(logged.high)} 9V21`}
          className={styles.tries}
        />
      )}
      <path d={`M${x(blend.low)} 15H${x(blend.high)}`} className={styles.both} />
      <circle cx={x(blend.mean)} cy="15" r="5" className={styles.mean} />
      <path d={`M${x(guess)} 8l6 7-6 7-6-7Z`} className={styles.guess} />
    </svg>
  );
}
