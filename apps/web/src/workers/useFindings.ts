import { type Finding, type GuardMap, type RulesProfile, validateMap } from '@aftersquall/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Checker } from './checker.worker.ts';
import { bringUpTo } from './mapMirror.ts';

let checker: Remote<Checker> | undefined;
let last: GuardMap | undefined;

/** Has a map checked away from the screen; after an edit only what the edit touches is sent and looked at again. */
async function check(map: GuardMap, rules: RulesProfile | undefined): Promise<Finding[]> {
  checker ??= wrap<Checker>(new Worker(new URL('./checker.worker.ts', import.meta.url), { type: 'module' }));
  const upToDate = bringUpTo(checker, last, map);
  last = map;
  // Asked in the same breath: the worker takes one thing after the other.
  const [findings] = await Promise.all([checker.check(rules), upToDate]);
  return findings;
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
      () => {
        // Whatever it stumbled over may be gone with the next edit: then it begins anew, with the whole map.
        checker = undefined;
        last = undefined;
        if (current) setFailed(true);
      },
    );
    return () => {
      current = false;
    };
  }, [map, rules]);
  return { findings: found?.findings ?? [], fresh: found?.map === map && found.rules === rules, failed };
}
