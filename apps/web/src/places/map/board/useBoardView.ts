import { useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect } from 'react';
import type { BoardColumn, BoardRow } from './boardModel.ts';
import { SIZE } from './boardSize.ts';
import { type Spot, spotKey } from './useSpot.ts';

interface Request {
  scroller: RefObject<HTMLDivElement | null>;
  rows: readonly BoardRow[];
  columns: readonly BoardColumn[];
  rowAt: number;
  columnAt: number;
  spot: Spot | undefined;
  /** An answer is being typed where the focus is. */
  editingCell: boolean;
}

/** The rows and columns in sight, and how large the whole is; the focus is kept in sight, with room for what hangs below. */
export function useBoardView({ scroller, rows, columns, rowAt, columnAt, spot, editingCell }: Request) {
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
  useEffect(() => {
    const element = scroller.current;
    const line = rowList.getVirtualItems().find(({ index }) => index === rowAt);
    if (!editingCell || !element || !line) return;
    const below = element.scrollTop + element.clientHeight - line.start;
    if (below < SIZE.editor) element.scrollTop += SIZE.editor - below;
  }, [editingCell]);
  return {
    width: columnList.getTotalSize() + SIZE.head,
    height: rowList.getTotalSize() + SIZE.header + SIZE.editor,
    lines: rowList.getVirtualItems(),
    across: columnList.getVirtualItems(),
  };
}
