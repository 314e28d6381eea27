import { applyCommand, type Command, type GuardMap, type Issue, RefusedError } from '@aftersquall/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { api, refusalOf, type StoredMap } from './api.ts';
import type { AppThunk, RootState } from './store.ts';

/** A change made elsewhere that ours was not made for: both versions, until the coach decides. */
export interface Conflict {
  theirs: StoredMap;
  mine: GuardMap;
}

interface MapSession {
  id?: string;
  /** The map as the coach sees it, changes not yet saved included. */
  map?: GuardMap;
  /** The revision that the server has confirmed. */
  revision: number;
  /** Changes still on their way, in order. */
  waiting: Command[];
  state: 'loading' | 'ready' | 'missing' | 'unsaved';
  trouble?: string;
  conflict?: Conflict;
  undo: Command[];
  redo: Command[];
  /** What was removed last, for the offer to take it back. */
  lately?: string;
  /** The map that was removed last, for the same. */
  removedMap?: { id: string; name: string };
}

const slice = createSlice({
  name: 'mapSession',
  initialState: { revision: 0, waiting: [], state: 'loading', undo: [], redo: [] } as MapSession,
  reducers: {
    opening: (session, { payload }: PayloadAction<string>): MapSession => ({
      ...(session.removedMap && { removedMap: session.removedMap }),
      id: payload,
      revision: 0,
      waiting: [],
      state: 'loading',
      undo: [],
      redo: [],
    }),
    opened(session, { payload }: PayloadAction<StoredMap>) {
      session.map = payload.map;
      session.revision = payload.revision;
      session.waiting = [];
      session.state = 'ready';
      delete session.conflict;
      delete session.trouble;
    },
    missing(session, { payload }: PayloadAction<string>) {
      session.state = 'missing';
      session.trouble = payload;
    },
    changed(session, { payload }: PayloadAction<{ map: GuardMap; command: Command }>) {
      session.map = payload.map;
      session.waiting.push(payload.command);
    },
    confirmed(session, { payload }: PayloadAction<number>) {
      session.revision = payload;
      session.waiting.shift();
      session.state = 'ready';
      delete session.trouble;
    },
    stuck(session, { payload }: PayloadAction<string>) {
      session.state = 'unsaved';
      session.trouble = payload;
    },
    conflicted(session, { payload }: PayloadAction<Conflict>) {
      session.conflict = payload;
    },
    stacks(session, { payload }: PayloadAction<{ undo: Command[]; redo: Command[] }>) {
      session.undo = payload.undo;
      session.redo = payload.redo;
    },
    toldOfMap(session, { payload }: PayloadAction<MapSession['removedMap']>) {
      if (payload) session.removedMap = payload;
      else delete session.removedMap;
    },
    told(session, { payload }: PayloadAction<string | undefined>) {
      if (payload) session.lately = payload;
      else delete session.lately;
    },
  },
});

export const mapSession = slice.reducer;
export const { told, toldOfMap } = slice.actions;
const { opening, opened, missing, changed, confirmed, stuck, conflicted, stacks } = slice.actions;

export const selectMap = (state: RootState): GuardMap | undefined => state.mapSession.map;
export const selectSession = (state: RootState): MapSession => state.mapSession;

/** Opens a map, forgetting the one that was open. */
export const openMap =
  (id: string): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    dispatch(opening(id));
    const request = dispatch(api.endpoints.map.initiate(id, { forceRefetch: true, subscribe: false }));
    const { data, error } = await request;
    if (getState().mapSession.id !== id) return;
    dispatch(data ? opened(data) : missing(refusalOf(error).message));
  };

/**
 * Makes a change: at once on screen, then on the server, in order. Returns what is wrong with it, in which case
 * nothing has changed.
 */
export const changeMap =
  (command: Command): AppThunk<Issue[]> =>
  (dispatch, getState) => {
    const { undo } = getState().mapSession;
    const made = dispatch(perform(command));
    if (Array.isArray(made)) return made;
    dispatch(stacks({ undo: [...undo, made], redo: [] }));
    return [];
  };

/** Takes the last change back. */
export const undoChange = (): AppThunk => (dispatch, getState) => {
  const { undo, redo } = getState().mapSession;
  const last = undo.at(-1);
  const made = last && dispatch(perform(last));
  if (made && !Array.isArray(made)) dispatch(stacks({ undo: undo.slice(0, -1), redo: [...redo, made] }));
  dispatch(told(undefined));
};

/** Makes again what was taken back last. */
export const redoChange = (): AppThunk => (dispatch, getState) => {
  const { undo, redo } = getState().mapSession;
  const next = redo.at(-1);
  const made = next && dispatch(perform(next));
  if (made && !Array.isArray(made)) dispatch(stacks({ undo: [...undo, made], redo: redo.slice(0, -1) }));
};

/** Applies and sends one command; gives its inverse, or what is wrong with it. */
const perform =
  (command: Command): AppThunk<Command | Issue[]> =>
  (dispatch, getState) => {
    const { map } = getState().mapSession;
    if (!map) return [{ path: [], message: 'No map is open.' }];
    try {
      const applied = applyCommand(map, command);
      dispatch(changed({ map: applied.map, command }));
      if (getState().mapSession.waiting.length === 1) void dispatch(send());
      return applied.inverse;
    } catch (error) {
      if (error instanceof RefusedError) return error.issues;
      throw error;
    }
  };

/** Sends what waits, one command after the other; stops where the server says no. */
export const send = (): AppThunk<Promise<void>> => async (dispatch, getState) => {
  for (;;) {
    const { id, revision, waiting, map } = getState().mapSession;
    const [command] = waiting;
    if (!id || !command) return;
    const { coach: who } = getState().settings;
    const { data, error } = await dispatch(
      api.endpoints.changeMap.initiate({ id, revision, commands: [command], who }),
    );
    if (getState().mapSession.id !== id) return;
    if (data) {
      dispatch(confirmed(data.revision));
      continue;
    }
    const refusal = refusalOf(error);
    if (refusal.status === 409) dispatch(conflicted({ theirs: refusal.body as StoredMap, mine: map! }));
    dispatch(stuck([refusal.message, ...refusal.issues.map((issue) => issue.message)].join(' ')));
    return;
  }
};

/** Ends a conflict: with their version alone, or with our waiting changes made again on top of it. */
export const settleConflict =
  (keepMine: boolean): AppThunk<Issue[]> =>
  (dispatch, getState) => {
    const { conflict, waiting } = getState().mapSession;
    if (!conflict) return [];
    dispatch(opened(conflict.theirs));
    dispatch(stacks({ undo: [], redo: [] }));
    if (!keepMine) return [];
    return waiting.flatMap((command) => dispatch(changeMap(command)));
  };
