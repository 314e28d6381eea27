import { type Finding, type GuardMap, type RulesProfile, validateMap } from '@aftersquall/core';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Checker } from './checker.worker.ts';
import { mirrorMap } from './mapMirror.ts';

const startChecker = () =>
  mirrorMap(wrap<Checker>(new Worker(new URL('./checker.worker.ts', import.meta.url), { type: 'module' })));
let askChecker: ReturnType<typeof startChecker> | undefined;

/** Has a map checked away from the screen; after an edit only what the edit touches is sent and looked at again. */
function check(map: GuardMap, rules: RulesProfile | undefined): Promise<Finding[]> {
  askChecker ??= startChecker();
  return askChecker(map, (checker) => checker.check(rules));
}

/** Below this a map is checked at once: asking the worker would take longer. */
const SMALL = 12;

/**
 * What there is to find in a map, worked out away from the screen. While a newer map is being checked the findings
 * of the one before stand, marked as not fresh; of several edits in a row only the last is checked.
 */
export function useFindings(
  map: GuardMap,
  rules: RulesProfile | undefined,
): { findings: Finding[]; fresh: boolean; failed: boolean } {
  const [failed, setFailed] = useState(false);
  const [found, setFound] = useState<{
    map: GuardMap;
    rules: RulesProfile | undefined;
    findings: Finding[];
  }>();
  useEffect(() => {
    if (map.positions.length <= SMALL) {
      setFound({ map, rules, findings: validateMap(map, rules ? { rules } : {}) });
      return;
    }
    let current = true;
    check(map, rules).then(
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
  }, [map, rules]);
  return { findings: found?.findings ?? [], fresh: found?.map === map && found.rules === rules, failed };
}
