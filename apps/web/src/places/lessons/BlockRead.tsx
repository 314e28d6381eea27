import { doseWords } from '@aftersquall/core/formats';
import { blockTime } from '@aftersquall/core/lesson';
import { type Block, blockName, type ClassPlan } from '@aftersquall/core/model';
import { clock } from '../../components/clock.ts';
import { BlockWords } from './BlockWords.tsx';
import styles from './lessons.module.scss';

interface Props {
  block: Block;
  plan: ClassPlan;
  start: number;
  /** It ends after the class does. */
  over: boolean;
  onOpen: () => void;
}

/** A block as it reads on paper; a tap on its head opens it to be changed. */
export function BlockRead({ block, plan, start, over, onOpen }: Props) {
  const dose = doseWords(block);
  return (
    <article className={`${styles['block-read']} ${over ? styles.over : ''}`}>
      <b className={styles.when}>{clock(start)}</b>
      <div>
        <button type="button" className="bare" onClick={onOpen}>
          {block.title}
        </button>{' '}
        <span className="soft small">
          {blockName(block.kind)}, {clock(blockTime(block, plan).total)}
          {dose && `, ${dose}`}
        </span>
        <BlockWords block={block} />
      </div>
    </article>
  );
}
