import { reactionName } from '@aftersquall/core/body';
import {
  type GuardMap,
  indexMap,
  type PlayLevel,
  type ReactionRef,
  reactionKey,
  roundsWords,
  timesInTen,
} from '@aftersquall/core/model';
import { levelWords, pointsText, signedPoints, type Weighing, worthReason } from '@aftersquall/core/weigh';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { classAddress, mapAddress } from '../../components/addresses.ts';
import { MoveHazards } from './MoveHazards.tsx';
import { planWords, reasonWords } from './planWords.ts';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  weighing: Weighing;
  level: PlayLevel;
  /** Another what-if that it is laid beside. */
  beside: { name: string; weighing: Weighing } | undefined;
  at: string;
}

/** As in the styles: below this the columns stand under one another. */
const NARROW = '(max-width: 1000px)';

/** One position opened: its looks, the plan in words, the matrix behind it, and from each cell the exchange. */
export function PositionPlan({ map, weighing, level, beside, at }: Props) {
  const index = indexMap(map);
  const value = weighing.positions.find(({ position }) => position === at);
  const here = useRef<HTMLElement>(null);
  const shown = useRef('');
  // On a narrow screen the plan stands below the values: picking one there leads to it.
  useEffect(() => {
    if (shown.current !== at && matchMedia(NARROW).matches) here.current?.scrollIntoView();
    shown.current = at;
  }, [at]);
  if (!value) return <section className={styles['weigh-column']} />;
  const odds = weighing.odds.from[weighing.positions.indexOf(value)];
  const endless = looksEndless(odds);
  const looks = [...value.looks].sort((a, b) => b.value - a.value);
  return (
    <section ref={here} className={`${styles['weigh-column']} ${styles.plan}`} aria-label="The plan">
      <h2>
        <Link to={`${mapAddress(map.id)}?sel=position.${at}`}>{index.position.get(at)?.name}</Link>
      </h2>
      <p>
        {say.roundHere} <b>{signedPoints(value.value)}</b> points
        {value.ifAnswered - value.value > 0.005 && <> ({pointsText(value.ifAnswered)} if answered)</>}, with{' '}
        {levelWords(level)}
        {level.top !== 'knows best' && (
          <span className="soft"> ({pointsText(value.knowsBest)} if both play perfectly)</span>
        )}
        . It comes up {roundsWords(value.visits)}.{value.best === undefined && ' Waiting is best here.'}
      </p>
      <p className="small mb-1">
        <Link to={`${classAddress()}?root=${at}`}>Make a lesson of it</Link>
      </p>
      <Why map={map} value={value} />
      {beside && (
        <Beside
          map={map}
          name={beside.name}
          weighing={beside.weighing}
          at={at}
          human={level.top !== 'knows best'}
        />
      )}
      {endless && <p className="hazard">{say.planGoesCirclesHere}</p>}
      {looks.length === 0 && <p>{say.theseRulesLeaveNo}</p>}
      {looks.map((plan) => (
        <article
          key={plan.look}
          className={plan.look === value.best ? styles.best : ''}
          aria-label={plan.name}
        >
          <h3>
            {plan.name} <span className="soft">{pointsText(plan.value)}</span>
            {plan.look === value.best && <span className="chip on ms-2">the plan</span>}
            {plan.share > 0.005 && plan.share < 0.995 && (
              <small className="soft ms-2">you show it {timesInTen(plan.share)}</small>
            )}
          </h3>
          <p className="mb-1">{planWords(map, plan, level.top !== 'knows best')}</p>
          <MoveHazards map={map} moves={plan.matrix.moves} />
          {plan.overSingle > 0.005 && (
            <p className={styles.dilemma}>
              {plan.timing === 'seen'
                ? say.waitFeelAnsweringWhat(pointsText(plan.overSingle))
                : say.dilemmaMixingBringsPoints(pointsText(plan.overSingle))}
            </p>
          )}
          <div className={styles['matrix-scroll']}>
            <table className={styles.matrix}>
              <thead>
                <tr>
                  <td />
                  {plan.matrix.reactions.map((ref) => (
                    <th key={reactionKey(ref)} scope="col">
                      {reactionName(map, ref, index.position.get(at))}
                      <ShareBar share={shareOf(plan.reactions, ref)} />
                      {weighing.trust > 0 && (
                        <small className="d-block">
                          {Math.round(shareOf(plan.expected, ref) * 100)} % expected
                        </small>
                      )}
                    </th>
                  ))}
                  {plan.matrix.reactions.length === 0 && <th scope="col">not said yet</th>}
                </tr>
              </thead>
              <tbody>
                {plan.matrix.moves.map((move, m) => (
                  <tr key={move}>
                    <th scope="row">
                      {index.move.get(move)?.name}
                      <ShareBar share={plan.moves.find(({ what }) => what === move)?.share ?? 0} />
                    </th>
                    {plan.matrix.worth[m]!.map((payoff, r) => {
                      const exchange = plan.matrix.exchanges[m]![r];
                      return (
                        <td key={`${move} ${r}`} className={exchange ? '' : 'hole'}>
                          {exchange ? (
                            <Link
                              to={`${mapAddress(map.id)}?sel=exchange.${exchange}`}
                              title={`comes up ${roundsWords(weighing.visits[exchange] ?? 0)}`}
                            >
                              {pointsText(payoff)}
                            </Link>
                          ) : (
                            <>
                              {pointsText(payoff)} <small>hole</small>
                            </>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </article>
      ))}
    </section>
  );
}

/** The figure asked why: the exchange that makes it, and the way to it. */
function Why({ map, value }: { map: GuardMap; value: Weighing['positions'][number] }) {
  const reason = worthReason(value);
  if (!reason) return null;
  const { exchange, move } = reason;
  return (
    <details className="small mb-2">
      <summary>Why {pointsText(value.value)}?</summary>
      <p className="mb-0">
        {reasonWords(map, reason)}{' '}
        <Link to={`${mapAddress(map.id)}?sel=${exchange ? `exchange.${exchange}` : `move.${move}`}`}>
          to it
        </Link>
      </p>
    </details>
  );
}

/** The same position in the what-if beside: its worth and its plan in words. */
function Beside({
  map,
  name,
  weighing,
  at,
  human,
}: {
  map: GuardMap;
  name: string;
  weighing: Weighing;
  at: string;
  human: boolean;
}) {
  const there = weighing.positions.find(({ position }) => position === at);
  if (!there) return null;
  const plan = there.looks.find(({ look }) => look === there.best);
  return (
    <p className="beside">
      In “{name}” it is worth <b>{pointsText(there.value)}</b> and comes up {there.visits.toFixed(2)} times a
      round. {plan ? `${plan.name}: ${planWords(map, plan, human)}` : say.waitingBestHere}
    </p>
  );
}

/** Rounds that end by time alone, to a rounding. */
const looksEndless = (odds: Weighing['odds']['from'][number] | undefined): boolean =>
  odds !== undefined && odds.time > 1 - 1e-6;

const shareOf = (
  mix: Weighing['positions'][number]['looks'][number]['reactions'],
  ref: ReactionRef,
): number => mix.find(({ what }) => reactionKey(what) === reactionKey(ref))?.share ?? 0;

function ShareBar({ share }: { share: number }) {
  return (
    <span className={`share ${share > 0 ? '' : 'none'}`}>
      <span style={{ '--share': share } as object} aria-hidden />
      {Math.round(share * 100)} %
    </span>
  );
}
