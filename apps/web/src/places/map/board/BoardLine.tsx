import type { GuardMap } from '@aftersquall/core';
import type { VirtualItem } from '@tanstack/react-virtual';
import { BoardCellView } from './BoardCellView.tsx';
import styles from './board.module.scss';
import { type BoardColumn, type BoardRow, cellOf } from './boardModel.ts';
import { SIZE } from './boardSize.ts';
import type { BoardWorths } from './boardWorths.ts';
import { CellEditor } from './CellEditor.tsx';
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
  columns: readonly BoardColumn[];
  /** The columns in sight. */
  across: readonly VirtualItem[];
  width: number;
  worths: BoardWorths | undefined;
  /** The column that the focus is in, −1 for the name at the left; undefined in every other row. */
  column: number | undefined;
  editing: Editing | undefined;
  onHead: () => void;
  onCell: (column: BoardColumn) => void;
  onEdit: (column: BoardColumn) => void;
  onNamed: (goOn: boolean) => void;
  onCommit: (after: 'down' | 'right' | 'left' | 'stay') => void;
}

/** One row of the board: a position's name, or a move with its answers, and what is being written in it. */
export function BoardLine(props: Props) {
  const { map, line, row, columns, across, width, worths, column, editing } = props;
  const edited = column === undefined ? undefined : columns[column];
  return (
    <div
      role="row"
      aria-rowindex={line.index + 2}
      className={`${styles['board-row']} ${row.kind} ${editing ? styles.editing : ''}`}
      style={{ width, height: line.size, transform: `translateY(${line.start}px)` }}
    >
      <RowHead
        id={cellId(row.key, 'head')}
        row={row}
        value={row.kind === 'position' ? worths?.value(row.position.id) : undefined}
        width={SIZE.head}
        here={column !== undefined && column < 0}
        onPick={props.onHead}
      />
      {row.kind === 'move' &&
        across.map((item) => {
          const met = columns[item.index]!;
          const cell = cellOf(map, row, met)!;
          const exchange = cell.kind === 'answer' ? cell.exchange.id : '';
          return (
            <BoardCellView
              key={item.key}
              id={cellId(row.key, met.key)}
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
              onPick={() => props.onCell(met)}
              onEdit={() => props.onEdit(met)}
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
          left={column * SIZE.column + SIZE.head}
          onCommit={props.onCommit}
        />
      )}
    </div>
  );
}

export const cellId = (row: string, column: string): string => `cell-${row}-${column.replace('~', 'other-')}`;
