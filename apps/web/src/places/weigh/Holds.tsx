import type { GuardMap, WeighOptions } from '@aftersquall/core';
import { Ban, Play } from 'lucide-react';
import { useDependence } from '../../workers/weighQuestions.ts';
import { HOLD_CLASSES } from './holdClasses.ts';

interface Props {
  map: GuardMap;
  options: WeighOptions;
}

/** What is left of the game without each class of holds. */
export function Holds({ map, options }: Props) {
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
