import { createBrowserRouter, Navigate, useLocation } from 'react-router';
import { newAddress } from './components/addresses.ts';
import { MapPlace } from './places/map/MapPlace.tsx';
import { FirstMap } from './shell/FirstMap.tsx';
import { NotHere } from './shell/NotHere.tsx';
import { Shell } from './shell/Shell.tsx';

/** Shown for the moment in which a place is being fetched. */
const Nothing = () => null;
const read = async () => ({ Component: (await import('./places/read/ReadPlace.tsx')).ReadPlace });
const weigh = async () => ({ Component: (await import('./places/weigh/WeighPlace.tsx')).WeighPlace });
const balance = async () => ({ Component: (await import('./places/balance/BalancePlace.tsx')).BalancePlace });
const drills = async () => ({ Component: (await import('./places/drills/DrillsPlace.tsx')).DrillsPlace });
const mat = async () => ({ Component: (await import('./places/mat/MatPlace.tsx')).MatPlace });
const parts = async () => ({ Component: (await import('./dev/Parts.tsx')).Parts });

/** Addresses of before lead on to where their place is now. */
function OldAddress() {
  const { pathname, search } = useLocation();
  const address = newAddress(pathname);
  return address ? <Navigate to={address + search} replace /> : <NotHere />;
}

export const router = createBrowserRouter([
  { path: '/', element: <FirstMap /> },
  {
    path: '/map/:mapId',
    element: <Shell />,
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
    children: [
      { index: true, element: <MapPlace /> },
      { path: 'read', lazy: read },
      { path: 'weigh', lazy: weigh },
      { path: 'balance', lazy: balance },
    ],
  },
  {
    path: '/club',
    element: <Shell />,
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
    children: [{ path: 'classes/:classId?', lazy: drills }],
  },
  { path: '/club/mat/:classId?', lazy: mat, HydrateFallback: Nothing, errorElement: <NotHere /> },
  ...(import.meta.env.DEV ? [{ path: '/dev/parts', lazy: parts, HydrateFallback: Nothing }] : []),
  { path: '*', element: <OldAddress /> },
]);
