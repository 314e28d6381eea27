import { type Remote, wrap } from 'comlink';
import type { Planner } from './planner.worker.ts';

let planner: Remote<Planner> | undefined;

/** Plans classes away from the screen, so that a large map never freezes it. */
export function thePlanner(): Remote<Planner> {
  planner ??= wrap<Planner>(new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }));
  return planner;
}
