import type { GuardMap, Weighing, WeighOptions } from '@aftersquall/core';
import { optionsKey } from './optionsKey.ts';

export interface WeighState {
  weighing?: Weighing;
  /** The map that it was weighed of: ids in the weighing are of that one. */
  of?: GuardMap;
  /** Why it could not be weighed. */
  trouble?: string;
  /** The map or the options have moved on since. */
  stale: boolean;
  /** How far the work is, in [0, 1], while there is any. */
  progress?: number;
  /** The coach has stopped it. */
  stopped: boolean;
}

/** Where the work is done. */
export interface Bench {
  open(map: GuardMap): void;
  weigh(
    options: WeighOptions,
    start: readonly number[] | undefined,
    onProgress: (share: number) => void,
  ): Promise<Weighing>;
  /** Ends whatever it is at; what was asked of it is never answered. */
  end(): void;
}

export interface Desk {
  ask(map: GuardMap, options: WeighOptions): void;
  /** Ends the work and says so; what was shown stays. */
  stop(): void;
  /** Ends the work without a word. */
  close(): void;
}

interface Question {
  map: GuardMap;
  options: WeighOptions;
}

export const NOT_YET: WeighState = { stale: true, stopped: false };

/** Answers that have been worked out, by map and question, so that places need not ask again. */
const known = new WeakMap<GuardMap, Map<string, Weighing>>();
const MOST_KNOWN = 12;

function remember({ map, options }: Question, weighing: Weighing): void {
  const answers = known.get(map) ?? new Map<string, Weighing>();
  known.set(map, answers);
  answers.set(optionsKey(options), weighing);
  const [oldest] = answers.keys();
  if (answers.size > MOST_KNOWN) answers.delete(oldest!);
}

/**
 * Takes questions about maps and has them worked out one at a time. While a newer question is worked on the last answer
 * stands, marked as stale; of several questions in a row only the last is answered, from where the one before ended.
 */
export function weighingDesk(setUp: () => Bench, show: (state: WeighState) => void): Desk {
  let bench: { at: Bench; map: GuardMap } | undefined;
  let asked: Question | undefined;
  let wanted: Question | undefined;
  let last: Weighing | undefined;
  let state = NOT_YET;
  let busy = false;
  const tell = (next: WeighState) => {
    state = next;
    show(next);
  };

  /** Works until nothing is wanted; a bench that was ended never answers, so that its turn ends with it. */
  async function work(mine: { at: Bench; map: GuardMap }): Promise<void> {
    busy = true;
    while (wanted) {
      const question = wanted;
      wanted = undefined;
      if (mine.map !== question.map) {
        mine.at.open(question.map);
        mine.map = question.map;
      }
      const fits = last?.values.length === question.map.positions.length;
      try {
        const weighing = await mine.at.weigh(
          question.options,
          fits ? last?.values : undefined,
          (progress) => {
            if (state.stale && !state.stopped) tell({ ...state, progress });
          },
        );
        remember(question, weighing);
        last = weighing;
        // Another question may have been asked, and found answered, since.
        if (asked === question || wanted)
          tell({ weighing, of: question.map, stale: Boolean(wanted), stopped: false });
      } catch (error) {
        if (asked === question) tell({ trouble: (error as Error).message, stale: false, stopped: false });
      }
    }
    busy = false;
  }

  function close(): void {
    bench?.at.end();
    bench = undefined;
    wanted = undefined;
    busy = false;
  }

  return {
    ask(map, options) {
      asked = { map, options };
      const answer = known.get(map)?.get(optionsKey(options));
      if (answer) {
        wanted = undefined;
        last = answer;
        tell({ weighing: answer, of: map, stale: false, stopped: false });
        return;
      }
      wanted = asked;
      tell({ ...state, stale: true, stopped: false });
      if (!bench) {
        bench = { at: setUp(), map };
        bench.at.open(map);
      }
      if (!busy) void work(bench);
    },
    stop() {
      close();
      const { progress: _, ...rest } = state;
      tell({ ...rest, stopped: true });
    },
    close,
  };
}
