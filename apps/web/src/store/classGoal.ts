import type { Basis, Level, Method } from '@aftersquall/core/model';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What has been typed for the next class, kept while other places are looked at. */
interface ClassGoal {
  name: string;
  minutes: string;
  people: string;
  sides: 1 | 2;
  /** The position a lesson is about; none for what would help most. */
  root: string;
  level: Level;
  youth: boolean;
  method: Method;
  /** On whose chances; those of the map where it is not said. */
  figures: Basis | undefined;
  /** Whether it begins from what the log says. */
  fromLog: boolean;
}

const EMPTY_GOAL: ClassGoal = {
  name: '',
  minutes: '60',
  people: '14',
  sides: 2,
  root: '',
  level: 'intermediate',
  youth: false,
  method: 'mixed',
  figures: undefined,
  fromLog: true,
};

const slice = createSlice({
  name: 'classGoal',
  initialState: EMPTY_GOAL,
  reducers: {
    changeGoal: (goal, { payload }: PayloadAction<Partial<ClassGoal>>) => ({ ...goal, ...payload }),
    /** Begins anew, once a class has been made of what was typed. */
    startGoal: () => EMPTY_GOAL,
  },
});

export const classGoal = slice.reducer;
export const { changeGoal, startGoal } = slice.actions;
