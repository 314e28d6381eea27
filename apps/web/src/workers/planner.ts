import { type Remote, wrap } from 'comlink';
import type { Planner } from './planner.worker.ts';

interface Running {
  planner: Remote<Planner>;
  stop: () => void;
}

let running: Running | undefined;

/** What was being planned when the planner was stopped; it is never answered. */
class PlannerStopped extends Error {}

/**
 * Plans classes away from the screen, so that a large map never freezes it. What is asked fails with PlannerStopped when
 * the planner is stopped.
 */
export function thePlanner(): Remote<Planner> {
  running ??= start();
  return running.planner;
}

/** Ends whatever is being planned at once; what is asked next begins anew. */
export function stopPlanner(): void {
  running?.stop();
  running = undefined;
}

function start(): Running {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Planner>(worker);
  let fail: (error: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    fail = reject;
  });
  // Nobody need have asked anything.
  stopped.catch(() => undefined);
  const planner = new Proxy(remote, {
    get: (all, name: keyof Planner) => {
      const plan = all[name] as (...asked: unknown[]) => Promise<unknown>;
      return (...asked: unknown[]) => Promise.race([plan(...asked), stopped]);
    },
  });
  const stop = () => {
    worker.terminate();
    fail(new PlannerStopped('The planning was stopped.'));
  };
  return { planner, stop };
}
