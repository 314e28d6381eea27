import { useEffect } from 'react';

/** Keeps the screen awake while something runs, where the browser can: on localhost and over trusted HTTPS. */
export function useAwake(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let wanted = true;
    const ask = () =>
      void navigator.wakeLock
        .request('screen')
        .then((held) => {
          lock = held;
          if (!wanted) void held.release();
        })
        // Without it the clock goes on all the same.
        .catch(() => undefined);
    ask();
    // It is lost whenever the page is not seen.
    const seen = () => document.visibilityState === 'visible' && ask();
    document.addEventListener('visibilitychange', seen);
    return () => {
      wanted = false;
      document.removeEventListener('visibilitychange', seen);
      void lock?.release();
    };
  }, [on]);
}
