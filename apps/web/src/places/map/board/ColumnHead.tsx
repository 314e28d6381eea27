import { ShortName } from '../../../components/ShortName.tsx';
import styles from './board.module.scss';
import type { BoardColumn } from './boardModel.ts';
import type { ColumnPlace } from './boardSize.ts';

interface Props {
  column: BoardColumn;
  place: ColumnPlace;
  here: boolean;
  onReaction: (id: string) => void;
}

/** What top does, over its column; opens what is known of it. */
export function ColumnHead({ column, place, here, onReaction }: Props) {
  return (
    <button
      type="button"
      role="columnheader"
      aria-colindex={place.index + 2}
      tabIndex={-1}
      className={`${styles['column-head']} ${here ? 'here' : ''}`}
      style={{ left: place.start, width: place.size }}
      title={column.name}
      onClick={() => column.reaction !== 'none' && onReaction(column.reaction.id)}
    >
      <ShortName of={column} />
    </button>
  );
}
