import { pointsText, tradeCurve, type Weighing } from '@aftersquall/core/weigh';
import { Line } from '../../theme/lineChart.ts';
import { useChartColours } from '../../theme/useChartColours.ts';
import { say } from './words.ts';

/** Gain against the habits and the worst case against a perfect top, by trust; the trust in force stands out. */
export function TradeChart({ weighing, trust }: { weighing: Weighing; trust: number }) {
  const { ink, own, top, grid } = useChartColours();
  const curve = tradeCurve(weighing.trades);
  const here = Math.round(trust * (curve.length - 1));
  const now = curve[here]!;
  const line = (label: string, key: 'gain' | 'worst', color: string, dash: number[]) => ({
    label,
    data: curve.map((point) => point[key]),
    borderColor: color,
    backgroundColor: color,
    borderDash: dash,
    stepped: 'middle' as const,
    pointRadius: curve.map((_, i) => (i === here ? 6 : 0)),
  });
  return (
    <>
      <div style={{ height: 190 }}>
        <Line
          role="img"
          aria-label={say.trustPointsAgainstHabits(
            Math.round(trust * 100),
            pointsText(now.gain),
            pointsText(now.worst),
          )}
          data={{
            labels: curve.map((point) => Math.round(point.trust * 100)),
            datasets: [
              line('against the habits', 'gain', own, []),
              line('against a perfect top', 'worst', top, [6, 4]),
            ],
          }}
          options={{
            maintainAspectRatio: false,
            animation: false,
            plugins: { legend: { labels: { color: ink, boxHeight: 2 } } },
            scales: {
              x: {
                title: { display: true, text: 'trust, %', color: ink },
                ticks: { color: ink, maxTicksLimit: 6 },
                grid: { display: false },
              },
              y: { ticks: { color: ink }, grid: { color: grid } },
            },
          }}
        />
      </div>
      <p className="small">
        At this level: <b>{pointsText(weighing.gain)}</b> points a round if they keep their habits,{' '}
        <b>{pointsText(weighing.worst)}</b> if they play perfectly instead. The lines are for a plan you
        follow without mistakes.
      </p>
    </>
  );
}
