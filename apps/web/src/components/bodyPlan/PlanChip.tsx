import type { ReactNode } from 'react';

/** A chip of the plan that is on or off. */
export function PlanChip({ on, onPick, children }: { on: boolean; onPick: () => void; children: ReactNode }) {
  return (
    <button type="button" className={`chip ${on ? 'on' : ''}`} aria-pressed={on} onClick={onPick}>
      {children}
    </button>
  );
}
