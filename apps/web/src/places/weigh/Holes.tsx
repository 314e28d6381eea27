import { landingWords, reactionName } from '@aftersquall/core/body';
import {
  type GuardMap,
  indexMap,
  lowerFirst,
  reactionKey,
  roundsWords,
  timesInTen,
} from '@aftersquall/core/model';
import { suggestAnswers } from '@aftersquall/core/read';
import {
  pointsText,
  type StakedHole,
  signedPoints,
  type Weighing,
  type WeighOptions,
} from '@aftersquall/core/weigh';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { Explained } from '../../components/Explained.tsx';
import { useExactHoles } from '../../workers/weighQuestions.ts';
import { exchangeName } from './exchangeName.ts';
import type { InsightView } from './insightViews.ts';
import type { useWhatIf } from './useWhatIf.ts';
import styles from './weigh.module.scss';
import { say } from './words.ts';

/** So many are listed of each kind. */
const MAX_HOLES_LISTED = 20;
/** So many slopes and drills are listed. */
const SLOPES = 5;
const DRILLS = 8;
/** A stake below this shows as nothing. */
const MIN_STAKE_SHOWN = 0.0005;
/** So many proposals stand beside a hole. */
const PROPOSALS = 2;

interface Props {
  map: GuardMap;
  weighing: Weighing;
  options: WeighOptions;
  settled: boolean;
  asked: ReturnType<typeof useWhatIf>;
  onView: (view: InsightView) => void;
}

/** Holes by what an answer brings, what a minute of drilling is worth, and which of the guessed chances matter most. */
export function Holes({ map, weighing, options, settled, asked, onView }: Props) {
  const index = indexMap(map);
  const { holes: exact, done } = useExactHoles(map, options);
  const holes = (settled && exact) || weighing.holes;
  const costly = holes.filter(({ stake }) => stake >= MIN_STAKE_SHOWN);
  const rest = holes.filter(({ stake }) => stake < MIN_STAKE_SHOWN);
  const askChance = (exchange: string, chance: number) => {
    const { chances } = asked.whatIf;
    if (!chances.some((one) => one.exchange === exchange))
      asked.change({ chances: [...chances, { exchange, chance }] });
    onView('what-if');
  };
  return (
    <>
      <h2 className="mt-3">Holes, the dearest first</h2>
      {holes.length > 0 && <Explained term="hole" />}
      {holes.length === 0 && <p>{say.noHolesUnderThese}</p>}
      {costly.length > 0 && !exact && (
        <progress
          className="d-block w-100"
          max={done?.total ?? 1}
          value={done?.done ?? 0}
          aria-label={say.holesWhoseAnswerCounts}
        />
      )}
      <HoleList map={map} holes={costly.slice(0, MAX_HOLES_LISTED)} />
      {rest.length > 0 && (
        <details className="mb-3">
          <summary>{rest.length} more where an answer would change nothing</summary>
          <HoleList map={map} holes={rest.slice(0, MAX_HOLES_LISTED)} />
        </details>
      )}
      <h2>Where a minute of drilling pays</h2>
      <p className="soft small mb-1">{say.pointsRoundFirstMinute}</p>
      <ol className="list-unstyled" aria-label={say.whereMinuteDrillingPays}>
        {weighing.drills.slice(0, DRILLS).map(({ exchange: id, worth }) => (
          <li key={id} className={styles.stake}>
            <b>{signedPoints(worth, 4)}</b>
            <Link to={`${mapAddress(map.id)}?sel=exchange.${id}`}>{exchangeName(map, id)}</Link>
            <small className="soft">
              {roundsWords(weighing.visits[id] ?? 0)}, works {timesInTen(index.exchange.get(id)!.chance)}
            </small>
          </li>
        ))}
      </ol>
      <h2>Guesses that matter most</h2>
      <ol className="list-unstyled" aria-label={say.guessesMatterMost}>
        {weighing.sensitivity.slice(0, SLOPES).map(({ exchange: id, slope }) => {
          const exchange = index.exchange.get(id)!;
          return (
            <li key={id} className={styles.stake}>
              <b>{signedPoints(slope * 0.1, 3)}</b>
              <Link to={`${mapAddress(map.id)}?sel=exchange.${id}`}>{exchangeName(map, id)}</Link>
              <small className="soft">
                works {timesInTen(exchange.chance)}; if it worked once more in 10{' '}
                <button type="button" className="chip" onClick={() => askChance(id, exchange.chance)}>
                  what if…
                </button>
              </small>
            </li>
          );
        })}
      </ol>
    </>
  );
}

function HoleList({ map, holes }: { map: GuardMap; holes: readonly StakedHole[] }) {
  return (
    <ol className="list-unstyled">
      {holes.map((hole) => (
        <HoleLine key={`${hole.move} ${reactionKey(hole.reaction ?? 'none')}`} map={map} hole={hole} />
      ))}
    </ol>
  );
}

function HoleLine({ map, hole }: { map: GuardMap; hole: StakedHole }) {
  const { position, move, reaction, stake, spot, visits, exact } = hole;
  const index = indexMap(map);
  const cell = `${mapAddress(map.id)}?view=board&cell=${move}.${reactionKey(reaction ?? 'none')}&sel=move.${move}`;
  const proposals = useMemo(
    () => (reaction ? suggestAnswers(map, position, reaction).slice(0, PROPOSALS) : []),
    [map, position, reaction],
  );
  return (
    <li className={styles.stake}>
      <b title={exact ? say.workedOutAnswerHere : 'Estimated'}>
        {exact ? '' : '≈ '}
        {pointsText(stake, 3)}
      </b>
      <Link to={cell}>
        {index.move.get(move)?.name}, when top{' '}
        {reaction ? lowerFirst(reactionName(map, reaction, index.position.get(position))) : 'does anything'}
      </Link>
      <small className="soft">
        {index.position.get(position)?.name}, {roundsWords(visits)}; here and now {signedPoints(spot)}
      </small>
      {proposals.map((proposal) => (
        <small key={proposal.move.id} className={styles.proposal}>
          Could be: {proposal.move.name}
          {proposal.like && `, to ${landingWords(map, proposal.like.to)}`}
        </small>
      ))}
    </li>
  );
}
