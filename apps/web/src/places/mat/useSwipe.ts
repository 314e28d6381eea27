import { type PointerEvent, useRef } from 'react';

const FAR = 90;
const STILL = 12;

/** One big tap, and swipes to either side; for wet hands, on whatever is not a button or a panel of them. */
export function useSwipe({ onTap, onSwipe }: { onTap: () => void; onSwipe: (by: 1 | -1) => void }) {
  const from = useRef<{ x: number; y: number } | undefined>(undefined);
  const free = (target: EventTarget) => !(target as Element).closest('button, a, input, select, section');
  return {
    onPointerDown(event: PointerEvent) {
      from.current = free(event.target) ? { x: event.clientX, y: event.clientY } : undefined;
    },
    onPointerUp(event: PointerEvent) {
      const start = from.current;
      from.current = undefined;
      if (!start) return;
      const [dx, dy] = [event.clientX - start.x, event.clientY - start.y];
      if (Math.abs(dx) > FAR && Math.abs(dx) > 2 * Math.abs(dy)) onSwipe(dx < 0 ? 1 : -1);
      else if (Math.hypot(dx, dy) < STILL) onTap();
    },
    onPointerCancel() {
      from.current = undefined;
    },
  };
}
