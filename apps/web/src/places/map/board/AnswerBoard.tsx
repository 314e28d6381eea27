import './board.scss';
import { batch, type GuardMap, put, remove } from '@aftersquall/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { newMove, newPosition } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import type { Selection } from '../selection.ts';
import { BoardCellView } from './BoardCellView.tsx';
import { BoardKeys } from './BoardKeys.tsx';
import type { Board, BoardColumn, BoardRow } from './boardModel.ts';
import { cellOf } from './boardModel.ts';
import type { BoardWorths } from './boardWorths.ts';
import { CellEditor } from './CellEditor.tsx';
import { NameEditor } from './NameEditor.tsx';
import { NewPosition } from './NewPosition.tsx';
import { ReactionDialog } from './ReactionDialog.tsx';
import { RowHead } from './RowHead.tsx';
import { type Spot, spotKey, useSpot } from './useSpot.ts';

const SIZE = { head: 252, column: 152, position: 40, move: 56, header: 62, editor: 360 } as const;

interface Props {
  map: GuardMap;
  board: Board;
  /** What the map is worth, once that is known. */
  worths: BoardWorths | undefined;
  stale: boolean;
  system: string | undefined;
  /** Where the address says the focus is; whoever jumps to a cell changes it. */
  asked: Spot | undefined;
  onSpot: (spot: Spot) => void;
  selected: Selection | undefined;
  select: (selection: Selection | undefined) => void;
}

type Editing = { at: 'cell'; text?: string } | { at: 'head'; text?: string };

/**
 * The answer board: moves down, reactions across, in each cell the answer. It is worked from the keyboard: arrows
 * move, typing fills, Tab goes on; + & | @ add a move, one that looks the same, a reaction, a position.
 */
