import {
  type GuardMap,
  holdWords,
  indexMap,
  type Moment,
  type Position,
  type ReactionRef,
  reactionKey,
  sided,
  signsWords,
  wordContext,
} from '@aftersquall/core';
import { useState } from 'react';
import styles from './read.module.scss';

interface Props {
  map: GuardMap;
  position: Position;
  mirrored: boolean;
  met: string;
  /** What is held and seen, where it is not the position's own. */
  moment?: Moment | undefined;
  onChoose: (reaction: string) => void;
}

/** What top does here, the reactions this position expects first; the rest of the catalogue is one tap away. */
export function ReactionPicker({ map, position, mirrored, met, moment, onChoose }: Props) {
  const [all, setAll] = useState(false);
  const index = indexMap(map);
  const here = sided('position', position, mirrored);
  const context = wordContext(here);
  const listed = new Map<string, ReactionRef>();
  for (const look of here.looks) for (const ref of look.reactions) listed.set(reactionKey(ref), ref);
  const listedIds = new Set([...listed.values()].map(({ id }) => id));
  const others: ReactionRef[] = map.reactions
    .filter(({ id }) => !listedIds.has(id))
    .map(({ id }) => ({ id, ...(mirrored && { mirrored }) }));

  const button = (ref: ReactionRef) => {
    const value = reactionKey(ref);
    const reaction = index.reaction.get(ref.id);
    const otherSide = Boolean(ref.mirrored) !== mirrored;
    return (
      <button
        key={value}
        type="button"
        className={`${styles.pick} of-top ${value === met ? 'on' : ''}`}
        aria-pressed={value === met}
        onClick={() => onChoose(value)}
      >
        <span>
          <b>
            {reaction?.name}
            {otherSide && ' (other side)'}
          </b>
          {reaction?.feel && <span className={styles.feel}>{reaction.feel}</span>}
        </span>
      </button>
    );
  };
  return (
    <>
      {moment && (
        <p className="soft small">
          As from {position.name}
          {mirrored && ' (other side)'}, the position most like it:
        </p>
      )}
      <ul className="list-unstyled held">
        {(moment ?? here).holds.map((hold) => (
          <li key={hold.id} className="own-mark">
            {holdWords(hold, context)}
          </li>
        ))}
        {(moment ?? here).topHolds.map((hold) => (
          <li key={hold.id} className="top-mark">
            top: {holdWords(hold, context, 'top')}
          </li>
        ))}
      </ul>
      <p className="soft small">{signsWords((moment ?? here).signs).join(' · ')}</p>
      {[...listed.values()].map(button)}
      <button
        type="button"
        className={`${styles.pick} ${met === 'none' ? 'on' : ''}`}
        aria-pressed={met === 'none'}
        onClick={() => onChoose('none')}
      >
        <b>Nothing yet: top is late</b>
      </button>
      {all ? (
        others.map(button)
      ) : (
        <button type="button" className="btn btn-plain w-100" onClick={() => setAll(true)}>
          Something else top did ({others.length})
        </button>
      )}
    </>
  );
}
