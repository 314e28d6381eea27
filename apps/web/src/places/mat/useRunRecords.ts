import type { GuardMap, PracticeRecord } from '@aftersquall/core';
import { useEffect } from 'react';
import { deviceName, newRecord } from '../../store/records/newRecord.ts';
import { keepRecords } from '../../store/records/records.ts';
import { blockRecords, ranOf } from './blockRecords.ts';
import type { Run } from './useRun.ts';

/**
 * Records a run while it runs: that it began, each block as it is left, and all of them at the end, those that were never
 * reached too. A block that is gone back to is recorded anew, and the record before it taken back.
 */
export function useRunRecords(map: GuardMap | undefined, run: Run): void {
  const { plan } = run;
  const { kept, begun, now, segments } = run;
  const over = begun && now === undefined;
  const current = now && segments[now.index]!.block;

  useEffect(() => {
    if (!begun) return;
    const { session, date, here, hereTold } = kept;
    const at = { map: plan.map, session, date };
    // The same however often the screen is opened: known by its session and by how often it was said who is here.
    const keyOf = (told: number) => `begun-${session}-${told}`;
    const before = hereTold > 0 ? keyOf(hereTold - 1) : undefined;
    void keepRecords([
      ...(before ? [newRecord(at, { kind: 'void', key: `no-${before}`, voids: before })] : []),
      newRecord(at, {
        kind: 'session',
        key: keyOf(hereTold),
        name: plan.name,
        class: plan.id,
        people: here.length || plan.people,
        minutes: plan.minutes,
        athletes: here,
        device: deviceName(),
      }),
    ]);
    // Once for each run, and when others are here.
  }, [begun, kept.session, kept.hereTold]);

  useEffect(() => {
    if (!begun) return;
    const ran = ranOf(run);
    const records: PracticeRecord[] = [];
    const recorded = { ...kept.recorded };
    for (const number of plan.blocks.keys()) {
      const seconds = ran.get(number) ?? 0;
      if (number === current || recorded[number]?.seconds === seconds) continue;
      if (seconds === 0 && !over) continue;
      const made = blockRecords(plan, map, kept, number, seconds);
      records.push(...made);
      recorded[number] = { seconds, key: made.at(-1)!.key };
    }
    if (records.length === 0) return;
    void keepRecords(records);
    run.change({ recorded });
    // As blocks are left, and at the end.
  }, [current, over, begun]);
}
