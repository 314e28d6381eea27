import type { GuardMap } from '@aftersquall/core/model';
import { type Remote, wrap } from 'comlink';
import { mirrorMap } from './mapMirror.ts';
import type { WeighingEngine } from './weighingEngine.ts';

interface Running {
  ask: <T>(map: GuardMap, question: (engine: Remote<WeighingEngine>) => Promise<T>) => Promise<T>;
  /** Fails when the worker is stopped. */
  stopped: Promise<never>;
  stop: () => void;
}

/**
 * The one worker of the page that weighs, with the map that was asked about last. Everything that is asked about a map
 * is asked here, so that the map is sent once and solved once.
 */
let running: Running | undefined;

/** What was being worked out when the engine was stopped; it is never answered. */
export class EngineStopped extends Error {}

/** Who was stopped, and asks again as soon as the engine works again. */
const stoppedAsking = new Set<() => void>();

/** Calls once, when the engine is at work again; gives what takes that back. */
export function whenAtWorkAgain(ask: () => void): () => void {
  stoppedAsking.add(ask);
  return () => void stoppedAsking.delete(ask);
}

/** Asks the engine about a map; questions are answered in their order. @throws EngineStopped when it is stopped. */
export function askEngine<T>(
  map: GuardMap,
  question: (engine: Remote<WeighingEngine>) => Promise<T>,
): Promise<T> {
  if (!running) {
    running = start();
    const again = [...stoppedAsking];
    stoppedAsking.clear();
    for (const ask of again) queueMicrotask(ask);
  }
  return Promise.race([running.ask(map, question), running.stopped]);
}

/** Ends whatever is being worked out. */
export function stopEngine(): void {
  running?.stop();
  running = undefined;
}

function start(): Running {
  const worker = new Worker(new URL('./weigher.worker.ts', import.meta.url), { type: 'module' });
  let fail: (error: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    fail = reject;
  });
  // Nobody need have asked anything.
  stopped.catch(() => undefined);
  const stop = () => {
    worker.terminate();
    fail(new EngineStopped('The work was stopped.'));
  };
  return { ask: mirrorMap(wrap<WeighingEngine>(worker)), stopped, stop };
}
