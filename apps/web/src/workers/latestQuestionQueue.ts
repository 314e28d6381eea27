import type { GuardMap } from '@aftersquall/core/model';
import type { Weighing, WeighOptions } from '@aftersquall/core/weigh';
import { EngineStopped } from './engine.ts';
import { optionsKey } from './optionsKey.ts';

export interface WeighState {
  weighing?: Weighing;
  /** The map that it was weighed of: ids in the weighing are of that one. */
  weighedMap?: GuardMap;
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
  weigh(
    map: GuardMap,
    options: WeighOptions,
    start: readonly number[] | undefined,
    onProgress: (share: number) => void,
  ): Promise<Weighing>;
  /** Ends whatever it is at; what was asked of it is never answered. */
  end(): void;
}

export interface QuestionQueue {
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
const answered = new WeakMap<GuardMap, Map<string, Weighing>>();
const MOST_ANSWERED = 12;

function remember({ map, options }: Question, weighing: Weighing): void {
  const answers = answered.get(map) ?? new Map<string, Weighing>();
  answered.set(map, answers);
  answers.set(optionsKey(options), weighing);
  const [oldest] = answers.keys();
  if (answers.size > MOST_ANSWERED) answers.delete(oldest!);
}

/**
 * Takes questions about maps and has them worked out one at a time. While a newer question is worked on the last answer
 * stands, marked as stale; of several questions in a row only the last is answered, from where the one before ended.
 */
export function latestQuestionQueue(bench: Bench, show: (state: WeighState) => void): QuestionQueue {
  let asked: Question | undefined;
  let wanted: Question | undefined;
  let last: Weighing | undefined;
  let state = NOT_YET;
  /** The work that is under way, if any is. */
  let turn: object | undefined;
  const tell = (next: WeighState) => {
    state = next;
    show(next);
  };

  /** Works until nothing is wanted. What was stopped never answers; its turn ends with it. */
  async function work(mine: object): Promise<void> {
    while (wanted) {
      const question = wanted;
      wanted = undefined;
      const fits = last?.values.length === question.map.positions.length;
      try {
        const weighing = await bench.weigh(
          question.map,
          question.options,
          fits ? last?.values : undefined,
          (progress) => {
            if (state.stale && !state.stopped) tell({ ...state, progress });
          },
        );
        if (turn !== mine) return;
        remember(question, weighing);
        last = weighing;
        // Another question may have been asked, and found answered, since.
        if (asked === question || wanted)
          tell({ weighing, weighedMap: question.map, stale: Boolean(wanted), stopped: false });
      } catch (error) {
        if (turn !== mine) return;
        if (error instanceof EngineStopped) tell({ ...state, stopped: true });
        else if (asked === question)
          tell({ trouble: sentenceOf(error as Error), stale: false, stopped: false });
      }
    }
    if (turn === mine) turn = undefined;
  }

  function close(): void {
    turn = undefined;
    wanted = undefined;
  }

  return {
    ask(map, options) {
      asked = { map, options };
      const answer = answered.get(map)?.get(optionsKey(options));
      if (answer) {
        wanted = undefined;
        last = answer;
        tell({ weighing: answer, weighedMap: map, stale: false, stopped: false });
        return;
      }
      wanted = asked;
      tell({ ...state, stale: true, stopped: false });
      if (turn) return;
      turn = {};
      void work(turn);
    },
    stop() {
      close();
      bench.end();
      const { progress: _, ...rest } = state;
      tell({ ...rest, stopped: true });
    },
    close,
  };
}

/** What the core refuses comes with a sentence; of anything else a coach need not read the words. */
const sentenceOf = ({ name, message }: Error): string =>
  name === 'RangeError' ? message : 'something went wrong while weighing; change anything to try again';
