import { createBrowserRouter, Navigate, useLocation } from 'react-router';
import { newAddress } from './components/addresses.ts';
import { MapPlace } from './places/map/MapPlace.tsx';
import { LAZY_PLACES } from './preload.ts';
import { FirstMap } from './shell/FirstMap.tsx';
import { NotHere } from './shell/NotHere.tsx';
import { PlaceTrouble } from './shell/PlaceTrouble.tsx';
import { Shell } from './shell/Shell.tsx';

/** Shown for the moment in which a place is being fetched. */
const Nothing = () => null;
const { read, weigh, balance, lessons, term, mat, log, recall } = LAZY_PLACES;
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
      { path: 'read', lazy: async () => ({ Component: (await read()).ReadPlace }), errorElement },
      { path: 'weigh', lazy: async () => ({ Component: (await weigh()).WeighPlace }), errorElement },
      { path: 'balance', lazy: async () => ({ Component: (await balance()).BalancePlace }), errorElement },
    ],
  },
  {
    path: '/club',
    element: <Shell />,
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
    children: [
      {
        path: 'classes/:classId?',
        lazy: async () => ({ Component: (await lessons()).LessonsPlace }),
        errorElement,
      },
      { path: 'log', lazy: async () => ({ Component: (await log()).LogPlace }), errorElement },
      { path: 'term', lazy: async () => ({ Component: (await term()).TermPlace }), errorElement },
    ],
  },
  {
    path: '/club/mat/:classId?',
    lazy: async () => ({ Component: (await mat()).MatPlace }),
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
  },
  {
    path: '/recall/:mapId',
    lazy: async () => ({ Component: (await recall()).RecallPlace }),
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
  },
  ...(import.meta.env.DEV ? [{ path: '/dev/parts', lazy: parts, HydrateFallback: Nothing }] : []),
  { path: '*', element: <OldAddress /> },
]);
