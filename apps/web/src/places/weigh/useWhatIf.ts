import type { GuardMap, Scenario, WhatIf } from '@aftersquall/core';
import { useMemo } from 'react';
import { setApparel, setRules } from '../../store/settings.ts';
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

/** What is asked without a what-if. */
export const AS_IT_IS = 'The map as it is';

/** The what-if that is asked about a map, and the scenario it is laid beside. */
export function useWhatIf(map: GuardMap) {
  const dispatch = useAppDispatch();
  const { apparel, rules } = useAppSelector(({ settings }) => settings);
  const { changes, scenario, beside } = useAppSelector(selectAsked(map.id));
  const whatIf = useMemo(
    (): WhatIf => ({ ...changes, apparel, ...(rules && { rules }) }),
    [changes, apparel, rules],
  );
  const question = useMemo(() => questionOf(map, whatIf), [map, whatIf]);
  const other = useMemo((): { name: string; question: Question } | undefined => {
    const kept = map.scenarios.find(({ id }) => id === beside);
    if (kept) return { name: kept.name, question: questionOf(map, { apparel, ...kept }) };
    if (beside !== PLAIN) return undefined;
    const plain = { ...(rules && { rules }), apparel };
    return { name: AS_IT_IS, question: questionOf(map, plain) };
  }, [map, beside, apparel, rules]);

  const from = map.scenarios.find(({ id }) => id === scenario);
  const elsewhere = from && ((from.apparel ?? apparel) !== apparel || (from.rules ?? '') !== rules);

  return {
    whatIf,
    question,
    /** Whether what is asked is neither the map as it is nor a scenario as it is kept. */
    changed: Boolean(elsewhere) || isChanged(changes, from),
    /** The scenario it began from, if that is still there. */
    scenario: from,
    beside: other ? beside : '',
    other,
    change: (some: Partial<Changes>) => dispatch(changeWhatIf({ map: map.id, changes: some })),
    layBeside: (id: string) => dispatch(layBeside({ map: map.id, beside: id })),
    /** Begins from a scenario, its apparel and rules included; from the map as it is without one. */
    begin: (from: Scenario | undefined) => {
      dispatch(beginFrom({ map: map.id, scenario: from }));
      if (from?.apparel) dispatch(setApparel(from.apparel));
      if (from) dispatch(setRules(from.rules ?? ''));
    },
  };
}
