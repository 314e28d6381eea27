import { landingWords, turnWords } from '@aftersquall/core/body';
import { put } from '@aftersquall/core/documents';
import {
  type ChainTurn,
  exchangeOf,
  freshId,
  type GuardMap,
  indexMap,
  turnIn,
  turnText,
} from '@aftersquall/core/model';
import { Check, ListOrdered, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { AddToClass } from '../../components/AddToClass.tsx';
import { classAddress } from '../../components/addresses.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import styles from './read.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  /** What was taken, in its order. */
  trail: readonly ChainTurn[];
  onBack: () => void;
}

/** The answers taken so far: a chain that can be kept in the map or sent to Lessons, and stepped back on. */
export function Trail({ map, trail, onBack }: Props) {
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState('');
  const index = indexMap(map);
  const [first] = trail;
  const begins = first && turnIn(map, first);
  const last = trail.at(-1);
  const ends = last && turnIn(map, last);
  if (!begins || !ends) return null;
  const answers = trail.flatMap((turn) => exchangeOf(turn) ?? []);
  const key = trail.map(turnText).join(' ');
  const keep = () => {
    const from = index.position.get(begins.at);
    const name = `${from?.name ?? 'Chain'} → ${landingWords(map, ends.to)}`.slice(0, 120);
    const chain = {
      id: freshId(
        name,
        map.chains.map(({ id }) => id),
      ),
      name,
      note: '',
      exchanges: [...trail],
    };
    if (dispatch(changeMap(put('chain', chain))).length === 0) setKept(key);
  };
  return (
    <section className={styles.trail} aria-label="The trail">
      <button type="button" className="btn btn-sm btn-plain" onClick={onBack}>
        <Undo2 size={14} aria-hidden /> Step back
      </button>
      <ol>
        {trail.map((turn, i) => {
          const words = turnWords(map, turn);
          return (
            <li key={`${i} ${turnText(turn)}`}>
              {words?.does} → <b>{words?.leads}</b>
            </li>
          );
        })}
      </ol>
      <button type="button" className="btn btn-sm btn-plain" disabled={kept === key} onClick={keep}>
        {kept === key && <Check size={14} aria-hidden />} {kept === key ? say.savedMap : 'Keep this chain'}
      </button>
      <AddToClass map={map.id} things={answers.map((id) => `exchange.${id}`)} label={say.addThemClass} />
      <Link className="btn btn-sm btn-now" to={`${classAddress()}?goal=${answers.join(',')}`}>
        <ListOrdered size={14} aria-hidden /> Drill it
      </Link>
    </section>
  );
}
