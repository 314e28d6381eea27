import {
  answerName,
  blockName,
  type ClassPlan,
  type GuardMap,
  indexMap,
  isDrilled,
  matRun,
  type PracticeRecord,
  ranBlocks,
} from '@aftersquall/core';
import { newRecord } from '../../store/records/newRecord.ts';
import type { KeptRun, Run } from './useRun.ts';

/** This share of a block has to have run for it to count as reached. */
const REACHED = 0.25;

/** How long each block ran, by its number: seconds, to the millisecond. */
export function ranOf(run: Pick<Run, 'segments' | 'kept'>): Map<number, number> {
  const ran = ranBlocks(run.segments, run.kept.marks, Date.now());
  return new Map([...ran].map(([block, seconds]) => [block, Math.round(seconds * 1000) / 1000]));
}

/** Whether enough of a block ran. */
export const wasReached = (planned: number, ran: number): boolean => ran > 0 && ran >= REACHED * planned;

/** Seconds that the class plans for each block. */
export function plannedOf(plan: ClassPlan): number[] {
  const planned = plan.blocks.map(() => 0);
  for (const { block, seconds } of matRun(plan)) planned[block] = planned[block]! + seconds;
  return planned;
}

/** One block as it ran; the record before it, if there is one, is taken back. */
export function blockRecords(
  plan: ClassPlan,
  map: GuardMap | undefined,
  kept: KeptRun,
  number: number,
  ran: number,
): PracticeRecord[] {
  const block = plan.blocks[number]!;
  const planned = plannedOf(plan)[number]!;
  const reached = wasReached(planned, ran);
  const index = map && indexMap(map);
  const exchanges = 'links' in block ? block.links : [];
  const at = { map: plan.map, session: kept.session, date: kept.date };
  const before = kept.recorded[number];
  return [
    // Keys that say what they are: made twice, it is the same record.
    ...(before ? [newRecord(at, { kind: 'void', key: `no-${before.key}`, voids: before.key })] : []),
    newRecord(at, {
      kind: 'block',
      key: `${kept.session}-b${number}-${Math.round(ran * 1000)}`,
      block: block.id,
      title: block.title,
      what: blockName(block.kind),
      planned,
      ran,
      reached,
      // As many as there was time for.
      reps:
        reached && isDrilled(block) ? Math.round(block.reps * block.sides * Math.min(1, ran / planned)) : 0,
      exchanges: exchanges.map(({ exchange, move, meets }) => {
        const known = map && index?.exchange.get(exchange);
        return known ? { exchange, ...answerName(map, known) } : { exchange, position: '', move, meets };
      }),
    }),
  ];
}
