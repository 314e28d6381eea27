import { answerName } from '../body/answerName.ts';
import { matRun } from '../lesson/blocks/matRun.ts';
import { blockName, isDrilled } from '../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../model/classPlan.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { type PracticeRecord, PracticeRecordSchema } from '../model/practiceRecord.ts';
import type { RunEvent } from './runEvent.ts';
import { type RunState, runState } from './runState.ts';

/** This share of a block has to have run for it to count as reached. */
const REACHED = 0.25;

/** Whether enough of a block ran. Both in seconds. */
export const wasReached = (planned: number, ran: number): boolean => ran > 0 && ran >= REACHED * planned;

/** Seconds that a class plans for each block, by its id. */
export function plannedSeconds(plan: ClassPlan): Map<string, number> {
  const planned = new Map(plan.blocks.map(({ id }) => [id, 0]));
  for (const { block, seconds } of matRun(plan)) {
    const { id } = plan.blocks[block]!;
    planned.set(id, planned.get(id)! + seconds);
  }
  return planned;
}

/** What a run is recorded with beside its events. */
export interface RunOf {
  /** The day of the class by the club's clock. */
  date: string;
  device: string;
  /** The map of the class, for the words of its answers; the class's own words where it is not at hand. */
  map: GuardMap | undefined;
}

/**
 * The records that a run has earned so far: that it began and who came, each block that was left, and once it is over
 * those that never ran. Keys follow from the run alone, so the same run makes the same records however often it is
 * asked, on whatever screen. A block that was gone back to voids what was recorded of it before.
 */
export function runRecords(events: readonly RunEvent[], now: number, of: RunOf): PracticeRecord[] {
  const start = events.findIndex((event) => event.do === 'started');
  if (start < 0) return [];
  const state = runState(events, now);
  const records: PracticeRecord[] = [begun(events, start, of)];
  const context = { session: events[0]!.run, map: state.plan!.map, date: of.date };
  for (const event of events.slice(start + 1))
    if (event.do === 'attended')
      records.push(
        PracticeRecordSchema.parse({
          ...context,
          kind: 'attended',
          key: event.id,
          at: new Date(event.at).toISOString(),
          athlete: event.athlete,
          there: event.there,
        }),
      );
  for (const block of state.plan!.blocks) records.push(...recordsOfBlock(state, block.id, context, of.map));
  return records;
}

/** The class began, with those who were here by then. */
function begun(events: readonly RunEvent[], start: number, { date, device }: RunOf): PracticeRecord {
  const started = events[start] as Extract<RunEvent, { do: 'started' }>;
  const { here } = runState(events.slice(0, start + 1), started.at);
  const { plan, run, at } = started;
  return PracticeRecordSchema.parse({
    kind: 'session',
    key: `${run}-begun`,
    at: new Date(at).toISOString(),
    date,
    map: plan.map,
    session: run,
    name: plan.name,
    class: plan.id,
    people: here.length || plan.people,
    minutes: plan.minutes,
    athletes: here,
    device,
  });
}

interface Context {
  session: string;
  map: string;
  date: string;
}

function recordsOfBlock(
  state: RunState,
  id: string,
  context: Context,
  map: GuardMap | undefined,
): PracticeRecord[] {
  const stay = state.stays.get(id);
  const missed = state.missed.get(id);
  const number = state.plan!.blocks.findIndex((block) => block.id === id);
  // An id may be longer than a key allows.
  const keyOf = (count: number) => `${context.session}-${hash(id)}-${count}`;
  const voided = (count: number, at: number): PracticeRecord =>
    PracticeRecordSchema.parse({
      ...context,
      kind: 'void',
      key: `no-${keyOf(count)}`,
      at: new Date(at).toISOString(),
      voids: keyOf(count),
    });
  const count = stay?.count ?? 0;
  const earlier = Array.from({ length: count }, (_, i) => i).filter((i) => i > 0 || missed !== undefined);
  const until = stay?.until ?? missed;
  if (until === undefined) return [];
  return [
    ...earlier.map((i) => voided(i, until)),
    blockRecord(state.plan!, number, stay?.ran ?? 0, {
      ...context,
      key: keyOf(count),
      at: new Date(until).toISOString(),
      guards: map,
    }),
  ];
}

function blockRecord(
  plan: ClassPlan,
  number: number,
  seconds: number,
  { guards, ...context }: Context & { key: string; at: string; guards: GuardMap | undefined },
): PracticeRecord {
  const block = plan.blocks[number]!;
  const planned = plannedSeconds(plan).get(block.id)!;
  const ran = Math.round(seconds * 1000) / 1000;
  const reached = wasReached(planned, ran);
  const index = guards && indexMap(guards);
  const links = 'links' in block ? block.links : [];
  return PracticeRecordSchema.parse({
    ...context,
    kind: 'block',
    block: block.id,
    title: block.title,
    what: blockName(block.kind),
    planned,
    ran,
    reached,
    // As many as there was time for.
    reps: reached && isDrilled(block) ? Math.round(block.reps * block.sides * Math.min(1, ran / planned)) : 0,
    // What failed on the way was not done.
    exchanges: links.flatMap(({ exchange, move, meets, fails }) => {
      if (fails) return [];
      const known = guards && index?.exchange.get(exchange);
      return known ? { exchange, ...answerName(guards, known) } : { exchange, position: '', move, meets };
    }),
  });
}

/** Seven letters and digits for an id of any length (FNV-1a, 32 bits). */
function hash(id: string): string {
  let value = 0x811c9dc5;
  for (const letter of id) value = Math.imul(value ^ letter.codePointAt(0)!, 0x01000193) >>> 0;
  return value.toString(36).padStart(7, '0');
}
