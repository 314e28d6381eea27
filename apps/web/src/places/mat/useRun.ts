import { type Segment, segmentStart } from '@aftersquall/core/lesson';
import { type ClassPlan } from '@aftersquall/core/model';
import { clockOf, placeOf, type RunEvent, type RunState, runState } from '@aftersquall/core/run';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { device } from '../../device/device.ts';
import { newKey } from '../../store/records/newRecord.ts';
import { type Bell, createBell } from './bell.ts';
import { ringsBetween } from './ringsBetween.ts';

interface Person {
  id: string;
  alias: string;
}

/**
 * A run as the Mat shows it. All of it follows from `events` and the time (`runState`); the events are on the device, and
 * whatever is done appends one. Nothing here is written twice, so a reload is a replay.
 */
export interface Run {
  /** What its records share. */
  id: string;
  events: readonly RunEvent[];
  state: RunState;
  /** The class as it runs: frozen when it began; before, as it is planned, for as many as are here. */
  plan: ClassPlan;
  segments: Segment[];
  /** The stretch the clock is in; undefined once the class is over. */
  now: { index: number; left: number } | undefined;
  elapsed: number;
  /** Seconds until it starts; 0 when it has. */
  ready: number;
  total: number;
  running: boolean;
  begun: boolean;
  here: readonly Person[];
  /** The class was edited since it began, and the coach was not asked about this edit yet. */
  edited: boolean;
  /** Whether something that happened could not be written on this device. */
  unkept: boolean;
  toggle: () => void;
  /** Goes to the beginning of the next stretch, or with −1 to the one before (or of this one, if well into it). */
  skip: (by: 1 | -1) => void;
  /** Goes to the beginning of a block. */
  jump: (block: string) => void;
  addMinute: () => void;
  swapSides: () => void;
  end: () => void;
  /** Reckons with one more, who makes a pair of the odd one. */
  workIn: () => void;
  /** Says who came or left. */
  setHere: (people: readonly Person[], there: boolean) => void;
  /** Takes the edited class over, or runs on as it began. */
  answerEdited: (take: boolean) => void;
  restart: () => void;
  bell: () => Bell;
}

/** Counted down before a class starts, seconds. */
const COUNTDOWN = 5;
const MINUTE = 60;
/** Well into a stretch: going back leads to its beginning, seconds. */
const WELL_INTO = 3;
/** The clock is looked at so often, ms. */
const TICK_MS = 100;
/** A clock that is set back by less than this is only put right, ms. */
const PUT_RIGHT_MS = 2000;

type Happened = RunEvent extends infer E
  ? E extends RunEvent
    ? Omit<E, 'id' | 'run' | 'at'>
    : never
  : never;

/** What a class runs by: its blocks and whom it is reckoned for. */
const runsBy = ({ people, changeOverSeconds, blocks }: ClassPlan): string =>
  JSON.stringify([people, changeOverSeconds, blocks]);

/** A run is taken up again so long after it began; after that the class begins anew, ms. */
const SAME_EVENING_MS = 12 * 60 * 60 * 1000;

/** Whether a screen that opens goes on with a run: not with one of another day, nor with one that ended before the class was edited. */
function isTakenUp(events: readonly RunEvent[], planned: ClassPlan): boolean {
  const now = Date.now();
  if (now - events[0]!.at > SAME_EVENING_MS) return false;
  const { over, plan } = runState(events, now);
  return !over || runsBy(plan!) === runsBy({ ...planned, people: plan!.people });
}

