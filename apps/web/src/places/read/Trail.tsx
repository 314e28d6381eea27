import { freshId, type GuardMap, indexMap, landingWords, put } from '@aftersquall/core';
import { Check, ListOrdered, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { AddToClass } from '../../components/AddToClass.tsx';
import { classAddress } from '../../components/addresses.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import styles from './read.module.scss';

interface Props {
  map: GuardMap;
  /** Exchanges taken, in their order. */
  trail: readonly string[];
  onBack: () => void;
}

/** The answers taken so far: a chain that can be kept in the map or sent to Lessons, and stepped back on. */
export function Trail({ map, trail, onBack }: Props) {
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState('');
  const index = indexMap(map);
  const steps = trail.flatMap((id) => index.exchange.get(id) ?? []);
  if (steps.length === 0) return null;
  const key = trail.join(' ');
  const keep = () => {
    const first = index.move.get(steps[0]!.move);
    const from = first && index.position.get(first.position);
    const name = `${from?.name ?? 'Chain'} → ${landingWords(map, steps.at(-1)!.to)}`.slice(0, 120);
    const chain = {
      id: freshId(
        name,
        map.chains.map(({ id }) => id),
      ),
      name,
      note: '',
      exchanges: steps.map(({ id }) => id),
    };
    if (dispatch(changeMap(put('chain', chain))).length === 0) setKept(key);
  };
  return (
    <section className={styles.trail} aria-label="The trail">
      <button type="button" className="btn btn-sm btn-plain" onClick={onBack}>
        <Undo2 size={14} aria-hidden /> Step back
      </button>
      <ol>
        {steps.map((step, i) => (
          <li key={`${i} ${step.id}`}>
            {index.move.get(step.move)?.name} → <b>{landingWords(map, step.to)}</b>
          </li>
        ))}
      </ol>
      <button type="button" className="btn btn-sm btn-plain" disabled={kept === key} onClick={keep}>
        {kept === key && <Check size={14} aria-hidden />}{' '}
        {kept === key ? 'Kept in the map' : 'Keep this chain'}
      </button>
      <AddToClass map={map.id} things={steps.map(({ id }) => `exchange.${id}`)} label="Add them to a class" />
      <Link
        className="btn btn-sm btn-now"
        to={`${classAddress()}?goal=${steps.map(({ id }) => id).join(',')}`}
      >
        <ListOrdered size={14} aria-hidden /> Drill it
      </Link>
    </section>
  );
}
