import type { Command, Issue } from '@aftersquall/core/documents';
import type { GuardMap } from '@aftersquall/core/model';
import { selectSession } from './documents/documentsSlice.ts';
import { changeDocument } from './documents/engine.ts';
import type { AppThunk, RootState } from './store.ts';
import { say } from './words.ts';

/** The map that the places of the rail are about: the one in the address, else the one that was there last. */
export const selectMapId = ({ settings }: RootState): string | undefined => settings.lastMap;

/** That map as it is on screen, once it is open. */
export const selectMap = (state: RootState): GuardMap | undefined =>
  selectSession('map', selectMapId(state))(state)?.shown;

/** Changes that map; see `changeDocument`. */
export const changeMap =
  (command: Command, how?: { announce?: string }): AppThunk<Issue[]> =>
  (dispatch, getState) => {
    const id = selectMapId(getState());
    return id === undefined
      ? [{ path: [], message: say.noMapOpen }]
      : dispatch(changeDocument({ kind: 'map', id }, command, how));
  };
