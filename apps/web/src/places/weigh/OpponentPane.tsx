import {
  freshId,
  type GuardMap,
  indexMap,
  pointsText,
  put,
  remove,
  tradeCurve,
  type Weighing,
  type WhatIf,
} from '@aftersquall/core';
import { CategoryScale, Chart, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Line } from 'react-chartjs-2';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { IconButton } from '../../components/IconButton.tsx';
import { NameDialog } from '../../components/NameDialog.tsx';
import { changeMap, told } from '../../store/mapSession.ts';
import { useAppDispatch } from '../../store/store.ts';
import type { Changes } from '../../store/whatIf.ts';
import { useChartColours } from '../../theme/useChartColours.ts';
import { Slider } from './Slider.tsx';
import { TendencyForm } from './TendencyForm.tsx';

Chart.register(CategoryScale, Legend, LinearScale, LineElement, PointElement, Tooltip);

interface Props {
  map: GuardMap;
  weighing: Weighing;
  whatIf: WhatIf;
  change: (some: Partial<Changes>) => void;
  at: string;
  onPick: (position: string) => void;
}

/** One opponent's habits: what they are, how far to trust them, what that gains and what it risks. */
export function OpponentPane({ map, weighing, whatIf, change, at, onPick }: Props) {
  const dispatch = useAppDispatch();
  const [naming, setNaming] = useState(false);
  const index = indexMap(map);
  const opponent = map.opponents.find(({ id }) => id === whatIf.opponent);
  const position = index.position.get(at);
  const create = (alias: string) => {
    const id = freshId(
      alias,
      map.opponents.map((known) => known.id),
    );
    dispatch(changeMap(put('opponent', { id, alias, note: '', tendencies: [] })));
    change({ opponent: id, trust: whatIf.trust ?? 0.5 });
    setNaming(false);
  };
  const known = new Set(opponent?.tendencies.map(({ position: id }) => id));
  return (
    <>
      <h2 className="mt-3">Against whom</h2>
      <div className="opponent-choice">
        <SelectField
          label="Opponent"
          value={opponent?.id ?? ''}
          choices={[
            { value: '', name: 'a top who always knows best' },
            ...map.opponents.map(({ id, alias }) => ({ value: id, name: alias })),
          ]}
          onChange={(id) => change({ opponent: id || undefined, trust: whatIf.trust ?? 0.5 })}
        />
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-label="New opponent"
          onClick={() => setNaming(true)}
        >
          <Plus size={14} aria-hidden /> New
        </button>
        {opponent && (
          <IconButton
            label={`Remove ${opponent.alias}`}
            onClick={() => {
              const held = map.scenarios.some(({ opponent: id }) => id === opponent.id);
              if (held) {
                dispatch(told(`A what-if is kept about ${opponent.alias}: remove that first.`));
                return;
              }
              change({ opponent: undefined });
              dispatch(changeMap(remove('opponent', opponent.id)));
              dispatch(told(`Removed ${opponent.alias}.`));
            }}
          >
            <Trash2 size={14} aria-hidden />
          </IconButton>
        )}
      </div>
      {!opponent && (
        <p className="soft small mt-2">
          Give an opponent a made-up name and say what that one does about a look: the plan then makes use of
          the habit, as far as you trust it.
        </p>
      )}
      {opponent && (
        <>
          {weighing.trades.length > 1 && (
            <>
              <Slider
                label="Trust in these habits"
                value={whatIf.trust ?? 0}
                least={0}
                most={1}
                step={0.05}
                say={(value) => `${Math.round(value * 100)} %`}
                onChange={(trust) => change({ trust })}
              />
              <TradeChart weighing={weighing} trust={whatIf.trust ?? 0} />
            </>
          )}
          <h3 className="mt-3">What {opponent.alias} does</h3>
          {position && (
            <TendencyForm
              key={`${opponent.id} ${at} ${JSON.stringify(opponent.tendencies)}`}
              map={map}
              opponent={opponent}
              position={position}
            />
          )}
          {known.size > 0 && (
            <p className="small mt-2">
              Known in:{' '}
              {[...known].map((id) => (
                <button key={id} type="button" className="chip me-1" onClick={() => onPick(id)}>
                  {index.position.get(id)?.name}
                </button>
              ))}
            </p>
          )}
        </>
      )}
      {naming && (
        <NameDialog
          title="New opponent, under a made-up name"
          onName={create}
          onHide={() => setNaming(false)}
        />
      )}
    </>
  );
}

/** Gain against the habits and the worst case against a perfect top, by trust; the trust in force stands out. */
function TradeChart({ weighing, trust }: { weighing: Weighing; trust: number }) {
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
          aria-label={`At ${Math.round(trust * 100)} % trust: ${pointsText(now.gain)} points against the habits, ${pointsText(now.worst)} against a perfect top`}
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
        <b>{pointsText(now.gain)}</b> points a round if the habits hold, <b>{pointsText(now.worst)}</b> if
        this one turns out to know best.
      </p>
    </>
  );
}
