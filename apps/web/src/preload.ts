import checkerWorker from './workers/checker.worker.ts?worker&url';
import plannerWorker from './workers/planner.worker.ts?worker&url';
import weigherWorker from './workers/weigher.worker.ts?worker&url';

/** The places that are fetched when they are first gone to. */
export const LAZY_PLACES = {
  tonight: () => import('./places/tonight/TonightPlace.tsx'),
  read: () => import('./places/read/ReadPlace.tsx'),
  weigh: () => import('./places/weigh/WeighPlace.tsx'),
  balance: () => import('./places/balance/BalancePlace.tsx'),
  lessons: () => import('./places/lessons/LessonsPlace.tsx'),
  term: () => import('./places/term/TermPlace.tsx'),
  mat: () => import('./places/mat/MatPlace.tsx'),
  log: () => import('./places/log/LogPlace.tsx'),
  recall: () => import('./places/recall/RecallPlace.tsx'),
};

/**
 * A browser that is never idle fetches all the same, after so long: a device that goes offline a few seconds after its
 * first visit has to have every place.
 */
const FIRST_TIMEOUT_MS = 2000;
const PART_TIMEOUT_MS = 250;

/** Fetches every place and worker once the first screen stands, so that all of them are there without the server. */
export function preloadPlaces(): void {
  const parts: (() => Promise<unknown>)[] = [
    ...Object.values(LAZY_PLACES),
    () => import('./places/map/board/AnswerBoard.tsx'),
    () => import('./places/map/lines/LinesPane.tsx'),
    ...[checkerWorker, plannerWorker, weigherWorker].map((address) => () => fetch(address)),
  ];
  const next = async (): Promise<void> => {
    // What cannot be fetched now is fetched when it is gone to.
    await parts
      .shift()?.()
      .catch(() => undefined);
    if (parts.length > 0) requestIdleCallback(() => void next(), { timeout: PART_TIMEOUT_MS });
  };
  requestIdleCallback(() => void next(), { timeout: FIRST_TIMEOUT_MS });
}
