import type { DocumentAddress } from '@aftersquall/core/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A line that says what was done or why not, with the offer to take back just what it speaks of. */
export interface Notice {
  text: string;
  /** The change that it speaks of. */
  undo?: { address: DocumentAddress; key: string };
  /** The document that was removed, to be given back. */
  removed?: DocumentAddress;
  /** Documents that were made together, to be taken back together. */
  made?: DocumentAddress[];
  /** Leads to what was put aside. */
  aside?: boolean;
}

const slice = createSlice({
  name: 'notices',
  initialState: { notice: undefined } as { notice: Notice | undefined },
  reducers: {
    notify: (_, { payload }: PayloadAction<Notice>) => ({ notice: payload }),
    closeNotice: () => ({ notice: undefined }),
  },
});

export const notices = slice.reducer;
export const { notify, closeNotice } = slice.actions;
