import { type Finding, type GuardMap, type RulesProfile, validateMap } from '@aftersquall/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Checker } from './checker.worker.ts';

let checker: Remote<Checker> | undefined;
const theChecker = (): Remote<Checker> => {
  checker ??= wrap<Checker>(new Worker(new URL('./checker.worker.ts', import.meta.url), { type: 'module' }));
  return checker;
};

/** Below this a map is checked at once: asking the worker would take longer. */
const SMALL = 12;

/**
 * What there is to find in a map, worked out away from the screen. While a newer map is being checked the findings
 * of the one before stand, marked as not fresh; of several edits in a row only the last is checked.
 */
export function useFindings(
  map: GuardMap,
  rules: RulesProfile | undefined,
): { findings: Finding[]; fresh: boolean } {
  const [found, setFound] = useState<{
    of: GuardMap;
    under: RulesProfile | undefined;
    findings: Finding[];
  }>();
  useEffect(() => {
    if (map.positions.length <= SMALL) {
      setFound({ of: map, under: rules, findings: validateMap(map, rules ? { rules } : {}) });
      return;
    }
    let current = true;
    void theChecker()
      .check(map, rules)
      .then((findings) => {
        if (current) setFound({ of: map, under: rules, findings });
      });
    return () => {
      current = false;
    };
  }, [map, rules]);
  return { findings: found?.findings ?? [], fresh: found?.of === map && found.under === rules };
}
