import { type ClassPlan, matRun, type Segment, segmentAt, segmentStart } from '@aftersquall/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { type Bell, createBell } from './bell.ts';
import { ringsBetween } from './ringsBetween.ts';

/** Where a run stands, kept in the browser so that a closed tablet goes on where it was. */
interface Kept {
  /** Seconds run before the clock was last started. */
  before: number;
  /** When it was last started, in ms since 1970; absent while it is paused. */
  since?: number;
  /** What was run, so that a changed class begins again. */
  of: string;
}

export interface Run {
  segments: Segment[];
  /** The stretch the clock is in; undefined once the class is over. */
  now: { index: number; left: number } | undefined;
  elapsed: number;
  total: number;
  running: boolean;
  toggle: () => void;
  /** Goes to the beginning of the next stretch, or with −1 to the one before (or of this one, if well into it). */
  skip: (by: 1 | -1) => void;
  restart: () => void;
}

const secondsOf = ({ before, since }: Kept): number =>
  before + (since === undefined ? 0 : (Date.now() - since) / 1000);

/** The clock of a class, running from the wall clock, so that a sleeping tab loses no second. */
export function useRun(plan: ClassPlan): Run {
  const segments = useMemo(() => matRun(plan), [plan]);
  const total = useMemo(() => segmentStart(segments, segments.length), [segments]);
  const of = useMemo(() => JSON.stringify([plan.people, plan.changeOverSeconds, plan.blocks]), [plan]);
  const key = `aftersquall.run.${plan.id}`;
  const [kept, setKept] = useState<Kept>(() => restore(key, of));
  const [elapsed, setElapsed] = useState(() => secondsOf(kept));
  const bell = useRef<Bell>(undefined);
  const theBell = (): Bell => {
    bell.current ??= createBell();
    return bell.current;
  };
  const ring = useRef(theBell);
  const heard = useRef(elapsed);

  useEffect(() => localStorage.setItem(key, JSON.stringify(kept)), [key, kept]);
  useEffect(() => {
    setElapsed(secondsOf(kept));
    if (kept.since === undefined) return;
    const timer = setInterval(() => setElapsed(secondsOf(kept)), 100);
    return () => clearInterval(timer);
  }, [kept]);
  useEffect(() => {
    if (kept.since !== undefined)
      for (const kind of ringsBetween(segments, heard.current, elapsed)) ring.current().ring(kind);
    heard.current = elapsed;
  }, [elapsed, kept.since, segments]);

  const now = segmentAt(segments, elapsed);
  const goTo = (seconds: number, running: boolean) => {
    heard.current = seconds;
    setKept({ of, before: seconds, ...(running && { since: Date.now() }) });
  };
  const running = kept.since !== undefined && now !== undefined;
  return {
    segments,
    now,
    elapsed: Math.min(elapsed, total),
    total,
    running,
    toggle() {
      theBell().wake();
      if (!running && elapsed === 0) theBell().ring('start');
      if (now) goTo(secondsOf(kept), !running);
    },
    skip(by) {
      const index = now?.index ?? segments.length;
      const into = now ? elapsed - segmentStart(segments, index) : 0;
      const target = by > 0 ? index + 1 : into > 3 ? index : index - 1;
      goTo(segmentStart(segments, Math.max(0, Math.min(target, segments.length))), running);
    },
    restart: () => goTo(0, false),
  };
}

function restore(key: string, of: string): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Kept | null;
    if (kept?.of === of && Number.isFinite(kept.before)) return kept;
  } catch {
    // What was kept cannot be read: begin at the beginning.
  }
  return { before: 0, of };
}
