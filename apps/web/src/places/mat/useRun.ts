import {
  type ClassPlan,
  type ClockMark,
  clockAt,
  matRun,
  type Segment,
  segmentAt,
  segmentStart,
} from '@aftersquall/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { newKey, today } from '../../store/records/newRecord.ts';
import { type Bell, createBell } from './bell.ts';
import { ringsBetween } from './ringsBetween.ts';

/** Where a run stands, kept in the browser so that a closed tablet goes on where it was. */
export interface KeptRun {
  /** What was run, so that a changed class begins again. */
  of: string;
  /** All that is recorded of this run shares it. */
  session: string;
  /** The day it began. */
  date: string;
  /** Every touch of the clock, the last of them in force. */
  marks: ClockMark[];
  /** Seconds that were added to stretches, by their place. */
  extra: Record<number, number>;
  /** Blocks that work on the other sides than planned, by their number. */
  swapped: number[];
  /** What the records say of each block so far: seconds, and the key of the record. */
  recorded: Record<number, { seconds: number; key: string }>;
  ended: boolean;
  /** Who is here, with the alias of the day; nobody while it was not said. */
  here: { id: string; alias: string }[];
  /** How often that was changed since the run began: each time is a record of its own. */
  hereTold: number;
  /** For how many the class runs, where that is not as planned: said before it began. */
  people?: number | undefined;
}

export interface Run {
  kept: KeptRun;
  /** The class as it runs: for as many as are here. */
  plan: ClassPlan;
  segments: Segment[];
  /** The stretch the clock is in; undefined once the class is over. Before the start its `left` is what is counted down. */
  now: { index: number; left: number } | undefined;
  elapsed: number;
  /** Seconds until it starts; 0 when it has. */
  ready: number;
  total: number;
  running: boolean;
  begun: boolean;
  toggle: () => void;
  /** Goes to the beginning of the next stretch, or with −1 to the one before (or of this one, if well into it). */
  skip: (by: 1 | -1) => void;
  /** Goes to the beginning of a block. */
  jump: (block: number) => void;
  addMinute: () => void;
  swapSides: () => void;
  end: () => void;
  /** Reckons with one more, who makes a pair of the odd one. */
  workIn: () => void;
  /** Says who is here; before it begins the class is reckoned for as many. */
  setHere: (here: KeptRun['here']) => void;
  restart: () => void;
  change: (changes: Partial<KeptRun>) => void;
  bell: () => Bell;
}

/** Counted down before a class starts, seconds. */
const READY = 5;
const MINUTE = 60;

/** A run that was not begun. */
export const freshRun = (of: string): KeptRun => ({
  of,
  session: newKey(),
  date: today(),
  marks: [],
  extra: {},
  swapped: [],
  recorded: {},
  ended: false,
  here: [],
  hereTold: 0,
});
const STANDING: ClockMark = { at: 0, seconds: 0, running: false };

/** The clock of a class, reckoned from the wall clock and never from ticks, so that a sleeping tab loses no second. */
export function useRun(planned: ClassPlan): Run {
  const of = useMemo(
    () => JSON.stringify([planned.people, planned.changeOverSeconds, planned.blocks]),
    [planned],
  );
  const key = `aftersquall.run.${planned.id}`;
  const [kept, setKept] = useState<KeptRun>(() => restore(key, of));
  const { extra, ended, people } = kept;
  const plan = useMemo(() => (people ? { ...planned, people } : planned), [planned, people]);
  const segments = useMemo(
    () => matRun(plan).map((segment, i) => ({ ...segment, seconds: segment.seconds + (extra[i] ?? 0) })),
    [plan, extra],
  );
  const total = useMemo(() => segmentStart(segments, segments.length), [segments]);
  const mark = kept.marks.at(-1) ?? STANDING;
  const [clock, setClock] = useState(() => clockAt(mark, Date.now()));
  const bell = useRef<Bell>(undefined);
  const theBell = (): Bell => {
    bell.current ??= createBell();
    return bell.current;
  };
  const ring = useRef(theBell);
  const heard = useRef(clock);

  useEffect(() => localStorage.setItem(key, JSON.stringify(kept)), [key, kept]);
  useEffect(() => {
    setClock(clockAt(mark, Date.now()));
    if (!mark.running) return;
    const timer = setInterval(() => setClock(clockAt(mark, Date.now())), 100);
    return () => clearInterval(timer);
  }, [mark]);
  useEffect(() => {
    if (mark.running)
      for (const kind of ringsBetween(segments, heard.current, clock)) ring.current().ring(kind);
    heard.current = clock;
  }, [clock, mark.running, segments]);

  const elapsed = Math.min(Math.max(0, clock), total);
  const now = ended ? undefined : segmentAt(segments, elapsed);
  const running = mark.running && now !== undefined;
  const change = (changes: Partial<KeptRun>) => setKept((last) => ({ ...last, ...changes }));
  const touch = (seconds: number, runs: boolean) => {
    heard.current = seconds;
    setClock(seconds);
    setKept((last) => ({ ...last, marks: [...last.marks, { at: Date.now(), seconds, running: runs }] }));
  };
  const stand = () => clockAt(mark, Date.now());
  return {
    kept,
    plan,
    segments,
    now,
    elapsed,
    ready: running ? Math.max(0, -clock) : 0,
    total,
    running,
    begun: kept.marks.length > 0,
    toggle() {
      theBell().wake();
      if (!now) return;
      if (running) touch(stand(), false);
      else touch(stand() <= 0 ? -READY : stand(), true);
    },
    skip(by) {
      const index = now?.index ?? segments.length;
      const into = now ? elapsed - segmentStart(segments, index) : 0;
      const target = by > 0 ? index + 1 : into > 3 ? index : index - 1;
      touch(segmentStart(segments, Math.max(0, Math.min(target, segments.length))), running);
    },
    jump(block) {
      const index = segments.findIndex((segment) => segment.block === block);
      if (index >= 0) touch(segmentStart(segments, index), running);
    },
    addMinute() {
      if (now) change({ extra: { ...extra, [now.index]: (extra[now.index] ?? 0) + MINUTE } });
    },
    swapSides() {
      const block = now && segments[now.index]!.block;
      if (block === undefined) return;
      const { swapped } = kept;
      change({
        swapped: swapped.includes(block) ? swapped.filter((one) => one !== block) : [...swapped, block],
      });
    },
    end() {
      touch(stand(), false);
      change({ ended: true });
    },
    workIn: () => change({ people: plan.people + 1 }),
    setHere(here) {
      const begun = kept.marks.length > 0;
      change(
        begun
          ? { here, hereTold: kept.hereTold + 1 }
          : { here, people: here.length > 0 ? here.length : undefined },
      );
    },
    // Those who are here stay for another run.
    restart: () => setKept({ ...freshRun(of), here: kept.here, people: kept.people }),
    change,
    bell: theBell,
  };
}

function restore(key: string, of: string): KeptRun {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as KeptRun | null;
    if (kept?.of === of && Array.isArray(kept.marks) && kept.session) return { ...freshRun(of), ...kept };
  } catch {
    // What was kept cannot be read: begin at the beginning.
  }
  return freshRun(of);
}
