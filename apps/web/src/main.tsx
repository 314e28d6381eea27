import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/sofia-sans-extra-condensed';
import './theme/theme.scss';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { device } from './device/device.ts';
import { preloadPlaces } from './preload.ts';
import { router } from './router.tsx';
import { hear, hearDevice } from './store/documents/engine.ts';
import { listen } from './store/documents/liveEvents.ts';
import { sendRecords, sendWaitingRecords } from './store/records/records.ts';
import { hearSettings, settingsOn, takeSettings } from './store/settings.ts';
import { createStore } from './store/store.ts';

await device.begin().catch(() => undefined);
const store = createStore();
store.dispatch(takeSettings(settingsOn(device.cells)));
hearSettings(device.cells, (changed) => store.dispatch(takeSettings(changed)));
device.db.hear(({ store: changed, key }) => {
  if (changed === 'changes') void store.dispatch(hearDevice(key));
});
listen((event) => {
  store.dispatch(hear(event));
  // The server answers again: nothing waits for its next try.
  if (event.type === 'opened') void sendWaitingRecords();
});
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
