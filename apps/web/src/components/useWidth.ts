import { type RefObject, useLayoutEffect, useState } from 'react';

/** How wide an element is, px, followed as it changes; 0 until it is there. */
export function useWidth(element: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const seen = element.current;
    if (!seen) return;
    setWidth(seen.clientWidth);
    const observer = new ResizeObserver(() => setWidth(seen.clientWidth));
    observer.observe(seen);
    return () => observer.disconnect();
  }, [element]);
  return width;
}
