import { reactionName } from '@aftersquall/core/body';
import { edit } from '@aftersquall/core/documents';
import { reactionsSeen } from '@aftersquall/core/log';
import {
  bareRef,
  type GuardMap,
  type Look,
  type Opponent,
  type Position,
  reactionKey,
  type Tendency,
} from '@aftersquall/core/model';
import { type FormEvent, useState } from 'react';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { useSumPracticeQuery } from '../../store/api.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import { type Entry, sharesOf, type Unit } from './sharesOf.ts';
import styles from './weigh.module.scss';

interface Props {
  map: GuardMap;
  opponent: Opponent;
  position: Position;
}

/** What an opponent does about each look of a position: in per cent by hand, or as it was counted. */
export function TendencyForm({ map, opponent, position }: Props) {
  const looks = position.looks.filter(({ reactions }) => reactions.length > 0);
  if (looks.length === 0)
    return <p className="soft small">You have not said what top does in “{position.name}”.</p>;
  return (
    <>
      <p className="small mb-1">In “{position.name}”; pick another position on the left.</p>
      {looks.map((look) => (
        <LookForm key={look.id} map={map} opponent={opponent} position={position} look={look} />
      ))}
    </>
  );
}

interface LookProps {
  map: GuardMap;
  opponent: Opponent;
  position: Position;
  look: Look;
}

/** A share as it was typed: a count where it was counted, else per cent. */
const asTyped = (share: number, seen: number | undefined): number =>
  seen ? Math.round(share * seen) : Math.round(share * 1000) / 10;

function LookForm({ map, opponent, position, look }: LookProps) {
  const dispatch = useAppDispatch();
  const tendency = opponent.tendencies.find((one) => one.position === position.id && one.look === look.id);
  const [unit, setUnit] = useState<Unit>(tendency?.seen ? 'counts' : 'per cent');
  const [entries, setEntries] = useState<Entry[]>(() =>
    look.reactions.map((ref) => {
      const share = tendency?.reactions.find((one) => reactionKey(one) === reactionKey(ref))?.share;
      return { ref: bareRef(ref), text: share === undefined ? '' : String(asTyped(share, tendency?.seen)) };
    }),
  );
  const { data: practice } = useSumPracticeQuery({ params: {}, query: { map: map.id } });
  const seen = practice && reactionsSeen(map, practice, look.id);
  const listed = entries.reduce((sum, { ref }) => sum + (seen?.get(reactionKey(ref)) ?? 0), 0);
  const takeSeen = () => {
    setUnit('counts');
    setEntries(entries.map(({ ref }) => ({ ref, text: String(seen?.get(reactionKey(ref)) ?? 0) })));
  };
  const read = sharesOf(entries, unit);
  const keep = (reactions: Tendency['reactions'] | undefined, seen?: number) => {
    const others = opponent.tendencies.filter((one) => one.position !== position.id || one.look !== look.id);
    const tendencies = reactions
      ? [...others, { position: position.id, look: look.id, ...(seen && { seen }), reactions }]
      : others;
    dispatch(changeMap(edit('opponent', opponent, { ...opponent, tendencies })));
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (read.shares) keep(read.shares, read.seen);
  };
  return (
    <form className={styles.tendency} onSubmit={submit} aria-label={look.name}>
      <div className={styles['tendency-head']}>
        <b>{look.name}</b>
        <ChoiceToggle<Unit>
          label="Given as"
          value={unit}
          choices={[
            ['per cent', '%'],
            ['counts', 'times seen'],
          ]}
          onChange={setUnit}
        />
      </div>
      {entries.map(({ ref, text }, i) => (
        <label key={reactionKey(ref)}>
          <span>{reactionName(map, ref, position)}</span>
          <input
            type="number"
            className="form-control form-control-sm"
            min={0}
            step="any"
            value={text}
            onChange={({ target }) => setEntries(entries.with(i, { ref, text: target.value }))}
          />
        </label>
      ))}
      {read.trouble && (
        <p className="hazard small mb-1" role="alert">
          {read.trouble}
        </p>
      )}
      <div className="d-flex gap-2">
        <button type="submit" className="btn btn-sm btn-now" disabled={!read.shares}>
          Keep
        </button>
        {read.scaled && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => keep(read.scaled)}>
            Scale to 100 %
          </button>
        )}
        {listed > 0 && (
          <button type="button" className="btn btn-sm btn-plain" onClick={takeSeen}>
            As logged ({listed} seen)
          </button>
        )}
        {tendency && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => keep(undefined)}>
            Not known
          </button>
        )}
      </div>
    </form>
  );
}
