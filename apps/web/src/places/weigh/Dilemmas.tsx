import { joinWords, reactionName } from '@aftersquall/core/body';
import { type GuardMap, indexMap, roundsWords } from '@aftersquall/core/model';
import { type Dilemma, findDilemmas, partingOf, signedPoints, type Weighing } from '@aftersquall/core/weigh';
import { useMemo } from 'react';
import { MoveHazards } from './MoveHazards.tsx';
import { mixWords } from './planWords.ts';
import styles from './weigh.module.scss';
import { say } from './words.ts';

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
      <h2 className="mt-3">Dilemmas</h2>
      <p className="small">{say.theseStartSameTop}</p>
      {found.length === 0 && <p>{say.noDilemmasYetWherever}</p>}
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
        {roundsWords(visits)}
      </small>
      <small className="top">
        Top does best:{' '}
        {joinWords(
          reactions.map(({ what }) => reactionName(map, what, index.position.get(position)).toLowerCase()),
        )}
      </small>
      <MoveHazards map={map} moves={moves.map(({ what }) => what)} />
      <details>
        <summary>{timing === 'seen' ? say.whatTrainWaitFeel : say.whatTrainSoStart}</summary>
        <p className="mb-1">
          {same.length > 0 ? say.startSame(same.join('; ')) : say.nothingWrittenMakesThem}
        </p>
        {ways.length > 0 && (
          <>
            <p className="mb-1">{say.drillWherePartLet}</p>
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
