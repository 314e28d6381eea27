import {
  canReact,
  holdsWorn,
  holdWords,
  type Moment,
  reactionName,
  sided,
  signsWords,
  wordContext,
  wornWords,
} from '@aftersquall/core/body';
import {
  allNames,
  type GuardMap,
  indexMap,
  type LookReaction,
  type Position,
  type ReactionRef,
  reactionKey,
} from '@aftersquall/core/model';
import { type Nearest } from '@aftersquall/core/read';
import { useState } from 'react';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { searchNames } from '../../components/searchNames.ts';
import { useAppSelector } from '../../store/store.ts';
import styles from './read.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  position: Position;
  mirrored: boolean;
  met: string;
  /** What is held and seen, where it is not the position's own. */
  moment?: Moment | undefined;
  /** The other positions that a moment may be, the likeliest first: what top does there comes next. */
  like?: readonly Nearest[];
  /** What is held and seen once top has done it. */
  after: Moment | undefined;
  onChoose: (reaction: string) => void;
}

/** What top does here, the reactions this position expects first; the rest of the catalogue is one tap away. */
export function ReactionPicker({ map, position, mirrored, met, moment, like = [], after, onChoose }: Props) {
  const apparel = useAppSelector(({ settings }) => settings.apparel);
  const [all, setAll] = useState(false);
  const [typed, setTyped] = useState('');
  const index = indexMap(map);
  const here = sided('position', position, mirrored);
  const context = wordContext(here);
  const listed = new Map<string, LookReaction>();
  const places = [here, ...like.map((near) => sided('position', near.position, near.mirrored))];
  for (const { looks } of places)
    for (const look of looks) for (const ref of look.reactions) listed.set(reactionKey(ref), ref);
  const held = moment ?? {
    holds: holdsWorn(here.holds, apparel),
    topHolds: holdsWorn(here.topHolds, apparel),
    signs: here.signs,
  };
  const listedIds = new Set([...listed.values()].map(({ id }) => id));
  const others: ReactionRef[] = map.reactions
    .filter(({ id }) => !listedIds.has(id))
    .map(({ id }) => ({ id, ...(mirrored && { mirrored }) }));
  // What the holds and the stance allow stands open; the rest is found by its name.
  const possible = others.filter(({ id }) =>
    canReact(held, sided('reaction', index.reaction.get(id)!, mirrored)),
  );
  const chosen = others.filter((ref) => reactionKey(ref) === met);
  const found = typed.trim()
    ? searchNames(others, typed, ({ id }) => allNames(index.reaction.get(id)!))
    : [...new Set([...chosen, ...possible])];

  const button = (ref: LookReaction) => {
    const value = reactionKey(ref);
    const reaction = index.reaction.get(ref.id);
    const feel = ref.feel || reaction?.feel;
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
            {wornWords(
              reactionName(
                map,
                { id: ref.id, mirrored: Boolean(ref.mirrored) !== mirrored },
                index.position.get(position.id),
              ),
              apparel,
            )}
          </b>
          {feel && <span className={styles.feel}>{feel}</span>}
        </span>
        {value === met && after && <PositionPicture position={{ ...here, ...after }} width={96} />}
      </button>
    );
  };
  return (
    <>
      {moment && (
        <p className="soft small">
          As from {position.name}
          {mirrored && ', mirrored'}, the closest position:
        </p>
      )}
      <details className={styles.more} open={Boolean(moment)}>
        <summary>Holds and signs in words</summary>
        <ul className="list-unstyled held">
          {held.holds.map((hold) => (
            <li key={hold.id} className="own-mark">
              {holdWords(hold, context)}
            </li>
          ))}
          {held.topHolds.map((hold) => (
            <li key={hold.id} className="top-mark">
              top: {holdWords(hold, context, 'top')}
            </li>
          ))}
        </ul>
        <p className="soft small">{signsWords(held.signs).join(' · ')}</p>
      </details>
      {[...listed.values()].map(button)}
      <button
        type="button"
        className={`${styles.pick} ${met === 'none' ? 'on' : ''}`}
        aria-pressed={met === 'none'}
        onClick={() => onChoose('none')}
      >
        <b>Top does nothing yet</b>
      </button>
      {all || chosen.length > 0 ? (
        <>
          <input
            type="search"
            className="form-control form-control-sm my-2"
            aria-label={say.findWhatTopDid}
            placeholder={say.findOneName(others.length)}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          {found.length === 0 && <p className="soft small">{say.nothingCalled}</p>}
          {found.map(button)}
        </>
      ) : (
        <button type="button" className="btn btn-plain w-100" onClick={() => setAll(true)}>
          Something else top does ({others.length})
        </button>
      )}
    </>
  );
}
