import { type GuardMap, type WhatIf } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { scenarioOptions, type WeighOptions } from '@aftersquall/core/weigh';
import { NO_CHANGES } from '../store/whatIf.ts';

export interface Question {
  options?: WeighOptions;
  /** Why it cannot be asked. */
  trouble?: string;
}

/** A what-if as a question to the worker, or why it is none. */
export function questionOf(map: GuardMap, whatIf: Partial<WhatIf>): Question {
  try {
    return { options: scenarioOptions(map, { ...NO_CHANGES, ...whatIf }, SHIPPED_PROFILES) };
  } catch (error) {
    return { trouble: (error as Error).message };
  }
}
