import type { Segment } from '@aftersquall/core/lesson';
import type { Ring } from './bell.ts';

const WARN_SECONDS = 10;

/** What rings for what the clock passed between two looks at it: the start, the last seconds of work, ends, changes and beginnings. */
export function ringsBetween(segments: readonly Segment[], from: number, to: number): Ring[] {
  const rings: Ring[] = [];
  if (!(to > from)) return rings;
  // Counted down to it, the first stretch begins where the clock passes nothing.
  if (from < 0 && to >= 0) rings.push('start');
  let end = 0;
  for (const [index, segment] of segments.entries()) {
    end += segment.seconds;
    const warn = end - WARN_SECONDS;
    const long = segment.kind === 'work' && segment.seconds > 2 * WARN_SECONDS;
    if (long && from < warn && warn <= to && to < end) rings.push('warn');
    if (from < end && end <= to) rings.push(ringInto(segments[index + 1]));
  }
  return rings;
}

/** Work begins, sides or partners change, or something ends. */
function ringInto(next: Segment | undefined): Ring {
  if (next?.kind === 'work') return 'start';
  const swaps = next?.kind === 'change' || (next?.kind === 'together' && next.turn > 1);
  return swaps ? 'change' : 'end';
}
