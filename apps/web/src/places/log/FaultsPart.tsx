import { faultTrends, weeksBetween } from '@aftersquall/core/log';
import { format, parseISO } from 'date-fns';
import { useMemo } from 'react';
import { Line } from '../../theme/lineChart.ts';
import { useChartColours } from '../../theme/useChartColours.ts';
import styles from './log.module.scss';
import type { LogPartProps } from './logPart.ts';
import { say } from './words.ts';

const LINES = 4;
const DASHES = [[], [7, 4], [2, 3], [10, 3, 2, 3]];

/** Faults over the weeks: the ones that matter now as lines, all of them as a table. */
export function FaultsPart({ practice, date }: LogPartProps) {
  const { ink, own, top, grid } = useChartColours();
  const first = practice.sessions[0]?.date ?? date;
  const last = practice.sessions.at(-1)?.date ?? date;
  const weeks = useMemo(() => weeksBetween(first, last), [first, last]);
  const trends = useMemo(() => faultTrends(practice, weeks), [practice, weeks]);
  if (trends.length === 0) return <p className={styles.empty}>{say.noFaultsPeriodOne}</p>;
  const shown = [...trends].sort((a, b) => b.total - a.total).slice(0, LINES);
  const colours = [top, own, ink, top];
  return (
    <>
      <div className={styles.chart}>
        <Line
          role="img"
          aria-label={shown.map(({ fault, counts }) => `${fault}: ${counts.join(', ')} by week`).join('; ')}
          data={{
            labels: weeks.map((week) => format(parseISO(week), 'd MMM')),
            datasets: shown.map(({ fault, counts }, i) => ({
              label: fault.length > 46 ? `${fault.slice(0, 45)}…` : fault,
              data: counts,
              borderColor: colours[i]!,
              backgroundColor: colours[i]!,
              borderDash: DASHES[i]!,
              pointRadius: 3,
            })),
          }}
          options={{
            maintainAspectRatio: false,
            animation: false,
            plugins: { legend: { position: 'bottom', labels: { color: ink, boxHeight: 2 } } },
            scales: {
              x: { ticks: { color: ink }, grid: { display: false } },
              y: { beginAtZero: true, ticks: { color: ink, precision: 0 }, grid: { color: grid } },
            },
          }}
        />
      </div>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>Fault</th>
            <th>Of</th>
            <th className="num">In all</th>
            <th className="num">Last week</th>
          </tr>
        </thead>
        <tbody>
          {trends.map(({ of, id, name, fault, total, counts, falsePositive }) => (
            <tr key={`${of} ${id} ${fault}`}>
              <th scope="row">
                {falsePositive && 'Fake success: '}
                {fault}
              </th>
              <td>{name}</td>
              <td className="num">{total}</td>
              <td className="num">{counts.at(-1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
