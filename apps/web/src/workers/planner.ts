import { type Remote, wrap } from 'comlink';
import type { Planner } from './planner.worker.ts';

let worker: Worker | undefined;
let planner: Remote<Planner> | undefined;

/** Plans classes away from the screen, so that a large map never freezes it. */
export function thePlanner(): Remote<Planner> {
  worker ??= new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  planner ??= wrap<Planner>(worker);
  return planner;
}

/** Ends whatever is being planned at once; what is asked next begins anew. */
export function stopPlanner(): void {
  worker?.terminate();
  worker = undefined;
  planner = undefined;
}
