import type { GuardMap, Weighing, WeighOptions } from '@aftersquall/core';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { optionsKey } from './optionsKey.ts';
import { type Engine, startWeigher } from './weigher.ts';

interface Question {
  map: GuardMap;
  options: WeighOptions;
}

export interface WeighState {
  weighing?: Weighing;
  /** Why it could not be weighed. */
  trouble?: string;
  /** The map or the options have moved on since. */
  stale: boolean;
  /** How far the work is, in [0, 1], while there is any. */
  progress?: number;
  /** The coach has stopped it. */
  stopped: boolean;
}

/** Answers that have been worked out, by map and question, so that places need not ask again. */
const known = new WeakMap<GuardMap, Map<string, Weighing>>();
const MOST_KNOWN = 12;

function remember(map: GuardMap, key: string, weighing: Weighing): void {
  const answers = known.get(map) ?? new Map<string, Weighing>();
  known.set(map, answers);
  answers.set(key, weighing);
  const [oldest] = answers.keys();
  if (answers.size > MOST_KNOWN) answers.delete(oldest!);
}

/**
 * A map weighed away from the screen. While a newer question is worked on the last answer stands, marked as stale; of
 * several questions in a row only the last is answered, from where the one before ended. Without options nothing is asked.
 */
export function useWeighing(map: GuardMap, options: WeighOptions | undefined) {
  const engine = useRef<Engine>(undefined);
  const busy = useRef(false);
  const asked = useRef<Question>(undefined);
  const wanted = useRef<Question>(undefined);
  const last = useRef<Weighing>(undefined);
  const [state, setState] = useState<WeighState>({ stale: true, stopped: false });

  const work = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    while (wanted.current) {
      const question = wanted.current;
      const { map: of, options: under } = question;
      wanted.current = undefined;
      /** Another question may have been asked, and answered, since. */
      const matters = () => asked.current === question || Boolean(wanted.current);
      const mine = engine.current ?? startWeigher(of);
      engine.current = mine;
      if (mine.map !== of) {
        void mine.remote.open(of);
        mine.map = of;
      }
      const warm = last.current?.values.length === of.positions.length ? last.current.values : undefined;
      const onProgress = proxy((progress: number) => setState((old) => ({ ...old, progress })));
      try {
        const weighing = await mine.remote.weigh(under, warm, onProgress);
        remember(of, optionsKey(under), weighing);
        last.current = weighing;
        if (matters()) setState({ weighing, stale: Boolean(wanted.current), stopped: false });
      } catch (error) {
        if (matters()) setState({ trouble: (error as Error).message, stale: false, stopped: false });
      }
    }
    busy.current = false;
  }, []);

  const ask = useCallback(() => {
    if (!options) return;
    asked.current = { map, options };
    const answer = known.get(map)?.get(optionsKey(options));
    if (answer) {
      wanted.current = undefined;
      last.current = answer;
      setState({ weighing: answer, stale: false, stopped: false });
      return;
    }
    wanted.current = asked.current;
    setState((old) => ({ ...old, stale: true, stopped: false }));
    void work();
  }, [map, options, work]);
  useEffect(ask, [ask]);

  /** Ends the work at once. A call to a worker that has ended never returns, so its turn is ended here. */
  const halt = useCallback(() => {
    engine.current?.worker.terminate();
    engine.current = undefined;
    wanted.current = undefined;
    busy.current = false;
  }, []);
  useEffect(() => halt, [halt]);
  const stop = () => {
    halt();
    setState(({ progress: _, ...old }) => ({ ...old, stopped: true }));
  };
  return { ...state, stop, again: ask };
}
