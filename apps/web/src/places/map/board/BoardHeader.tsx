import styles from './board.module.scss';
import type { BoardColumn } from './boardModel.ts';
import { type ColumnPlace, SIZE } from './boardSize.ts';
import { ColumnHead } from './ColumnHead.tsx';

interface Props {
  holes: number;
  columns: readonly BoardColumn[];
  /** The columns in sight. */
  across: readonly ColumnPlace[];
  width: number;
  /** The column that the focus is in. */
  columnAt: number;
  onReaction: (id: string) => void;
}

/** What top does, across the top of the wide grid. */
export function BoardHeader({ holes, columns, across, width, columnAt, onReaction }: Props) {
  return (
    // biome-ignore lint/a11y/useFocusableInteractive: the grid has the focus and says where it is
    <div
      className={styles['board-header']}
      role="row"
      aria-rowindex={1}
      style={{ width, height: SIZE.header }}
    >
      {/* biome-ignore lint/a11y/useFocusableInteractive: the grid has the focus and says where it is */}
      <div className={styles.corner} role="columnheader" style={{ width: SIZE.head }}>
        <span className="top">When top…</span>
        <span>
          <b>{holes}</b> {holes === 1 ? 'hole' : 'holes'}
        </span>
      </div>
      {across.map((place) => (
        <ColumnHead
          key={columns[place.index]!.key}
          column={columns[place.index]!}
          place={place}
          here={place.index === columnAt}
          onReaction={onReaction}
        />
      ))}
    </div>
  );
}
