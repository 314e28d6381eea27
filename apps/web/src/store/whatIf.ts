import { type Scenario, type WhatIf, WhatIfSchema } from '@aftersquall/core/model';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is changed, the apparel, the rules and the level left aside: every place goes by those. */
export type Changes = Omit<WhatIf, 'rules' | 'apparel' | 'level'>;

interface Asked {
  changes: Changes;
  /** The scenario that it began from, and the one it is laid beside: an id, or `plain` for the map as it is. */
  scenario: string;
  beside: string;
}

/** The map as it is, to be laid beside. */
export const PLAIN = 'plain';
export const NO_CHANGES: Changes = WhatIfSchema.parse({});
const NOTHING_ASKED: Asked = { changes: NO_CHANGES, scenario: '', beside: '' };

const changesOf = ({
  id: _,
  name: __,
  note: ___,
  rules: ____,
  apparel: _____,
  level: ______,
  ...changes
}: Scenario): Changes => changes;

const slice = createSlice({
  name: 'whatIf',
  initialState: {} as Record<string, Asked>,
  reducers: {
    changeWhatIf(state, { payload }: PayloadAction<{ map: string; changes: Partial<Changes> }>) {
      const asked = state[payload.map] ?? NOTHING_ASKED;
      state[payload.map] = { ...asked, changes: { ...asked.changes, ...payload.changes } };
    },
    /** Begins from a scenario, or from the map as it is. */
    beginFrom(state, { payload }: PayloadAction<{ map: string; scenario: Scenario | undefined }>) {
      const { scenario } = payload;
      const asked = state[payload.map] ?? NOTHING_ASKED;
      state[payload.map] = {
        ...asked,
        changes: scenario ? changesOf(scenario) : NO_CHANGES,
        scenario: scenario?.id ?? '',
      };
    },
    layBeside(state, { payload }: PayloadAction<{ map: string; beside: string }>) {
      state[payload.map] = { ...(state[payload.map] ?? NOTHING_ASKED), beside: payload.beside };
    },
  },
});

/** Whether changes are other ones than those of a scenario, or than none. */
export function isChanged(changes: Changes, scenario: Scenario | undefined): boolean {
  const from = scenario ? changesOf(scenario) : NO_CHANGES;
  return (Object.keys({ ...from, ...changes }) as (keyof Changes)[]).some(
    (key) => JSON.stringify(changes[key]) !== JSON.stringify(from[key]),
  );
}

export const whatIf = slice.reducer;
export const { changeWhatIf, beginFrom, layBeside } = slice.actions;

/** What is asked about a map; the same object for the same state. */
export const selectAsked =
  (map: string) =>
  (state: { whatIf: Record<string, Asked> }): Asked =>
    state.whatIf[map] ?? NOTHING_ASKED;
