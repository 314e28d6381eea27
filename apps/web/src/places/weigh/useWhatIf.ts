import type { GuardMap, PlayLevel, Scenario, WhatIf } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { setApparel, setLevel, setRules } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import {
  beginFrom,
  type Changes,
  changeWhatIf,
  isChanged,
  layBeside,
  PLAIN,
  selectAsked,
} from '../../store/whatIf.ts';
import { type Question, questionOf } from '../../workers/questionOf.ts';
import { say } from './words.ts';

/** What is asked without a what-if. */
export const AS_IT_IS = say.theMapAsIt;

const sameLevel = (a: PlayLevel, b: PlayLevel): boolean => a.top === b.top && a.bottom === b.bottom;

/** The what-if that is asked about a map, and the scenario it is laid beside. */
export function useWhatIf(map: GuardMap) {
  const dispatch = useAppDispatch();
  const { apparel, rules, level } = useAppSelector(({ settings }) => settings);
  const { changes, scenario, beside } = useAppSelector(selectAsked(map.id));
  const whatIf = useMemo(
    (): WhatIf => ({ ...changes, apparel, level, ...(rules && { rules }) }),
    [changes, apparel, rules, level],
  );
  const question = useMemo(() => questionOf(map, whatIf), [map, whatIf]);
  const other = useMemo((): { name: string; question: Question } | undefined => {
    const kept = map.scenarios.find(({ id }) => id === beside);
    if (kept) return { name: kept.name, question: questionOf(map, { apparel, level, ...kept }) };
    if (beside !== PLAIN) return undefined;
    const plain = { ...(rules && { rules }), apparel, level };
    return { name: AS_IT_IS, question: questionOf(map, plain) };
  }, [map, beside, apparel, rules, level]);

  const from = map.scenarios.find(({ id }) => id === scenario);
  const elsewhere =
    from &&
    ((from.apparel ?? apparel) !== apparel ||
      (from.rules ?? '') !== rules ||
      !sameLevel(from.level ?? level, level));

  return {
    whatIf,
    level,
    question,
    /** Whether what is asked is neither the map as it is nor a scenario as it is kept. */
    changed: Boolean(elsewhere) || isChanged(changes, from),
    /** The scenario it began from, if that is still there. */
    scenario: from,
    beside: other ? beside : '',
    other,
    change: (some: Partial<Changes>) => dispatch(changeWhatIf({ map: map.id, changes: some })),
    layBeside: (id: string) => dispatch(layBeside({ map: map.id, beside: id })),
    /** Begins from a scenario, its apparel, rules and level included; from the map as it is without one. */
    begin: (from: Scenario | undefined) => {
      dispatch(beginFrom({ map: map.id, scenario: from }));
      if (from?.apparel) dispatch(setApparel(from.apparel));
      if (from) dispatch(setRules(from.rules ?? ''));
      if (from?.level) dispatch(setLevel(from.level));
    },
  };
}
