import { printWeighingSheet, type WeighingSheet } from '@aftersquall/core/formats';
import { type GuardMap, type WhatIf } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import {
  choosePlan,
  describeWeighing,
  playMap,
  resolveHoles,
  scenarioOptions,
  solveForTrusts,
  type Weighing,
} from '@aftersquall/core/weigh';

/** What a map is weighed for: the whole weighing, or one table of it. */
export interface WeighJob {
  map: GuardMap;
  whatIf: WhatIf;
  sheet?: WeighingSheet;
}
/** The weighing or its table, or why the map cannot be weighed. */
export type WeighResult = { weighing: Weighing } | { table: string } | { trouble: string };

/** Weighs a map with the functions that the screen uses. Runs in a thread of its own, so that nobody's save waits for it. */
export default function weigh({ map, whatIf, sheet }: WeighJob): WeighResult {
  try {
    const options = scenarioOptions(map, whatIf, SHIPPED_PROFILES);
    const up = solveForTrusts(map, options);
    const solution = choosePlan(up, options.trust);
    const play = playMap(solution, options.level);
    const weighing = { ...describeWeighing(map, up, solution, play), holes: resolveHoles(solution, play) };
    return sheet ? { table: printWeighingSheet(map, weighing, sheet) } : { weighing };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { trouble: error.message };
  }
}
