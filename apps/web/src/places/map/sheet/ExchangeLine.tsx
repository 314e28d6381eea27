import { type Exchange, type GuardMap, landingWords, reactionName } from '@aftersquall/core';
import styles from './sheet.module.scss';

interface Props {
  map: GuardMap;
  exchange: Exchange;
  onPick: () => void;
}

/** One answer of a move: what top does, where it leads, how likely; opens it. */
export function ExchangeLine({ map, exchange: { reaction, to, chance }, onPick }: Props) {
  return (
    <button type="button" className={`${styles.thing} answer`} onClick={onPick}>
      <span className={styles.met}>{reaction === 'none' ? 'unopposed' : reactionName(map, reaction)}</span>
      <span>→ {landingWords(map, to)}</span>
      <span className="chance">{Math.round(chance * 100)} %</span>
    </button>
  );
}
