import type { ComponentType } from 'react';
import { createBrowserRouter, Navigate, useLocation } from 'react-router';
import { newAddress } from './components/addresses.ts';
import { MapPlace } from './places/map/MapPlace.tsx';
import { LAZY_PLACES } from './preload.ts';
import { FirstMap } from './shell/FirstMap.tsx';
import { NotFetched } from './shell/NotFetched.tsx';
import { NotHere } from './shell/NotHere.tsx';
import { PlaceTrouble } from './shell/PlaceTrouble.tsx';
import { Shell } from './shell/Shell.tsx';

/** Shown for the moment in which a place is being fetched. */
const Nothing = () => null;
const { tonight, read, weigh, balance, lessons, term, mat, log, recall } = LAZY_PLACES;
/** A place that is fetched when it is gone to; where that fails, it says so. */
const fetched = (place: () => Promise<ComponentType>) => async () => ({
  Component: await place().catch(() => NotFetched),
});
const parts = async () => ({ Component: (await import('./dev/Parts.tsx')).Parts });

/** Addresses of before lead on to where their place is now. */
function OldAddress() {
  const { pathname, search } = useLocation();
  const address = newAddress(pathname);
  return address ? <Navigate to={address + search} replace /> : <NotHere />;
}

/** Where something goes wrong in a place, the rail and what was typed stay. */
const errorElement = <PlaceTrouble />;

export const router = createBrowserRouter([
  { path: '/', element: <FirstMap /> },
  {
    path: '/map/:mapId',
    element: <Shell />,
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
    children: [
      { index: true, element: <MapPlace />, errorElement },
      { path: 'read', lazy: fetched(async () => (await read()).ReadPlace), errorElement },
      { path: 'weigh', lazy: fetched(async () => (await weigh()).WeighPlace), errorElement },
      { path: 'balance', lazy: fetched(async () => (await balance()).BalancePlace), errorElement },
    ],
  },
  {
    path: '/club',
    element: <Shell />,
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
    children: [
      { index: true, lazy: fetched(async () => (await tonight()).TonightPlace), errorElement },
      {
        path: 'classes/:classId?',
        lazy: fetched(async () => (await lessons()).LessonsPlace),
        errorElement,
      },
      { path: 'log', lazy: fetched(async () => (await log()).LogPlace), errorElement },
      { path: 'term', lazy: fetched(async () => (await term()).TermPlace), errorElement },
    ],
  },
  {
    path: '/club/mat/:classId?',
    lazy: fetched(async () => (await mat()).MatPlace),
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
  },
  {
    path: '/recall/:mapId',
    lazy: fetched(async () => (await recall()).RecallPlace),
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
  },
  ...(import.meta.env.DEV ? [{ path: '/dev/parts', lazy: parts, HydrateFallback: Nothing }] : []),
  { path: '*', element: <OldAddress /> },
]);
