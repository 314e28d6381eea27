import { matRun, type Segment, segmentStart } from '../lesson/blocks/matRun.ts';
import type { ClassPlan } from '../model/classPlan.ts';
import type { RunEvent } from './runEvent.ts';

/** Where a run stands. Everything in it follows from the events and the time; nothing else is kept. */
export interface RunState {
  /** The class as it runs: frozen at the start, another one where that was taken over. Absent before the start. */
  plan: ClassPlan | undefined;
  /** Who is here, in the order in which they were ticked. */
  here: { id: string; alias: string }[];
  /** How often somebody came or left after the start. */
  attendedSince: number;
  /** For how many the class is reckoned where that is not as planned. */
  expected: number | undefined;
  /** The stretches of the plan, with the time that was added to them. */
  segments: Segment[];
  /** The stretch the clock stands in; undefined before the start and once the class is over. */
  now: { index: number; into: number; left: number } | undefined;
  /** Seconds that are still counted down before the first stretch. */
  countdown: number;
  running: boolean;
  begun: boolean;
  /** Over because every stretch ran out, or because the coach ended it. */
  over: boolean;
  /** Milliseconds by which the device's clock went back since the run began. */
  wentBack: number;
  /** Seconds that each block has been on, by its id. A later event never changes what an earlier stretch ran. */
  ran: ReadonlyMap<string, number>;
  /** Blocks that were left after they ran: how often, how long they had run by then, and when. */
  stays: ReadonlyMap<string, Stay>;
  /** Blocks that had not run when the class was over, with the time of that. */
  missed: ReadonlyMap<string, number>;
  /** Blocks that work on the other sides than planned. */
  swapped: ReadonlySet<string>;
}

interface Stay {
  count: number;
  ran: number;
  /** Milliseconds since 1970. */
  until: number;
}

/** What the fold writes into. */
interface Writable extends RunState {
  ran: Map<string, number>;
  stays: Map<string, Stay>;
  missed: Map<string, number>;
  swapped: Set<string>;
  /** The stretch and the seconds into it; at the number of stretches the class is over. */
  place: { index: number; into: number };
  /** Seconds added to a stretch, by block and stretch. */
  added: Map<string, number>;
  /** Whether the block the clock stands in has run since it was come to. */
  stayRan: boolean;
  ended: boolean;
  /** The time up to which the run is worked out. */
  until: number;
}

/** Less than a clock of milliseconds tells apart. */
const NO_TIME = 1e-6;

/**
 * Where a run stands at a time. Time runs into the block that is on and into no other: minutes added, blocks gone back to
 * and plans taken over change what comes, never what has been.
 * @param events in the order in which they happened
 * @param now milliseconds since 1970, by the clock that the events go by
 */
export function runState(events: readonly RunEvent[], now: number): RunState {
  const state: Writable = {
    plan: undefined,
    here: [],
    attendedSince: 0,
    expected: undefined,
    segments: [],
    now: undefined,
    countdown: 0,
    running: false,
    begun: false,
    over: false,
    wentBack: 0,
    ran: new Map(),
    stays: new Map(),
    missed: new Map(),
    swapped: new Set(),
    place: { index: 0, into: 0 },
    added: new Map(),
    stayRan: false,
    ended: false,
    until: events[0]?.at ?? now,
  };
  for (const event of events) {
    // The moment at which the clock was found to have gone back is the last one known before it.
    if (event.do === 'clockWentBack') state.wentBack += event.by;
    advance(state, event.at + state.wentBack);
    happen(state, event);
  }
  advance(state, now + state.wentBack);
  const { place, segments } = state;
  const segment = segments[place.index];
  state.over = state.begun && (state.ended || !segment);
  if (segment && !state.over)
    state.now = { index: place.index, into: place.into, left: segment.seconds - place.into };
  if (state.over) state.running = false;
  return state;
}

const blockAt = ({ plan, segments }: Writable, index: number): string | undefined =>
  segments[index] && plan?.blocks[segments[index].block]?.id;

/** Lets time pass up to a moment: it is counted down first, then every second belongs to the block that is on. */
function advance(state: Writable, to: number): void {
  let left = Math.max(0, to - state.until) / 1000;
  // A clock that jumps back without a word stands still rather than running backwards.
  const from = state.until;
  state.until = Math.max(state.until, to);
  if (!state.running || state.ended) return;
  const waited = Math.min(left, state.countdown);
  state.countdown -= waited;
  left -= waited;
  let passed = waited;
  while (left > NO_TIME && state.place.index < state.segments.length) {
    const { index, into } = state.place;
    const step = Math.min(left, state.segments[index]!.seconds - into);
    const block = blockAt(state, index)!;
    if (step > 0) {
      state.ran.set(block, (state.ran.get(block) ?? 0) + step);
      state.stayRan = true;
    }
    left -= step;
    passed += step;
    if (into + step < state.segments[index]!.seconds - NO_TIME) state.place = { index, into: into + step };
    else moveTo(state, { index: index + 1, into: 0 }, from + passed * 1000);
  }
}

/** Puts the clock somewhere else. The block that is left has stayed as long as it had run by then. */
function moveTo(state: Writable, place: { index: number; into: number }, at: number): void {
  const before = blockAt(state, state.place.index);
  state.place = place;
  if (before !== undefined && before !== blockAt(state, place.index)) endStay(state, before, at);
  if (place.index >= state.segments.length) miss(state, at);
}

