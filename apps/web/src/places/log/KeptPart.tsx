import { fadingOf, type Kept } from '@aftersquall/core/log';
import { GRADES } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { newRecord } from '../../store/records/newRecord.ts';
import { keepAndSend } from '../../store/records/records.ts';
import { useKnownClub } from '../../store/useClub.ts';
import styles from './log.module.scss';
import { type LogPartProps, lineOf, percent } from './logPart.ts';
import { say } from './words.ts';

/** What was taught when, how often, and how much of it is still there; graded in the coach's words. */
export function KeptPart({ map, practice, date, again, athlete }: LogPartProps) {
  const club = useKnownClub();
  const kept = useMemo(() => fadingOf(practice, date, athlete), [practice, date, athlete]);
  const someone = club?.athletes.find(({ id }) => id === athlete);
  const grade = async ({ exchange, position, move, meets }: Kept, word: (typeof GRADES)[number]) => {
    await keepAndSend([
      newRecord(
        { map: map.id, session: `grades-${date}`, date },
        {
          kind: 'grade',
          exchange,
          position,
          move,
          meets,
          grade: word,
          ...(someone && { athlete: { id: someone.id, alias: someone.alias } }),
        },
      ),
    ]);
    again();
  };
  if (kept.length === 0) return <p className={styles.empty}>{say.nothingTaughtPeriod}</p>;
  return (
    <>
      <p className="soft">{say.mostFadedFirst(someone ? someone.alias : 'the group')}</p>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>Answer</th>
            <th className={`num ${styles.wide}`}>Days</th>
            <th>Last</th>
            <th className="num">Still fresh</th>
            <th className={styles.wide}>Due</th>
            <th>How it was today</th>
          </tr>
        </thead>
        <tbody>
          {kept.map((row) => (
            <tr key={row.exchange}>
              <th scope="row">
                {lineOf(row)}
                <small className="soft">{row.position}</small>
              </th>
              <td className={`num ${styles.wide}`}>{row.times}</td>
              <td>{row.last}</td>
              <td className="num">
                <span className={styles.keptBar} style={{ '--kept': row.retention } as object} aria-hidden />
                {percent(row.retention)}
              </td>
              <td className={styles.wide}>{row.due <= date ? 'now' : row.due}</td>
              <td>
                <fieldset className="btn-group btn-group-sm" aria-label={`How ${lineOf(row)} was`}>
                  {GRADES.map((word) => (
                    <button
                      key={word}
                      type="button"
                      className={`btn ${row.grade === word ? 'btn-dark' : 'btn-plain'}`}
                      aria-pressed={row.grade === word}
                      onClick={() => void grade(row, word)}
                    >
                      {word}
                    </button>
                  ))}
                </fieldset>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
