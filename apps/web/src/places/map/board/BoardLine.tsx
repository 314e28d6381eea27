import type { GuardMap } from '@aftersquall/core/model';
import type { VirtualItem } from '@tanstack/react-virtual';
import { say } from '../words.ts';
import { BoardCellView } from './BoardCellView.tsx';
import styles from './board.module.scss';
import { type BoardLayout, type BoardRow, cellOf } from './boardModel.ts';
import { type ColumnPlace, SIZE } from './boardSize.ts';
import type { BoardWorths } from './boardWorths.ts';
import { CellEditor, type Leaving } from './CellEditor.tsx';
import { ColumnHead } from './ColumnHead.tsx';
import { NameEditor } from './NameEditor.tsx';
import { RowHead } from './RowHead.tsx';

/** What is being written where the focus is, begun with a key or with what is there. */
export interface Editing {
  at: 'cell' | 'head';
  text?: string;
}

interface Props {
  map: GuardMap;
  line: VirtualItem;
  row: BoardRow;
  /** Where the columns in sight stand. */
  across: readonly ColumnPlace[];
  layout: BoardLayout;
  /** It stays at the top while what is under it is read, so far pushed up by the next one, px. */
  stuck: number | undefined;
  width: number;
  worths: BoardWorths | undefined;
  /** The column that the focus is in, −1 for the name at the left; undefined in every other row. */
  column: number | undefined;
  /** Under a position's row: the column of its table that the focus is in, −1 for none. */
  columnBelow: number;
  editing: Editing | undefined;
  onReaction: (id: string) => void;
  onHead: () => void;
  onNamed: (goOn: boolean) => void;
  onCommit: (after: Leaving) => void;
}

/** One row of the board: a position's name, or a move with its answers, and what is being written in it. */
export function BoardLine(props: Props) {
  const { map, line, row, across, layout, stuck, width, worths, column, editing } = props;
  const { columns } = row;
  const edited = column === undefined ? undefined : columns[column];
  return (
    // biome-ignore lint/a11y/useFocusableInteractive: the grid has the focus and says where it is
    <div
      role="row"
      aria-rowindex={line.index + 2}
      className={`${styles['board-row']} ${row.kind} ${layout} ${editing ? styles.editing : ''} ${stuck === undefined ? '' : styles.stuck}`}
      style={{ width, height: line.size, transform: `translateY(${stuck ?? line.start}px)` }}
    >
      <RowHead
        id={cellId(row.key, 'head')}
        row={row}
        value={row.kind === 'position' ? worths?.value(row.position.id) : undefined}
        width={SIZE.head}
        withPicture={layout === 'tables'}
        here={column !== undefined && column < 0}
        onPick={props.onHead}
      />
      {row.kind === 'position' && layout === 'tables' && row.moves === 0 && (
        <p className={styles['no-moves']}>{say.noMovesYetPress}</p>
      )}
      {row.kind === 'position' &&
        layout === 'tables' &&
        row.moves > 0 &&
        across.map((place) => (
          <ColumnHead
            key={columns[place.index]!.key}
            column={columns[place.index]!}
            place={place}
            here={place.index === props.columnBelow}
            onReaction={props.onReaction}
          />
        ))}
      {row.kind === 'move' &&
        across.map((item) => {
          const met = columns[item.index]!;
          const cell = cellOf(map, row, met)!;
          const exchange = cell.kind === 'answer' ? cell.exchange.id : '';
          return (
            <BoardCellView
              key={met.key}
              id={cellId(row.key, met.key)}
              row={row.key}
              column={met.key}
              map={map}
              cell={cell}
              shade={worths?.shade(exchange) ?? 0}
              rate={worths?.rate(exchange)}
              worth={worths?.worth(exchange)}
              stake={cell.kind === 'hole' ? worths?.stake(row.move.id, met.key) : undefined}
              words={`${row.move.name}, ${met.name}`}
              index={item.index + 2}
              left={item.start}
              width={item.size}
              here={item.index === column}
            />
          );
        })}
      {editing?.at === 'head' && (
        <NameEditor row={row} text={editing.text} width={SIZE.head} onDone={props.onNamed} />
      )}
      {editing?.at === 'cell' && row.kind === 'move' && edited && column !== undefined && (
        <CellEditor
          map={map}
          row={row}
          column={edited}
          cell={cellOf(map, row, edited)!}
          text={editing.text}
          left={editorLeft(across, column, width)}
          onCommit={props.onCommit}
        />
      )}
    </div>
  );
}

/** Where the field stands: over its cell, and never out of the board. */
function editorLeft(across: readonly ColumnPlace[], column: number, width: number): number {
  const start = across.find(({ index }) => index === column)?.start ?? SIZE.head;
  return Math.max(0, Math.min(start, width - SIZE.editorWidth - 8));
}

export const cellId = (row: string, column: string): string => `cell-${row}-${column.replace('~', 'other-')}`;
