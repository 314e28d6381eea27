import type { Club } from '@aftersquall/core/model';
import { Link } from 'react-router';
import { recallAddress } from '../../components/addresses.ts';
import styles from './log.module.scss';
import { type LogPartProps, percent } from './logPart.ts';
import { say } from './words.ts';

/** The athletes' quiz: a link for every group, and what they know. */
export function RecallPart({ map, practice, club }: LogPartProps & { club: Club | undefined }) {
  const aliases = [...new Set(practice.recalled.map(({ alias }) => alias))].sort();
  const of = (alias: string) => practice.recalled.filter((one) => one.alias === alias);
  const sum = (list: typeof practice.recalled, key: 'right' | 'asked') =>
    list.reduce((all, one) => all + one[key], 0);
  return (
    <>
      <p>{say.tenPicturesThreeMinutes}</p>
      <ul>
        {(club?.groups ?? []).map(({ id, name }) => (
          <li key={id}>
            <Link to={recallAddress(map.id, id)}>{name}</Link>
          </li>
        ))}
        <li>
          <Link to={recallAddress(map.id)}>Anybody</Link>
        </li>
      </ul>
      {aliases.length > 0 && (
        <table className={styles.table}>
          <thead>
            <tr>
              <th>Who</th>
              <th className="num">Asked</th>
              <th className="num">Right</th>
              <th>Last</th>
            </tr>
          </thead>
          <tbody>
            {aliases.map((alias) => {
              const own = of(alias);
              return (
                <tr key={alias}>
                  <th scope="row">{alias}</th>
                  <td className="num">{sum(own, 'asked')}</td>
                  <td className="num">{percent(sum(own, 'right') / Math.max(1, sum(own, 'asked')))}</td>
                  <td>
                    {own
                      .map(({ date }) => date)
                      .sort()
                      .at(-1)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}
