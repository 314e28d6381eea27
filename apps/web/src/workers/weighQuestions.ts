import type { GuardMap, Outcome } from '@aftersquall/core/model';
import type { Dependence, StakedHole, TakenAway, WeighOptions } from '@aftersquall/core/weigh';
import { proxy, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { askEngine, EngineStopped, whenAtWorkAgain } from './engine.ts';
import type { WeighingEngine } from './weighingEngine.ts';

/** Something to be taken away, in words. */
export interface Away {
  name: string;
  taken: TakenAway;
}
export interface DependenceRow extends Away {
  result: Dependence;
}

/** A question is asked once nothing has changed for so long, ms. */
const SETTLED = 250;

/** So many things are taken away unasked. */
const FEW = 120;

/**
 * Takes one thing away after the other, where they are few as soon as nothing changes any more; can be stopped, and says
 * how far it is.
 */
export function useDependence(map: GuardMap, options: WeighOptions, things: readonly Away[]) {
  const [rows, setRows] = useState<DependenceRow[]>([]);
  const [left, setLeft] = useState(0);
  const asking = useRef<object>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const stop = useCallback(() => {
    clearTimeout(timer.current);
    asking.current = undefined;
    setLeft(0);
  }, []);
  useEffect(() => stop, [stop]);
  const ask = useCallback(async () => {
    stop();
    const mine = {};
    asking.current = mine;
    setRows([]);
    setLeft(things.length);
    for (const [i, thing] of things.entries()) {
      const result = await askEngine(map, (engine) => engine.depend(thing.taken, options)).catch(
        () => undefined,
      );
      if (asking.current !== mine) return;
      // Stopped from elsewhere: what was found so far stays.
      if (!result) return stop();
      setRows((old) =>
        [...old, { ...thing, result }].sort(
          (a, b) => Math.abs(b.result.difference) - Math.abs(a.result.difference),
        ),
      );
      setLeft(things.length - 1 - i);
    }
  }, [map, options, things, stop]);
  // Of another map, another what-if or other things, what was found is no longer so.
  useEffect(() => {
    stop();
    setRows([]);
    if (things.length > FEW) return;
    setLeft(things.length);
    timer.current = setTimeout(() => void ask(), SETTLED);
  }, [ask, stop, things]);
  return { rows, left, ask, stop };
}

/** Asks the worker once the question has settled; undefined until it has answered this map and question. */
function useAnswer<T>(map: GuardMap, ask: (remote: Remote<WeighingEngine>) => Promise<T>): T | undefined {
  const [answer, setAnswer] = useState<{ map: GuardMap; ask: typeof ask; found: T }>();
  useEffect(() => {
    let wanted = true;
    let giveUp: () => void = () => undefined;
    const askNow = () =>
      void askEngine(map, ask).then(
        (found) => wanted && setAnswer({ map, ask, found }),
        (error: unknown) => {
          // Stopped: it is asked again with the next question of anybody.
          if (wanted && error instanceof EngineStopped) giveUp = whenAtWorkAgain(askNow);
        },
      );
    const timer = setTimeout(askNow, SETTLED);
    return () => {
      wanted = false;
      clearTimeout(timer);
      giveUp();
    };
  }, [map, ask]);
  return answer?.map === map && answer.ask === ask ? answer.found : undefined;
}

const MOST_CHAINS = 5;

/** The likeliest chains from a position to an outcome. */
export const useBestChains = (map: GuardMap, options: WeighOptions, from: string, outcome: Outcome) =>
  useAnswer(
    map,
    useCallback((remote) => remote.chains(options, from, outcome, MOST_CHAINS), [options, from, outcome]),
  );

/** What one would say first of a round, of the whole map or of one system. */
export const useRoundStory = (map: GuardMap, options: WeighOptions, system: string | undefined) =>
  useAnswer(
    map,
    useCallback((remote) => remote.story(options, system), [options, system]),
  );

/** So many rounds are played by chance beside the exact odds. */
export const SIMULATED = 10_000;

/** Rounds played by chance from a position, by its place in the map. */
export const useSimulation = (map: GuardMap, options: WeighOptions, from: number) =>
  useAnswer(
    map,
    useCallback((remote) => remote.simulate(options, from, SIMULATED), [options, from]),
  );

/** Holes with the dearest of them solved for again, and how far that is. */
export function useExactHoles(map: GuardMap, options: WeighOptions) {
  const [done, setDone] = useState<{ done: number; total: number }>();
  const holes = useAnswer<StakedHole[]>(
    map,
    useCallback(
      (remote) => {
        setDone(undefined);
        return remote.holes(
          options,
          proxy((count: number, total: number) => setDone({ done: count, total })),
        );
      },
      [options],
    ),
  );
  return { holes, done };
}
