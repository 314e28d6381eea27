import type { GuardMap } from '@aftersquall/core/model';
import type { WeighOptions } from '@aftersquall/core/weigh';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { askEngine, stopEngine } from './engine.ts';
import {
  type Bench,
  latestQuestionQueue,
  NOT_YET,
  type QuestionQueue,
  type WeighState,
} from './latestQuestionQueue.ts';

/** The page's worker, as the place where the questions of a queue are answered. */
const WORKER: Bench = {
  weigh: (map, options, start, onProgress) =>
    askEngine(map, (engine) => engine.weigh(options, start, proxy(onProgress))),
  end: stopEngine,
};

/** A map weighed away from the screen, as `latestQuestionQueue` does it. Without options nothing is asked. */
export function useWeighing(map: GuardMap, options: WeighOptions | undefined) {
  const [state, setState] = useState<WeighState>(NOT_YET);
  const queue = useRef<QuestionQueue>(undefined);
  queue.current ??= latestQuestionQueue(WORKER, setState);
  const again = useCallback(() => {
    if (options) queue.current?.ask(map, options);
  }, [map, options]);
  useEffect(again, [again]);
  useEffect(() => () => queue.current?.close(), []);
  // The queue hears of another map only once that is on screen.
  const stale = state.stale || (state.weighedMap !== undefined && state.weighedMap !== map);
  return { ...state, stale, stop: () => queue.current?.stop(), again };
}
