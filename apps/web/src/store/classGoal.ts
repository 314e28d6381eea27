import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What has been typed for the next class, kept while other places are looked at. */
interface ClassGoal {
  name: string;
  minutes: string;
  people: string;
  sides: '1' | '2';
}

const NOTHING: ClassGoal = { name: '', minutes: '60', people: '14', sides: '2' };

const slice = createSlice({
  name: 'classGoal',
  initialState: NOTHING,
  reducers: {
    changeGoal: (goal, { payload }: PayloadAction<Partial<ClassGoal>>) => ({ ...goal, ...payload }),
    /** Begins anew, once a class has been made of what was typed. */
    startGoal: () => NOTHING,
  },
});

export const classGoal = slice.reducer;
export const { changeGoal, startGoal } = slice.actions;
