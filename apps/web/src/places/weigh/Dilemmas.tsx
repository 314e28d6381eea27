import { joinWords, reactionName } from '@aftersquall/core/body';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { type Dilemma, findDilemmas, partingOf, signedPoints, type Weighing } from '@aftersquall/core/weigh';
import { useMemo } from 'react';
import { MoveHazards } from './MoveHazards.tsx';
import { mixWords } from './planWords.ts';
import styles from './weigh.module.scss';

/** So many are listed. */
const MAX_DILEMMAS_LISTED = 30;

interface Props {
  map: GuardMap;
  weighing: Weighing;
  onPick: (position: string) => void;
}

/** Pairs and triples of moves that share a look and that no one reaction answers, and what makes them look the same. */
export function Dilemmas({ map, weighing, onPick }: Props) {
  const found = useMemo(() => findDilemmas(weighing), [weighing]);
  return (
    <>
      <h2 className="mt-3">Real dilemmas</h2>
      <p className="small">
        Moves from the same look that no one reaction answers: how much the mix is worth over the best of them
        alone. Those that come up and are worth most stand first.
      </p>
      {found.length === 0 && (
        <p>
          None yet: in every look one reaction answers all there is. Give a look a second move that is good
          against that reaction.
        </p>
      )}
      <ol className="list-unstyled" aria-label="Dilemmas">
        {found.slice(0, MAX_DILEMMAS_LISTED).map((dilemma) => (
          <Line
            key={`${dilemma.position} ${dilemma.look} ${dilemma.moves.map(({ what }) => what).join(' ')}`}
            map={map}
            dilemma={dilemma}
            onPick={onPick}
          />
        ))}
      </ol>
    </>
  );
}

function Line({ map, dilemma, onPick }: { map: GuardMap; dilemma: Dilemma; onPick: Props['onPick'] }) {
  const { position, timing, moves, reactions, over, visits, planned } = dilemma;
  const index = indexMap(map);
  const name = (id: string) => index.move.get(id)?.name ?? id;
  const mix = mixWords(
    moves.map(({ what }) => name(what)),
    moves.map(({ share }) => share),
  );
  const { same, parts } = partingOf(
    map,
    moves.map(({ what }) => what),
  );
  const ways = parts.flatMap(({ move, step }) => (step ? [`${name(move)}: ${step}`] : []));
  return (
    <li className={styles.stake}>
      <b>{signedPoints(over)}</b>
      <span>
        <b>{joinWords(moves.map(({ what }) => name(what)))}</b>
        {timing === 'seen' ? ', by what is felt' : mix && `: ${mix}`}
        {planned && <span className="chip on ms-2">the plan</span>}
      </span>
      <small className="soft">
        from{' '}
        <button type="button" className="chip" onClick={() => onPick(position)}>
          {index.position.get(position)?.name}
        </button>{' '}
        {visits.toFixed(2)} times a round
      </small>
      <small className="top">
        Top does best:{' '}
        {joinWords(
          reactions.map(({ what }) => reactionName(map, what, index.position.get(position)).toLowerCase()),
        )}
      </small>
      <MoveHazards map={map} moves={moves.map(({ what }) => what)} />
      <details>
        <summary>
          {timing === 'seen'
            ? 'What to train: wait, feel, then choose'
            : 'What to train so that they look the same'}
        </summary>
        <p className="mb-1">
          {same.length > 0
            ? `They begin alike: ${same.join('; ')}.`
            : 'Nothing written makes them begin alike yet: start both from the same grips and the same pull.'}
        </p>
        {ways.length > 0 && (
          <>
            <p className="mb-1">Drill up to where they part, and let the partner call it:</p>
            <ul className="mb-0">
              {ways.map((way) => (
                <li key={way}>{way}</li>
              ))}
            </ul>
          </>
        )}
      </details>
    </li>
  );
}
