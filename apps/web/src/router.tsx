import { createBrowserRouter } from 'react-router';
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

export const router = createBrowserRouter([
  { path: '/', element: <FirstMap /> },
  {
    path: '/:mapId',
    element: <Shell />,
    HydrateFallback: Nothing,
    errorElement: <NotHere />,
    children: [
      { path: 'map', element: <MapPlace /> },
      { path: 'read', lazy: read },
      { path: 'weigh', lazy: weigh },
      { path: 'balance', lazy: balance },
      { path: 'drills/:classId?', lazy: drills },
    ],
  },
  { path: '/:mapId/mat/:classId?', lazy: mat, HydrateFallback: Nothing, errorElement: <NotHere /> },
  { path: '*', element: <NotHere /> },
]);
