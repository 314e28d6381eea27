import type { Page } from '@playwright/test';

/** The answer board, and one of its cells by move and what top does. */
export const board = (page: Page) => page.getByRole('grid', { name: 'Answer board' });
export const cell = (page: Page, move: string, reaction: string) =>
  board(page).getByRole('gridcell', { name: new RegExp(`^${move}, ${reaction}:`) });
