import type { VirtualItem } from '@tanstack/react-virtual';
import styles from './board.module.scss';
import type { BoardColumn } from './boardModel.ts';
import { SIZE } from './boardSize.ts';

interface Props {
  holes: number;
  columns: readonly BoardColumn[];
  /** The columns in sight. */
  across: readonly VirtualItem[];
  width: number;
  /** The column that the focus is in. */
  columnAt: number;
  onReaction: (id: string) => void;
}

/** What top does, across the top of the board. */
export function BoardHeader({ holes, columns, across, width, columnAt, onReaction }: Props) {
  return (
    <div
      className={styles['board-header']}
      role="row"
      aria-rowindex={1}
      style={{ width, height: SIZE.header }}
    >
      <div className={styles.corner} role="columnheader" style={{ width: SIZE.head }}>
        <span className="top">When top…</span>
        <span>
          <b>{holes}</b> {holes === 1 ? 'hole' : 'holes'}
        </span>
      </div>
      {across.map((item) => {
        const column = columns[item.index]!;
        return (
          <button
            key={item.key}
            type="button"
            role="columnheader"
            aria-colindex={item.index + 2}
            tabIndex={-1}
            className={`${styles['column-head']} ${item.index === columnAt ? 'here' : ''}`}
            style={{ left: item.start, width: item.size }}
            title={column.name}
            onClick={() => column.reaction !== 'none' && onReaction(column.reaction.id)}
          >
            <span>{column.name}</span>
          </button>
        );
      })}
    </div>
  );
}
