import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.ts';
import { mapSession } from './mapSession.ts';
import { keepSettings, settings } from './settings.ts';

const createStore = () =>
  configureStore({
    reducer: { [api.reducerPath]: api.reducer, mapSession, settings },
    middleware: (defaults) =>
      // A map has thousands of objects; walking them on every action to look for mutations would be felt.
      defaults({ immutableCheck: false, serializableCheck: false }).concat(api.middleware),
  });

export const store = createStore();
store.subscribe(() => keepSettings(store.getState().settings));

export type RootState = ReturnType<typeof store.getState>;
export type AppThunk<T = void> = ThunkAction<T, RootState, unknown, UnknownAction>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
