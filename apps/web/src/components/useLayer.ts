import { useEffect, useRef } from 'react';

/** What Escape closes, the last one opened at the end. */
const layers: (() => void)[] = [];
/** Dialogs and menus close themselves, and are gone by the time that the key has come up to the window. */
const WITH_OWN_ESCAPE = '.modal.show, .dropdown-menu.show';
const TEXT = 'input, textarea, [contenteditable="true"]';
let covered = false;

window.addEventListener('keydown', () => (covered = document.querySelector(WITH_OWN_ESCAPE) !== null), {
  capture: true,
});
window.addEventListener('keydown', (event) => {
  const { target } = event;
  if (event.key !== 'Escape' || covered || event.defaultPrevented) return;
  if (target instanceof Element && target.matches(TEXT)) return;
  layers.at(-1)?.();
});

/** Something that Escape closes while it is open; of several only the one that was opened last. */
export function useLayer(open: boolean, close: () => void): void {
  const latest = useRef(close);
  latest.current = close;
  useEffect(() => {
    if (!open) return;
    const layer = () => latest.current();
    layers.push(layer);
    return () => void layers.splice(layers.indexOf(layer), 1);
  }, [open]);
}
