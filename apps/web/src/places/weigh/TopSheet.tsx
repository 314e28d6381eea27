import { reactionName } from '@aftersquall/core/body';
import { type GuardMap, indexMap, reactionKey } from '@aftersquall/core/model';
import { pointsText, topSheet, type Weighing } from '@aftersquall/core/weigh';
import { Printer } from 'lucide-react';
import { Hazards } from '../../components/Hazards.tsx';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  weighing: Weighing;
  at: string;
  onPick: (position: string) => void;
}

/** A reaction that gives less than this much away is not warned of. */
const WORTH_SAYING = 0.05;

/** For who coaches passers: top's best reaction to every look, and the one that gives most away. */
export function TopSheet({ map, weighing, at, onPick }: Props) {
  const index = indexMap(map);
  const lines = topSheet(weighing);
  return (
    <section
      className={`${styles['weigh-column']} ${styles.plan} ${styles['top-sheet']}`}
      aria-label="Top’s sheet"
    >
      <div className="d-flex justify-content-between align-items-start gap-2">
        <div>
          <h2>What top should do</h2>
          <p className="soft">{say.topsPlanAgainstPerfect}</p>
        </div>
        <button type="button" className="btn btn-sm btn-plain" onClick={() => window.print()}>
          <Printer size={14} aria-hidden /> Print
        </button>
      </div>
      {lines.length === 0 && <p>{say.mapDoesNotSay}</p>}
      <table className={styles['top-table']}>
        <thead>
          <tr>
            <th scope="col">When bottom shows</th>
            <th scope="col">do</th>
            <th scope="col">leaves</th>
            <th scope="col">never</th>
            <th scope="col">gives</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ position, look, name, planned, best, leaves, options }) => {
            const worst = options.at(-1)!;
            const costly = worst.leaves - leaves > WORTH_SAYING;
            return (
              <tr key={`${position} ${look}`} className={position === at ? 'on' : ''}>
                <th scope="row">
                  <button type="button" onClick={() => onPick(position)}>
                    {index.position.get(position)?.name}
                  </button>
                  <span className="soft">
                    {name}
                    {planned && <span className="chip on ms-2">the plan</span>}
                  </span>
                </th>
                <td className={styles.do}>
                  {best.map(({ what, share }) => (
                    <div key={reactionKey(what)}>
                      {reactionName(map, what, index.position.get(position))}
                      <Hazards tags={index.reaction.get(what.id)?.hazards ?? []} />
                      {best.length > 1 && <span className="soft"> {Math.round(share * 100)} %</span>}
                    </div>
                  ))}
                </td>
                <td>{pointsText(leaves)}</td>
                <td>{costly && reactionName(map, worst.reaction, index.position.get(position))}</td>
                <td>{costly && pointsText(worst.leaves)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
