import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.ts';
import { mapSession } from './mapSession.ts';
import { settings } from './settings.ts';
import { whatIf } from './whatIf.ts';

/** A store of its own: the application has one, every test makes one. */
export const createStore = () =>
  configureStore({
    reducer: { [api.reducerPath]: api.reducer, mapSession, settings, whatIf },
    middleware: (defaults) =>
      // A map has thousands of objects; walking them on every action to look for mutations would be felt.
      defaults({ immutableCheck: false, serializableCheck: false }).concat(api.middleware),
  });

export type Store = ReturnType<typeof createStore>;
export type RootState = ReturnType<Store['getState']>;
export type AppThunk<T = void> = ThunkAction<T, RootState, unknown, UnknownAction>;
export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
