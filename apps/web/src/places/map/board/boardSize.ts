/** How large the parts of the board are, px. */
export const SIZE = { head: 252, column: 152, position: 40, move: 56, header: 62, editor: 360 } as const;
