import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/sofia-sans-extra-condensed';
import './theme/theme.scss';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { preloadPlaces } from './preload.ts';
import { router } from './router.tsx';
import { hear } from './store/documents/engine.ts';
import { listen } from './store/documents/liveEvents.ts';
import { sendRecords } from './store/records/records.ts';
import { keepSettings } from './store/settings.ts';
import { createStore } from './store/store.ts';

const store = createStore();
store.subscribe(() => keepSettings(store.getState().settings));
listen((event) => store.dispatch(hear(event)));
// Where the machine itself says that the network is back, what waits is sent at once.
addEventListener('online', () => store.dispatch(hear({ type: 'opened' })));

preloadPlaces();
sendRecords();
if (import.meta.env.PROD) void navigator.serviceWorker?.register('/sw.js');

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);
