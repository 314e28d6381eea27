import type { KeyboardEvent } from 'react';

/** Enter and the space bar do what a tap does. */
export const byKey = (act: () => void) => (event: KeyboardEvent) => {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  act();
};
