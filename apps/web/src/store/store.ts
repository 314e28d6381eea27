import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { nanoid } from 'nanoid';
import { useDispatch, useSelector } from 'react-redux';
import { device } from '../device/device.ts';
import { api } from './api.ts';
import { classGoal } from './classGoal.ts';
import { documents } from './documents/documentsSlice.ts';
import type { Engine } from './documents/engine.ts';
import { notices } from './notices.ts';
import { keepSettings, settings } from './settings.ts';
import { whatIf } from './whatIf.ts';

const theEngine = (): Engine => ({
  device,
  newKey: () => nanoid(16),
  senders: new Map(),
});

/** A store of its own: the application has one, every test makes one. */
export const createStore = (engine: Engine = theEngine()) =>
  configureStore({
    reducer: { [api.reducerPath]: api.reducer, classGoal, documents, notices, settings, whatIf },
    middleware: (defaults) =>
      // A map has thousands of objects; walking them on every action to look for mutations would be felt.
      defaults({
        immutableCheck: false,
        serializableCheck: false,
        thunk: { extraArgument: engine },
      })
        .prepend(keepSettings(engine.device.cells))
        .concat(api.middleware),
  });

export type Store = ReturnType<typeof createStore>;
export type RootState = ReturnType<Store['getState']>;
export type AppThunk<T = void> = ThunkAction<T, RootState, Engine, UnknownAction>;
export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
