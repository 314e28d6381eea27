import type { Segment } from '@aftersquall/core';
import type { Ring } from './bell.ts';

const WARN_SECONDS = 10;

/** What rings for what the clock passed between two looks at it: the last seconds of work, ends and beginnings. */
export function ringsBetween(segments: readonly Segment[], from: number, to: number): Ring[] {
  const rings: Ring[] = [];
  if (!(to > from)) return rings;
  let end = 0;
  for (const [index, segment] of segments.entries()) {
    end += segment.seconds;
    const warn = end - WARN_SECONDS;
    const long = segment.kind === 'work' && segment.seconds > 2 * WARN_SECONDS;
    if (long && from < warn && warn <= to && to < end) rings.push('warn');
    if (from < end && end <= to) rings.push(segments[index + 1]?.kind === 'work' ? 'start' : 'end');
  }
  return rings;
}
