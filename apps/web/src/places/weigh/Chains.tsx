import { answerName, OUTCOME_GOOD, OUTCOME_WORDS } from '@aftersquall/core/body';
import {
  type ChainTurn,
  exchangeOf,
  failsIn,
  type GuardMap,
  indexMap,
  OUTCOMES,
  type Outcome,
  timesInTen,
  turnText,
} from '@aftersquall/core/model';
import { type Weighing, type WeighOptions } from '@aftersquall/core/weigh';
import { useState } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { useBestChains } from '../../workers/weighQuestions.ts';
import { MoveHazards } from './MoveHazards.tsx';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  weighing: Weighing;
  options: WeighOptions;
  at: string;
}

/** The likeliest chains from a position to an outcome. */
export function Chains({ map, weighing, options, at }: Props) {
  const [chosen, setOutcome] = useState<Outcome>();
  const outcome = chosen ?? likeliest(map, weighing, at);
  const chains = useBestChains(map, options, at, outcome);
  const index = indexMap(map);
  const stepOf = (turn: ChainTurn) => {
    const exchange = index.exchange.get(exchangeOf(turn) ?? '')!;
    const { move: name, meets } = answerName(map, exchange);
    return { id: exchange.id, move: exchange.move, name, met: meets, fails: failsIn(turn) };
  };
  return (
    <>
      <h2 className="mt-3">Best chains from {index.position.get(at)?.name}</h2>
      <SelectField
        label="Ending"
        value={outcome}
        choices={OUTCOMES.map((value) => ({ value, name: OUTCOME_WORDS[value] }))}
        onChange={(value) => setOutcome(value as Outcome)}
      />
      {chains?.length === 0 && <p className="mt-2">{say.noChainGetsThere}</p>}
      <ol className="list-unstyled mt-2" aria-label="Best chains" aria-busy={!chains}>
        {chains?.map(({ exchanges, chance, countered }) => (
          <li key={exchanges.map(turnText).join(' ')} className={styles.stake}>
            <b>{timesInTen(chance)}</b>
            <span>
              {exchanges.map(stepOf).map(({ id, name, met, fails }, i) => (
                <span key={id}>
                  {i > 0 && ' → '}
                  <Link to={`${mapAddress(map.id)}?sel=exchange.${id}`}>{name}</Link>
                  {met && <span className="soft"> | {met}</span>}
                  {fails && <span className="top">, it fails</span>}
                </span>
              ))}
            </span>
            <MoveHazards map={map} moves={exchanges.map((turn) => stepOf(turn).move)} />
            <small className="soft">ends badly on the way {timesInTen(countered)}</small>
          </li>
        ))}
      </ol>
      <p className="soft small">{say.bottomMakesTheseMoves}</p>
    </>
  );
}

/** The ending good for bottom that a position comes to most often by the plan. */
function likeliest(map: GuardMap, { odds }: Weighing, at: string): Outcome {
  const from = odds.from[map.positions.findIndex(({ id }) => id === at)];
  const good = OUTCOMES.filter((outcome) => OUTCOME_GOOD[outcome] === 'own');
  return good.reduce((a, b) => (from && from[b] > from[a] ? b : a));
}
