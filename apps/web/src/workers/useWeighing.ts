import type { GuardMap, WeighOptions } from '@aftersquall/core';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { startWeigher } from './weigher.ts';
import { type Bench, type Desk, NOT_YET, type WeighState, weighingDesk } from './weighingDesk.ts';

/** A worker as a place to weigh. */
function workerBench(): Bench {
  const { worker, remote } = startWeigher();
  return {
    open: (map) => void remote.open(map),
    weigh: (options, start, onProgress) => remote.weigh(options, start, proxy(onProgress)),
    end: () => worker.terminate(),
  };
}

/** A map weighed away from the screen, as `weighingDesk` does it. Without options nothing is asked. */
export function useWeighing(map: GuardMap, options: WeighOptions | undefined) {
  const [state, setState] = useState<WeighState>(NOT_YET);
  const desk = useRef<Desk>(undefined);
  desk.current ??= weighingDesk(workerBench, setState);
  const again = useCallback(() => {
    if (options) desk.current?.ask(map, options);
  }, [map, options]);
  useEffect(again, [again]);
  useEffect(() => () => desk.current?.close(), []);
  // The desk hears of another map only once that is on screen.
  const stale = state.stale || (state.of !== undefined && state.of !== map);
  return { ...state, stale, stop: () => desk.current?.stop(), again };
}
