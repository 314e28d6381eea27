import type { Dependence, GuardMap, HoldPattern, Outcome, Weighing, WeighOptions } from '@aftersquall/core';
import { type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Weigher } from './weigher.worker.ts';

interface Engine {
  worker: Worker;
  remote: Remote<Weigher>;
}
const start = (): Engine => {
  const worker = new Worker(new URL('./weigher.worker.ts', import.meta.url), { type: 'module' });
  return { worker, remote: wrap<Weigher>(worker) };
};

export interface WeighState {
  weighing?: Weighing;
  /** Why it could not be weighed. */
  trouble?: string;
  /** The map or the options have moved on since. */
  stale: boolean;
}

/**
 * A map weighed away from the screen. While a newer question is worked on the last answer stands, marked as stale; of
 * several questions in a row only the last is answered, from where the one before ended.
 */
export function useWeighing(map: GuardMap, options: WeighOptions): WeighState {
  const engine = useRef<Engine>(undefined);
  const busy = useRef(false);
  const wanted = useRef<{ map: GuardMap; options: WeighOptions }>(undefined);
  const last = useRef<Weighing>(undefined);
  const [state, setState] = useState<WeighState>({ stale: true });
  const work = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    engine.current ??= start();
    while (wanted.current) {
      const { map: of, options: under } = wanted.current;
      wanted.current = undefined;
      const warm = last.current?.values.length === of.positions.length ? last.current.values : undefined;
      try {
        const weighing = await engine.current.remote.weigh(of, under, warm);
        last.current = weighing;
        setState({ weighing, stale: Boolean(wanted.current) });
      } catch (error) {
        setState({ trouble: (error as Error).message, stale: false });
      }
    }
    busy.current = false;
  }, []);
  useEffect(() => {
    wanted.current = { map, options };
    setState((old) => ({ ...old, stale: true }));
    void work();
  }, [map, options, work]);
  useEffect(
    () => () => {
      engine.current?.worker.terminate();
      engine.current = undefined;
      busy.current = false;
    },
    [],
  );
  return state;
}

/** A row of the question what is left of the game without a class of holds. */
export interface DependenceRow {
  name: string;
  holds: HoldPattern;
  result: Dependence;
}

/** Asks for one class of holds after the other; can be stopped, and says how far it is. */
export function useDependence(map: GuardMap, options: WeighOptions) {
  const [rows, setRows] = useState<DependenceRow[]>([]);
  const [left, setLeft] = useState(0);
  const engine = useRef<Engine>(undefined);
  const stop = useCallback(() => {
    engine.current?.worker.terminate();
    engine.current = undefined;
    setLeft(0);
  }, []);
  useEffect(() => stop, [stop]);
  // Another map or another what-if: what was found is no longer so.
  useEffect(() => {
    stop();
    setRows([]);
  }, [map, options, stop]);
  const ask = async (classes: readonly { name: string; holds: HoldPattern }[]) => {
    stop();
    const mine = start();
    engine.current = mine;
    setRows([]);
    setLeft(classes.length);
    for (const [i, { name, holds }] of classes.entries()) {
      const result = await mine.remote.depend(map, holds, options);
      if (engine.current !== mine) return;
      setRows((old) =>
        [...old, { name, holds, result }].sort((a, b) => b.result.difference - a.result.difference),
      );
      setLeft(classes.length - 1 - i);
    }
  };
  return { rows, left, ask, stop };
}

/** Asks a worker of its own whenever the question is another; undefined until it has answered. */
function useAnswer<T>(ask: (remote: Remote<Weigher>) => Promise<T>): T | undefined {
  const [answer, setAnswer] = useState<T>();
  useEffect(() => {
    const { worker, remote } = start();
    setAnswer(undefined);
    void ask(remote).then(setAnswer);
    return () => worker.terminate();
  }, [ask]);
  return answer;
}

const MOST_CHAINS = 5;

/** The likeliest chains from a position to an outcome. */
export const useBestChains = (map: GuardMap, options: WeighOptions, from: string, outcome: Outcome) =>
  useAnswer(
    useCallback(
      (remote) => remote.chains(map, options, from, outcome, MOST_CHAINS),
      [map, options, from, outcome],
    ),
  );

/** So many rounds are played by chance beside the exact odds. */
export const SIMULATED = 10_000;

/** Rounds played by chance from a position, by its place in the map. */
export const useSimulation = (map: GuardMap, options: WeighOptions, from: number) =>
  useAnswer(useCallback((remote) => remote.simulate(map, options, from, SIMULATED), [map, options, from]));
