import {
  ENDS,
  type End,
  type GuardMap,
  indexMap,
  OUTCOME_WORDS,
  OUTCOMES,
  type Outcome,
  type Weighing,
  type WeighOptions,
} from '@aftersquall/core';
import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Ban, Play } from 'lucide-react';
import { useState } from 'react';
import { Bar } from 'react-chartjs-2';
import { Link } from 'react-router';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { useAppSelector } from '../../store/store.ts';
import { useBestChains, useDependence } from '../../workers/useWeighing.ts';
import { HOLD_CLASSES } from './holdClasses.ts';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

interface Props {
  map: GuardMap;
  weighing: Weighing;
  options: WeighOptions;
  at: string;
}
type View = 'holes' | 'holds' | 'ends' | 'chains';

/** What to fix first: holes by what they cost, what the game rests on, how rounds end, which guesses matter. */
export function Insights({ map, weighing, options, at }: Props) {
  const [view, setView] = useState<View>('holes');
  return (
    <section className="weigh-column" aria-label="What to fix first">
      <ChoiceToggle<View>
        label="What to look at"
        value={view}
        choices={[
          ['holes', 'Holes'],
          ['holds', 'Holds'],
          ['ends', 'How it ends'],
          ['chains', 'Best chains'],
        ]}
        onChange={setView}
      />
      {view === 'holes' && <Holes map={map} weighing={weighing} />}
      {view === 'holds' && <Holds map={map} options={options} />}
      {view === 'ends' && <Ends map={map} weighing={weighing} at={at} />}
      {view === 'chains' && <Chains map={map} options={options} at={at} />}
    </section>
  );
}

function Holes({ map, weighing }: Pick<Props, 'map' | 'weighing'>) {
  const index = indexMap(map);
  return (
    <>
      <h2 className="mt-3">Holes by what they cost</h2>
      {weighing.holes.length === 0 && <p>No hole under these rules.</p>}
      <ol className="list-unstyled">
        {weighing.holes.slice(0, 20).map(({ position, move, reaction, stake, visits }) => {
          const column = reaction ? `${reaction.mirrored ? '~' : ''}${reaction.id}` : 'none';
          return (
            <li key={`${move} ${column}`} className="stake">
              <b>{stake.toFixed(3)}</b>
              <Link to={`/${map.id}/map?view=board&cell=${move}.${column}&sel=move.${move}`}>
                {index.move.get(move)?.name}, when top{' '}
                {reaction
                  ? (index.reaction.get(reaction.id)?.name ?? '').replace(/^./, (c) => c.toLowerCase())
                  : 'does whatever top does'}
              </Link>
              <small className="soft">
                {index.position.get(position)?.name}, {visits.toFixed(2)} times a round
              </small>
            </li>
          );
        })}
      </ol>
      <h2>Guesses that matter most</h2>
      <ol className="list-unstyled">
        {weighing.sensitivity.map(({ exchange: id, slope }) => {
          const exchange = index.exchange.get(id)!;
          const { reaction } = exchange;
          return (
            <li key={id} className="stake">
              <b>
                {slope > 0 ? '+' : ''}
                {(slope * 0.1).toFixed(3)}
              </b>
              <Link to={`/${map.id}/map?sel=exchange.${id}`}>
                {index.move.get(exchange.move)?.name}
                {reaction !== 'none' && ` | ${index.reaction.get(reaction.id)?.name}`}
              </Link>
              <small className="soft">{Math.round(exchange.chance * 100)} % now; for each 10 % more</small>
            </li>
          );
        })}
      </ol>
    </>
  );
}

function Holds({ map, options }: Pick<Props, 'map' | 'options'>) {
  const { rows, left, ask, stop } = useDependence(map, options);
  return (
    <>
      <h2 className="mt-3">What the game rests on</h2>
      <p className="small">How many points a round are lost when a class of holds cannot be had.</p>
      {left > 0 ? (
        <div className="d-flex align-items-center gap-2">
          <progress
            max={HOLD_CLASSES.length}
            value={HOLD_CLASSES.length - left}
            aria-label="Classes of holds weighed"
          />
          <button type="button" className="btn btn-sm btn-plain" onClick={stop}>
            <Ban size={14} aria-hidden /> Stop
          </button>
        </div>
      ) : (
        <button type="button" className="btn btn-sm btn-now" onClick={() => void ask(HOLD_CLASSES)}>
          <Play size={14} aria-hidden /> Take them away one by one
        </button>
      )}
      <ol className="list-unstyled mt-2" aria-label="Lost without">
        {rows.map(({ name, result }) => (
          <li key={name} className="stake">
            <b>{result.difference.toFixed(2)}</b>
            <span>without {name}</span>
            <small className="soft">
              {result.without.toFixed(2)} left of {result.whole.toFixed(2)}
              {result.left !== undefined && `, ${Math.round(result.left * 100)} %`}
            </small>
          </li>
        ))}
      </ol>
    </>
  );
}