function endStay(state: Writable, block: string, at: number): void {
  if (!state.stayRan) return;
  state.stayRan = false;
  const count = (state.stays.get(block)?.count ?? 0) + 1;
  state.stays.set(block, { count, ran: state.ran.get(block)!, until: Math.round(at) });
}

/** The class is over: what has not run was missed. */
function miss(state: Writable, at: number): void {
  for (const { id } of state.plan?.blocks ?? [])
    if (!state.ran.has(id) && !state.missed.has(id)) state.missed.set(id, Math.round(at));
}

function happen(state: Writable, event: RunEvent): void {
  switch (event.do) {
    case 'attended': {
      const others = state.here.filter(({ id }) => id !== event.athlete.id);
      state.here = event.there ? [...others, event.athlete] : others;
      if (state.begun) state.attendedSince++;
      else state.expected = state.here.length > 0 ? state.here.length : undefined;
      return;
    }
    case 'expected':
      if (!state.begun) state.expected = event.people;
      return;
    case 'started':
      if (state.begun) return;
      state.begun = true;
      state.running = true;
      state.countdown = event.countdown;
      // Nothing has run before it: a clock that was set back meanwhile keeps nobody waiting.
      state.until = event.at + state.wentBack;
      takePlan(state, event.plan);
      return;
    case 'paused':
      state.running = false;
      return;
    case 'resumed':
      state.running = state.begun;
      return;
    case 'wentTo': {
      const index = stretchOf(state, event.block, event.stretch);
      if (index === undefined) return;
      state.ended = false;
      const into = Math.min(event.into, state.segments[index]!.seconds);
      moveTo(state, { index, into }, state.until);
      return;
    }
    case 'timeAdded': {
      const key = `${event.block} ${event.stretch}`;
      state.added.set(key, (state.added.get(key) ?? 0) + event.seconds);
      if (state.plan) state.segments = segmentsWith(state.plan, state.added);
      return;
    }
    case 'swapped':
      if (!state.swapped.delete(event.block)) state.swapped.add(event.block);
      return;
    case 'planTaken':
      if (state.begun) changePlan(state, event.plan);
      return;
    case 'ended': {
      if (!state.begun || state.ended) return;
      const block = blockAt(state, state.place.index);
      if (block !== undefined) endStay(state, block, state.until);
      state.ended = true;
      state.running = false;
      miss(state, state.until);
      return;
    }
    case 'clockWentBack':
      return;
  }
}

function takePlan(state: Writable, plan: ClassPlan): void {
  state.plan = plan;
  state.segments = segmentsWith(plan, state.added);
}

/** Goes on with another plan: in the block that is on where that has it, else in the next one that is left of the old. */
function changePlan(state: Writable, plan: ClassPlan): void {
  const old = state.plan!;
  const { index, into } = state.place;
  const segment = state.segments[index];
  const before = blockAt(state, index);
  const stretch = segment ? index - state.segments.findIndex((other) => other.block === segment.block) : 0;
  takePlan(state, plan);
  if (!segment || before === undefined) {
    state.place = { index: state.segments.length, into: 0 };
    return;
  }
  const kept = (id: string) => plan.blocks.some((block) => block.id === id);
  const next = old.blocks.slice(segment.block).find(({ id }) => kept(id))?.id;
  if (next === undefined) {
    endStay(state, before, state.until);
    state.place = { index: state.segments.length, into: 0 };
    miss(state, state.until);
  } else if (next === before) {
    const place = stretchOf(state, next, stretch)!;
    state.place = { index: place, into: Math.min(into, state.segments[place]!.seconds) };
  } else {
    endStay(state, before, state.until);
    state.place = { index: stretchOf(state, next, 0)!, into: 0 };
  }
}

/** The place of a stretch of a block among all; its last one where it has not so many. */
function stretchOf({ plan, segments }: Writable, block: string, stretch: number): number | undefined {
  const number = plan?.blocks.findIndex(({ id }) => id === block) ?? -1;
  const own = segments.flatMap((segment, index) => (segment.block === number ? [index] : []));
  return own[Math.min(stretch, own.length - 1)];
}

/** The stretches of a plan with the time that was added to them. */
function segmentsWith(plan: ClassPlan, added: ReadonlyMap<string, number>): Segment[] {
  const counts = new Map<number, number>();
  return matRun(plan).map((segment) => {
    const stretch = counts.get(segment.block) ?? 0;
    counts.set(segment.block, stretch + 1);
    const more = added.get(`${plan.blocks[segment.block]!.id} ${stretch}`);
    return more ? { ...segment, seconds: segment.seconds + more } : segment;
  });
}

/** Seconds into the whole of a run; below nothing it is counted down to the start. */
export const clockOf = ({ now, countdown, segments, begun }: RunState): number => {
  if (countdown > 0) return -countdown;
  if (now) return segmentStart(segments, now.index) + now.into;
  return begun ? segmentStart(segments, segments.length) : 0;
};

/** The block and the stretch of it that a segment is, for the events that name a place. */
export function placeOf(
  { plan, segments }: Pick<RunState, 'plan' | 'segments'>,
  index: number,
): { block: string; stretch: number } {
  const { block } = segments[index]!;
  const first = segments.findIndex((segment) => segment.block === block);
  return { block: plan!.blocks[block]!.id, stretch: index - first };
}
