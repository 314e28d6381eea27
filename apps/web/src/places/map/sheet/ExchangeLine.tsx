import { answerName, landingWords } from '@aftersquall/core/body';
import { type Exchange, type GuardMap, indexMap } from '@aftersquall/core/model';
import styles from './sheet.module.scss';

interface Props {
  map: GuardMap;
  exchange: Exchange;
  onPick: () => void;
}

/** One answer of a move: what top does, where it leads, how likely; opens it. */
export function ExchangeLine({ map, exchange, onPick }: Props) {
  const index = indexMap(map);
  const { move, to, chance } = exchange;
  const { meets } = answerName(map, exchange);
  return (
    <button type="button" className={`${styles.thing} answer`} onClick={onPick}>
      <span className={styles.met}>{meets || 'top does nothing'}</span>
      <span>→ {landingWords(map, to, index.position.get(index.move.get(move)?.position ?? ''))}</span>
      <span className="chance">{Math.round(chance * 100)} %</span>
    </button>
  );
}