/** The run of a class on this device; undefined while it is read. */
export function useRun(planned: ClassPlan): Run | undefined {
  const [events, setEvents] = useState<readonly RunEvent[]>();
  const [unkept, setUnkept] = useState(false);
  const [id, setId] = useState(newKey);
  const [time, setTime] = useState(() => Date.now());
  const [declined, setDeclined] = useState('');
  const classId = planned.id;
  const asPlanned = useRef(planned);
  asPlanned.current = planned;

  useEffect(() => {
    let current = true;
    const read = () =>
      device.runs
        .latest(classId)
        .catch((): RunEvent[] => [])
        .then((kept) => {
          if (!current) return;
          if (kept[0] && isTakenUp(kept, asPlanned.current)) setId(kept[0].run);
          // What this tab has done since is behind what is on the device.
          setEvents((own = []) => [
            ...kept,
            ...own.filter((event) => !kept.some((one) => one.id === event.id)),
          ]);
        });
    void read();
    const end = device.db.hear(({ store, key }) => {
      if (store === 'runs' && key === classId) void read();
    });
    return () => {
      current = false;
      end();
    };
  }, [classId]);

  const append = useCallback(
    (happened: Happened, run: string, at = Date.now()) => {
      const event = { id: newKey(), run, at, ...happened } as RunEvent;
      setEvents((known = []) => [...known, event]);
      setTime(at);
      device.runs.append(classId, event).catch(() => setUnkept(true));
    },
    [classId],
  );

  const own = useMemo(() => events?.filter((event) => event.run === id) ?? [], [events, id]);
  const state = useMemo(() => runState(own, time), [own, time]);

  // Where the device's clock goes back, the class goes on: only that is said, and nothing is counted twice.
  const seen = useRef(0);
  useEffect(() => {
    const look = () => {
      const now = Date.now();
      // A run that was begun before this page was opened says itself how late it was.
      const last = seen.current || (own.at(-1)?.at ?? 0);
      seen.current = now;
      if (last - now > PUT_RIGHT_MS && state.begun && !state.over)
        append({ do: 'clockWentBack', by: last - now }, id, now);
      setTime(now);
    };
    look();
    if (!state.running) return;
    const timer = setInterval(look, TICK_MS);
    return () => clearInterval(timer);
  }, [own, state.running, state.begun, state.over, append, id]);

  const people = state.expected ?? planned.people;
  const expected = useMemo(() => ({ ...planned, people }), [planned, people]);
  const plan = state.plan ?? expected;
  // Before the start it is laid out as it would run.
  const before = useMemo(() => {
    const common = { id: 'before-start', run: 'before-start', at: 0 };
    const added = own.filter((event) => event.do === 'timeAdded');
    return runState([{ ...common, do: 'started', plan: expected, countdown: 0 }, ...added], 0);
  }, [expected, own]);
  const laidOut = state.begun ? state : before;
  const { segments } = laidOut;
  const total = useMemo(() => segmentStart(segments, segments.length), [segments]);
  const clock = clockOf(state);

  const bell = useRef<Bell>(undefined);
  const theBell = useCallback((): Bell => {
    bell.current ??= createBell();
    return bell.current;
  }, []);
  // Bells ring for what the clock passes by itself, not for where it is put.
  const heard = useRef({ clock, moves: 0 });
  const moves = own.filter((event) => event.do !== 'attended').length;
  useEffect(() => {
    const last = heard.current;
    heard.current = { clock, moves };
    const passes = last.moves === moves;
    if ((state.running || state.over) && passes)
      for (const kind of ringsBetween(segments, last.clock, clock)) theBell().ring(kind);
  }, [clock, moves, state.running, state.over, segments, theBell]);

  if (events === undefined) return undefined;
  const happen = (happened: Happened) => append(happened, id);
  const index = laidOut.now?.index;
  const goTo = (target: number) => {
    if (!state.begun) {
      happen({ do: 'started', plan, countdown: COUNTDOWN });
      happen({ do: 'paused' });
    }
    happen({ do: 'wentTo', ...placeOf({ plan, segments }, target), into: 0 });
  };
  const asItIs = runsBy({ ...planned, people: plan.people });
  return {
    id,
    events: own,
    state,
    plan,
    segments,
    now: laidOut.now,
    elapsed: Math.max(0, clock),
    ready: state.running ? state.countdown : 0,
    total,
    running: state.running,
    begun: state.begun,
    here: state.here,
    edited: state.begun && !state.over && asItIs !== runsBy(plan) && declined !== asItIs,
    unkept,
    toggle() {
      theBell().wake();
      if (!laidOut.now) return;
      if (!state.begun) happen({ do: 'started', plan, countdown: COUNTDOWN });
      else happen({ do: state.running ? 'paused' : 'resumed' });
    },
    skip(by) {
      const into = state.now?.into ?? 0;
      const at = index ?? segments.length;
      const target = by > 0 ? at + 1 : into > WELL_INTO ? at : at - 1;
      if (target >= segments.length) happen({ do: 'ended' });
      else goTo(Math.max(0, target));
    },
    jump(block) {
      const number = plan.blocks.findIndex((one) => one.id === block);
      const target = segments.findIndex((segment) => segment.block === number);
      if (target >= 0) goTo(target);
    },
    addMinute() {
      if (index !== undefined)
        happen({ do: 'timeAdded', ...placeOf({ plan, segments }, index), seconds: MINUTE });
    },
    swapSides() {
      if (index !== undefined) happen({ do: 'swapped', block: placeOf({ plan, segments }, index).block });
    },
    end: () => happen({ do: 'ended' }),
    workIn: () => happen({ do: 'expected', people: plan.people + 1 }),
    setHere(who, there) {
      for (const athlete of who) happen({ do: 'attended', athlete, there });
    },
    answerEdited(take) {
      if (take) happen({ do: 'planTaken', plan: { ...planned, people: plan.people } });
      else setDeclined(asItIs);
    },
    restart() {
      const next = newKey();
      setId(next);
      // Those who are here stay for another run.
      for (const athlete of state.here) append({ do: 'attended', athlete, there: true }, next);
      if (state.here.length === 0) append({ do: 'expected', people }, next);
    },
    bell: theBell,
  };
}
