import {
  type GuardMap,
  type Scenario,
  SHIPPED_PROFILES,
  scenarioOptions,
  type WeighOptions,
  type WhatIf,
} from '@aftersquall/core';
import { useMemo } from 'react';
import { setApparel, setRules } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import {
  beginFrom,
  type Changes,
  changeWhatIf,
  layBeside,
  NO_CHANGES,
  PLAIN,
  selectAsked,
} from '../../store/whatIf.ts';

export interface Question {
  options?: WeighOptions;
  /** Why it cannot be asked. */
  trouble?: string;
}

/** The what-if that is asked about a map, and the scenario it is laid beside. */
export function useWhatIf(map: GuardMap) {
  const dispatch = useAppDispatch();
  const { apparel, rules } = useAppSelector(({ settings }) => settings);
  const { changes, scenario, beside } = useAppSelector(selectAsked(map.id));
  const whatIf = useMemo(
    (): WhatIf => ({ ...changes, apparel, ...(rules && { rules }) }),
    [changes, apparel, rules],
  );
  const question = useMemo(() => asked(map, whatIf), [map, whatIf]);
  const other = useMemo((): { name: string; question: Question } | undefined => {
    const known = map.scenarios.find(({ id }) => id === beside);
    if (known) return { name: known.name, question: asked(map, { apparel, ...known }) };
    if (beside !== PLAIN) return undefined;
    const plain = { ...(rules && { rules }), apparel };
    return { name: 'As mapped', question: asked(map, plain) };
  }, [map, beside, apparel, rules]);

  return {
    whatIf,
    question,
    /** The scenario it began from, if that is still there. */
    scenario: map.scenarios.find(({ id }) => id === scenario),
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

function asked(map: GuardMap, whatIf: Partial<WhatIf>): Question {
  try {
    return { options: scenarioOptions(map, { ...NO_CHANGES, ...whatIf }, SHIPPED_PROFILES) };
  } catch (error) {
    return { trouble: (error as Error).message };
  }
}
