import { SIZE } from './boardSize.ts';

interface Board {
  /** Where the focus is; column −1 is the name at the left. */
  row: number;
  column: number;
  /** The column that going up and down keeps to. */
  columnDown: number;
  rows: number;
  columns: number;
  /** Of what is in sight, px. */
  height: number;
  go: (row: number, column: number) => void;
  edit: () => void;
  clear: () => void;
  open: () => void;
  addMove: () => void;
  addAlike: () => void;
  addReaction: () => void;
  addPosition: () => void;
}

/** What each key does on the board. */
export function keyActions(board: Board): Record<string, () => void> {
  const { row, column, columnDown, rows, columns, height, go } = board;
  const page = Math.max(1, Math.floor(height / SIZE.move) - 2);
  return {
    ArrowDown: () => go(row + 1, columnDown),
    ArrowUp: () => go(row - 1, columnDown),
    ArrowRight: () => go(row, column + 1),
    ArrowLeft: () => go(row, Math.max(-1, column - 1)),
    PageDown: () => go(row + page, columnDown),
    PageUp: () => go(row - page, columnDown),
    Home: () => go(row, -1),
    End: () => go(row, columns - 1),
    'Control+Home': () => go(0, -1),
    'Control+End': () => go(rows - 1, columns - 1),
    Enter: board.edit,
    F2: board.edit,
    Delete: board.clear,
    Backspace: board.clear,
    ' ': board.open,
    '+': board.addMove,
    '&': board.addAlike,
    '|': board.addReaction,
    '@': board.addPosition,
  };
}
