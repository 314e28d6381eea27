import { type CheckContext, type Finding, validateMap } from '@aftersquall/core/check';
import { type GuardMap, type RulesProfile } from '@aftersquall/core/model';
import { outcomePoints, type Weighing } from '@aftersquall/core/weigh';
import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { Checker } from './checker.worker.ts';
import { mirrorMap } from './mapMirror.ts';

const startChecker = () =>
  mirrorMap(wrap<Checker>(new Worker(new URL('./checker.worker.ts', import.meta.url), { type: 'module' })));
let askChecker: ReturnType<typeof startChecker> | undefined;

/** Has a map checked away from the screen; after an edit only what the edit touches is sent and looked at again. */
function check(map: GuardMap, context: CheckContext): Promise<Finding[]> {
  askChecker ??= startChecker();
  return askChecker(map, (checker) => checker.check(context));
}

/** Below this a map is checked at once: asking the worker would take longer. */
const SMALL = 12;

/**
 * What there is to find in a map, worked out away from the screen. While a newer map is being checked the findings
 * of the one before stand, marked as not fresh; of several edits in a row only the last is checked. What has to do with
 * worths is asked once they are known.
 */
export function useFindings(
  map: GuardMap,
  rules: RulesProfile | undefined,
  weighing: Weighing | undefined,
): { findings: Finding[]; fresh: boolean; failed: boolean } {
  const context = useMemo(
    (): CheckContext => ({
      ...(rules && { rules }),
      ...(weighing && { weighed: weighedOf(map, rules, weighing) }),
    }),
    [map, rules, weighing],
  );
  const [failed, setFailed] = useState(false);
  const [found, setFound] = useState<{
    map: GuardMap;
    rules: RulesProfile | undefined;
    findings: Finding[];
  }>();
  useEffect(() => {
    if (map.positions.length <= SMALL) {
      setFound({ map, rules, findings: validateMap(map, context) });
      return;
    }
    let current = true;
    check(map, context).then(
      (findings) => {
        if (!current) return;
        setFailed(false);
        setFound({ map, rules, findings });
      },
      // Whatever it stumbled over may be gone with the next edit.
      () => current && setFailed(true),
    );
    return () => {
      current = false;
    };
  }, [map, rules, context]);
  return { findings: found?.findings ?? [], fresh: found?.map === map && found.rules === rules, failed };
}

/** What of a weighing the findings ask for. */
const weighedOf = (
  { settings }: GuardMap,
  rules: RulesProfile | undefined,
  { positions }: Weighing,
): NonNullable<CheckContext['weighed']> => ({
  positions: Object.fromEntries(positions.map(({ position, value }) => [position, value])),
  outcomes: outcomePoints({ rules, submissionWorth: settings.submissionWorth }),
  waiting: positions.filter(({ waitsAtBest }) => waitsAtBest).map(({ position }) => position),
});
