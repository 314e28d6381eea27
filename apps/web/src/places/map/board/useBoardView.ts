import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useMemo } from 'react';
import { useWidth } from '../../../components/useWidth.ts';
import type { Board, BoardRow } from './boardModel.ts';
import { type ColumnPlace, POSITION_ROW, placeColumns, pushedUp, SIZE } from './boardSize.ts';
import { type Spot, spotKey } from './useSpot.ts';

interface Request {
  scroller: RefObject<HTMLDivElement | null>;
  board: Board;
  rowAt: number;
  columnAt: number;
  spot: Spot | undefined;
  /** An answer is being typed where the focus is. */
  editingCell: boolean;
}

/**
 * The rows and columns in sight, and how large the whole is; the focus is kept in sight, with room for what hangs
 * below. In the tables the head of the table that is being read stays at the top.
 */
export function useBoardView({ scroller, board, rowAt, columnAt, spot, editingCell }: Request) {
  const { rows, layout } = board;
  const inTables = layout === 'tables';
  const header = inTables ? 0 : SIZE.header;
  const room = useWidth(scroller);
  const rowList = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (rows[i]!.kind === 'move' ? SIZE.move : POSITION_ROW[layout]),
    getItemKey: (i) => rows[i]!.key,
    overscan: 6,
    scrollPaddingStart: inTables ? POSITION_ROW.tables : header,
    scrollMargin: header,
    rangeExtractor: (range) => {
      const seen = defaultRangeExtractor(range);
      const head = headOf(rows, range.startIndex);
      return inTables && !seen.includes(head) ? [head, ...seen] : seen;
    },
  });
  const columnList = useVirtualizer({
    horizontal: true,
    count: inTables ? 0 : (rows[0]?.columns.length ?? 0),
    getScrollElement: () => scroller.current,
    estimateSize: () => SIZE.column,
    overscan: 2,
    scrollPaddingStart: SIZE.head,
    scrollMargin: SIZE.head,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: other rows have other heights; the list itself is made anew with every render
  useEffect(() => rowList.measure(), [rows]);
  const most = useMemo(() => Math.max(1, ...rows.map(({ columns }) => columns.length)), [rows]);
  const acrossGrid = columnList.getVirtualItems();
  const across = (row: BoardRow): readonly ColumnPlace[] =>
    inTables ? placeColumns(row.columns.length, room) : acrossGrid;
  const last = placeColumns(most, room).at(-1)!;

  // The spot is scrolled to when it moves, not when the board is scrolled by hand.
  const scrolledTo = spot && spotKey(spot);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a spot that moves is scrolled to
  useEffect(() => {
    if (!spot) return;
    rowList.scrollToIndex(rowAt);
    if (columnAt < 0) return;
    if (!inTables) columnList.scrollToIndex(columnAt);
    else keepInSight(scroller.current, across(rows[rowAt]!)[columnAt]);
  }, [scrolledTo]);
  // The proposals hang below the cell: there has to be room for them, also under the last row.
  // biome-ignore lint/correctness/useExhaustiveDependencies: room is made once, when the typing begins
  useEffect(() => {
    const element = scroller.current;
    const line = rowList.getVirtualItems().find(({ index }) => index === rowAt);
    if (!editingCell || !element || !line) return;
    const below = element.scrollTop + element.clientHeight - line.start;
    if (below < SIZE.editor) element.scrollTop += SIZE.editor - below;
  }, [editingCell]);
  const lines = rowList.getVirtualItems();
  const top = rowList.scrollOffset ?? 0;
  const first = lines.findLast(({ start, index }) => start <= top && rows[index]!.kind === 'position');
  const next = lines.find(({ start, index }) => start > top && rows[index]!.kind === 'position');
  return {
    width: inTables ? Math.max(room, last.start + last.size) : columnList.getTotalSize() + SIZE.head,
    height: rowList.getTotalSize() + header + SIZE.editor,
    lines,
    /** The row that stays at the top while its table is read; −1 in the grid. */
    stuck: inTables ? (first?.index ?? 0) : -1,
    /** How far the next head pushes it up, px. */
    pushed: next ? pushedUp(next.start - top) : 0,
    across,
  };
}

/** The row of the position that a row belongs to. */
function headOf(rows: readonly BoardRow[], row: number): number {
  let at = Math.min(row, rows.length - 1);
  while (at > 0 && rows[at]!.kind !== 'position') at--;
  return Math.max(0, at);
}

/** Scrolls sideways as little as shows a column whole, right of the names. */
function keepInSight(element: HTMLElement | null, place: ColumnPlace | undefined) {
  if (!element || !place) return;
  const over = place.start + place.size - (element.scrollLeft + element.clientWidth);
  const under = element.scrollLeft + SIZE.head - place.start;
  if (over > 0) element.scrollLeft += over;
  else if (under > 0) element.scrollLeft -= under;
}
