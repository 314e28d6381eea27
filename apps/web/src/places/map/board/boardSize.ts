/** How large the parts of the board are, px. */
export const SIZE = {
  head: 252,
  /** Of the wide grid. */
  column: 152,
  /** Of the tables, whose columns share the room there is. */
  columnLeast: 96,
  columnMost: 208,
  move: 56,
  header: 62,
  editor: 360,
  editorWidth: 330,
} as const;

/** A position's own row: its name alone in the wide grid, with its picture and what top does in the tables. */
export const POSITION_ROW = { grid: 40, tables: 84 } as const;

/** Where a column stands across a row, px from its left edge. */
export interface ColumnPlace {
  index: number;
  start: number;
  size: number;
}

/** The columns of a table, side by side in the room there is. */
export function placeColumns(count: number, room: number): ColumnPlace[] {
  const shared = Math.floor((room - SIZE.head) / Math.max(1, count));
  const size = Math.min(Math.max(shared, SIZE.columnLeast), SIZE.columnMost);
  return Array.from({ length: count }, (_, index) => ({ index, start: SIZE.head + index * size, size }));
}

/** How far up a head goes whose successor is so far from the top, px: 0 until they touch. */
export const pushedUp = (distance: number): number => Math.min(0, distance - POSITION_ROW.tables);