export function AnswerBoard(props: Props) {
  const { map, board, worths, stale, system, asked, onSpot: tell, selected, select } = props;
  const { rows, columns } = board;
  const dispatch = useAppDispatch();
  const scroller = useRef<HTMLDivElement>(null);
  const [editing, setEditing] = useState<Editing>();
  const [adding, setAdding] = useState(false);
  const [naming, setNaming] = useState(false);
  const [spot, onSpot] = useSpot(asked, tell);
  const rowAt = Math.max(
    0,
    rows.findIndex(({ key }) => key === spot?.row),
  );
  const columnAt = columns.findIndex(({ key }) => key === spot?.column);
  const row = rows[rowAt];
  const rowList = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => SIZE[rows[i]!.kind],
    getItemKey: (i) => rows[i]!.key,
    overscan: 6,
    scrollPaddingStart: SIZE.header,
    scrollMargin: SIZE.header,
  });
  const columnList = useVirtualizer({
    horizontal: true,
    count: columns.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => SIZE.column,
    getItemKey: (i) => columns[i]!.key,
    overscan: 2,
    scrollPaddingStart: SIZE.head,
    scrollMargin: SIZE.head,
  });
  useEffect(() => rowList.measure(), [rows]);
  // The spot is scrolled to when it moves, not when the board is scrolled by hand.
  const scrolledTo = spot && spotKey(spot);
  useEffect(() => {
    if (!spot) return;
    rowList.scrollToIndex(rowAt);
    if (columnAt >= 0) columnList.scrollToIndex(columnAt);
  }, [scrolledTo]);
  // The proposals hang below the cell: there has to be room for them, also under the last row.
  const editingCell = editing?.at === 'cell';
  useEffect(() => {
    const element = scroller.current;
    const line = rowList.getVirtualItems().find(({ index }) => index === rowAt);
    if (!editingCell || !element || !line) return;
    const below = element.scrollTop + element.clientHeight - line.start;
    if (below < SIZE.editor) element.scrollTop += SIZE.editor - below;
  }, [editingCell]);
  const focusBoard = () => scroller.current?.focus({ preventScroll: true });

  const thingAt = (at: BoardRow | undefined, column: BoardColumn | undefined): Selection | undefined => {
    if (!at) return undefined;
    if (at.kind === 'position') return { kind: 'position', id: at.position.id };
    const cell = column && cellOf(map, at, column);
    return cell?.kind === 'answer'
      ? { kind: 'exchange', id: cell.exchange.id }
      : { kind: 'move', id: at.move.id };
  };
  const go = (toRow: number, toColumn: number) => {
    const next = rows[Math.min(Math.max(toRow, 0), rows.length - 1)];
    if (!next) return;
    // A position's own row has a name and no cells.
    const last = next.kind === 'position' ? -1 : columns.length - 1;
    const column = columns[Math.min(toColumn, last)];
    onSpot({ row: next.key, column: column?.key ?? 'head' });
    if (selected) select(thingAt(next, column));
  };
  /** The next cell for typing: on to the right, then to the first cell of the next move. */
  const onwards = (step: 1 | -1) => {
    const next = columnAt + step;
    if (next >= -1 && next < columns.length) return go(rowAt, next);
    const other = step > 0 ? rows.findIndex((r, i) => i > rowAt && r.kind === 'move') : rowAt - 1;
    if (other >= 0) go(other, step > 0 ? 0 : columns.length - 1);
  };
  const commit = (after: 'down' | 'right' | 'left' | 'stay') => {
    setEditing(undefined);
    focusBoard();
    if (after === 'down') go(rowAt + 1, columnAt);
    if (after === 'right') onwards(1);
    if (after === 'left') onwards(-1);
  };
  const addMove = (look?: string) => {
    if (!row) return;
    const { commands, move } = newMove(map, row.position, look);
    dispatch(changeMap(batch(commands, 'New move')));
    onSpot({ row: move.id, column: 'head' });
    setEditing({ at: 'head', text: '' });
  };
  const clear = () => {
    const cell = row && columns[columnAt] && cellOf(map, row, columns[columnAt]!);
    if (cell?.kind !== 'answer') return;
    dispatch(changeMap(remove('exchange', cell.exchange.id), { announce: 'Removed the answer.' }));
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (editing || adding || naming || event.defaultPrevented) return;
    const { key } = event;
    if (event.ctrlKey || event.metaKey || event.altKey) {
      if (key === 'Home') go(0, -1);
      else if (key === 'End') go(rows.length - 1, columns.length - 1);
      else return;
      event.preventDefault();
      return;
    }
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 400) / SIZE.move) - 2);
    const moves: Record<string, () => void> = {
      ArrowDown: () => go(rowAt + 1, columnAt),
      ArrowUp: () => go(rowAt - 1, columnAt),
      ArrowRight: () => go(rowAt, columnAt + 1),
      ArrowLeft: () => go(rowAt, Math.max(-1, columnAt - 1)),
      PageDown: () => go(rowAt + page, columnAt),
      PageUp: () => go(rowAt - page, columnAt),
      Home: () => go(rowAt, -1),
      End: () => go(rowAt, columns.length - 1),
      Enter: () => setEditing({ at: columnAt < 0 ? 'head' : 'cell' }),
      F2: () => setEditing({ at: columnAt < 0 ? 'head' : 'cell' }),
      Delete: clear,
      Backspace: clear,
      ' ': () => select(thingAt(row, columns[columnAt])),
      '+': () => addMove(),
      '&': () => addMove(row?.kind === 'move' ? row.look.id : row?.position.looks[0]?.id),
      '|': () => row && setAdding(true),
      '@': () => setNaming(true),
    };
    // Where the focus may leave the board, Tab does; it walks the cells while typing.
    const act = moves[key];
    if (act) {
      event.preventDefault();
      act();
    } else if (key.length === 1 && row && key !== '/' && key !== '?') {
      event.preventDefault();
      event.stopPropagation();
      setEditing({ at: columnAt < 0 ? 'head' : 'cell', text: key });
    }
  };

  const width = columnList.getTotalSize() + SIZE.head;
  const lines = rowList.getVirtualItems();
  const across = columnList.getVirtualItems();
  return (
    <div className={`board ${worths && stale ? 'stale' : ''}`}>
      <div
        ref={scroller}
        className="board-scroll"
        role="grid"
        aria-label="Answer board"
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length + 1}
        aria-activedescendant={row ? cellId(row.key, columns[columnAt]?.key ?? 'head') : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
      >
        <div
          style={{ width, height: rowList.getTotalSize() + SIZE.header + SIZE.editor, position: 'relative' }}
        >
          <div className="board-header" role="row" aria-rowindex={1} style={{ width, height: SIZE.header }}>
            <div className="corner" role="columnheader" style={{ width: SIZE.head }}>
              <span className="top">When top…</span>
              <span>
                <b>{board.holes}</b> {board.holes === 1 ? 'hole' : 'holes'}
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
                  className={`column-head ${item.index === columnAt ? 'here' : ''}`}
                  style={{ left: item.start, width: item.size }}
                  title={column.name}
                  onClick={() =>
                    column.reaction !== 'none' && select({ kind: 'reaction', id: column.reaction.id })
                  }
                >
                  <span>{column.name}</span>
                </button>
              );
            })}
          </div>
          {lines.map((line) => {
            const at = rows[line.index]!;
            return (
              <div
                key={line.key}
                role="row"
                aria-rowindex={line.index + 2}
                className={`board-row ${at.kind} ${editing && line.index === rowAt ? 'editing' : ''}`}
                style={{ width, height: line.size, transform: `translateY(${line.start}px)` }}
              >
                <RowHead
                  id={cellId(at.key, 'head')}
                  row={at}
                  value={at.kind === 'position' ? worths?.value(at.position.id) : undefined}
                  width={SIZE.head}
                  here={line.index === rowAt && columnAt < 0}
                  onPick={() => {
                    onSpot({ row: at.key, column: 'head' });
                    select(thingAt(at, undefined));
                  }}
                />
                {at.kind === 'move' &&
                  across.map((item) => {
                    const column = columns[item.index]!;
                    const cell = cellOf(map, at, column)!;
                    const exchange = cell.kind === 'answer' ? cell.exchange.id : '';
                    return (
                      <BoardCellView
                        key={item.key}
                        id={cellId(at.key, column.key)}
                        map={map}
                        cell={cell}
                        shade={worths?.shade(exchange) ?? 0}
                        rate={worths?.rate(exchange)}
                        worth={worths?.worth(exchange)}
                        stake={cell.kind === 'hole' ? worths?.stake(at.move.id, column.key) : undefined}
                        words={`${at.move.name}, ${column.name}`}
                        index={item.index + 2}
                        left={item.start}
                        width={item.size}
                        here={line.index === rowAt && item.index === columnAt}
                        onPick={() => {
                          onSpot({ row: at.key, column: column.key });
                          focusBoard();
                          if (selected) select(thingAt(at, column));
                        }}
                        onEdit={() => {
                          onSpot({ row: at.key, column: column.key });
                          setEditing({ at: 'cell' });
                        }}
                      />
                    );
                  })}
                {editing && line.index === rowAt && editing.at === 'head' && (
                  <NameEditor
                    row={at}
                    text={editing.text}
                    width={SIZE.head}
                    onDone={(next) => {
                      setEditing(undefined);
                      focusBoard();
                      if (next && at.kind === 'move') go(rowAt, 0);
                    }}
                  />
                )}
                {editing?.at === 'cell' &&
                  line.index === rowAt &&
                  at.kind === 'move' &&
                  columns[columnAt] && (
                    <CellEditor
                      map={map}
                      row={at}
                      column={columns[columnAt]!}
                      cell={cellOf(map, at, columns[columnAt]!)!}
                      text={editing.text}
                      left={columnAt * SIZE.column + SIZE.head}
                      onCommit={commit}
                    />
                  )}
              </div>
            );
          })}
        </div>
      </div>
      <BoardKeys />
      {adding && row && (
        <ReactionDialog
          map={map}
          row={row}
          onHide={() => {
            setAdding(false);
            focusBoard();
          }}
          onAdded={(column) => {
            setAdding(false);
            const move = row.kind === 'move' ? row.move.id : (rows[rowAt + 1]?.key ?? row.key);
            onSpot({ row: move, column });
            focusBoard();
          }}
        />
      )}
      {naming && (
        <NewPosition
          onName={(name) => {
            const position = newPosition(map, name, system);
            dispatch(changeMap(put('position', position)));
            onSpot({ row: position.id, column: 'head' });
          }}
          onHide={() => setNaming(false)}
          board={scroller}
        />
      )}
    </div>
  );
}

export const cellId = (row: string, column: string): string => `cell-${row}-${column.replace('~', 'other-')}`;