function Chains({ map, options, at }: Pick<Props, 'map' | 'options' | 'at'>) {
  const [outcome, setOutcome] = useState<Outcome>('submission');
  const chains = useBestChains(map, options, at, outcome);
  const index = indexMap(map);
  return (
    <>
      <h2 className="mt-3">Best chains from {index.position.get(at)?.name}</h2>
      <SelectField
        label="Ending"
        value={outcome}
        choices={OUTCOMES.map((value) => ({ value, name: OUTCOME_WORDS[value] }))}
        onChange={(value) => setOutcome(value as Outcome)}
      />
      {chains?.length === 0 && (
        <p className="mt-2">No chain leads there against a top who always knows best.</p>
      )}
      <ol className="list-unstyled mt-2" aria-label="Best chains" aria-busy={!chains}>
        {chains?.map(({ exchanges, chance, countered }) => (
          <li key={exchanges.join(' ')} className="stake">
            <b>{(chance * 100).toFixed(1)} %</b>
            <span>
              {exchanges.map((id, i) => {
                const { move, reaction } = index.exchange.get(id)!;
                return (
                  <span key={id}>
                    {i > 0 && ' → '}
                    <Link to={`/${map.id}/map?sel=exchange.${id}`}>{index.move.get(move)?.name}</Link>
                    {reaction !== 'none' && (
                      <span className="soft"> | {index.reaction.get(reaction.id)?.name}</span>
                    )}
                  </span>
                );
              })}
            </span>
            <small className="soft">countered on the way {(countered * 100).toFixed(1)} %</small>
          </li>
        ))}
      </ol>
      <p className="soft small">Bottom makes these moves; top answers from its best mix.</p>
    </>
  );
}

const endName = (end: End): string =>
  end === 'time' ? 'time runs out' : end === 'stuck' ? 'nothing more to do' : OUTCOME_WORDS[end];

function Ends({ map, weighing, at }: Pick<Props, 'map' | 'weighing' | 'at'>) {
  const theme = useAppSelector(({ settings }) => settings.theme);
  const place = map.positions.findIndex(({ id }) => id === at);
  const odds = weighing.odds[place];
  if (!odds) return null;
  const shown = ENDS.filter((end) => odds[end] > 0.0005).sort((a, b) => odds[b] - odds[a]);
  const ink = theme === 'dark' ? '#ece4d4' : '#1f2a33';
  return (
    <>
      <h2 className="mt-3">How rounds end from {map.positions[place]?.name}</h2>
      <div style={{ height: 40 + shown.length * 30 }}>
        <Bar
          aria-label="Chance of each end"
          role="img"
          data={{
            labels: shown.map(endName),
            datasets: [
              {
                data: shown.map((end) => Math.round(odds[end] * 1000) / 10),
                backgroundColor: theme === 'dark' ? '#63cdb5' : '#0d6555',
              },
            ],
          }}
          options={{
            indexAxis: 'y',
            maintainAspectRatio: false,
            animation: false,
            scales: {
              x: {
                ticks: { color: ink, callback: (value) => `${value} %` },
                grid: { color: 'rgba(128,128,128,.25)' },
              },
              y: { ticks: { color: ink }, grid: { display: false } },
            },
          }}
        />
      </div>
      <table className="table table-sm mt-2">
        <caption className="visually-hidden">Chance of each end</caption>
        <tbody>
          {shown.map((end) => (
            <tr key={end}>
              <th scope="row">{endName(end)}</th>
              <td className="text-end">{(odds[end] * 100).toFixed(1)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft small">
        On average {weighing.exchanges[place]?.toFixed(1)} exchanges. Top knows best all the time.
      </p>
    </>
  );
}
