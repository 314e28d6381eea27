import type { ClassPlan, GuardMap, PracticeRecord } from '@aftersquall/core';
import { useEffect } from 'react';
import { deviceName, newRecord } from '../../store/records/newRecord.ts';
import { keepRecords } from '../../store/records/records.ts';
import { blockRecords, ranOf } from './blockRecords.ts';
import type { Run } from './useRun.ts';

/**
 * Records a run while it runs: that it began, each block as it is left, and all of them at the end, those that were never
 * reached too. A block that is gone back to is recorded anew, and the record before it taken back.
 */
export function useRunRecords(plan: ClassPlan, map: GuardMap | undefined, run: Run): void {
  const { kept, begun, now, segments } = run;
  const over = begun && now === undefined;
  const current = now && segments[now.index]!.block;

  useEffect(() => {
    if (!begun) return;
    const { session, date } = kept;
    void keepRecords([
      {
        ...newRecord(
          { map: plan.map, session, date },
          {
            kind: 'session',
            name: plan.name,
            class: plan.id,
            people: plan.people,
            minutes: plan.minutes,
            athletes: [],
            device: deviceName(),
          },
        ),
        // The same however often the screen is opened: known by its session.
        key: `begun-${session}`,
      },
    ]);
    // Once for each run.
  }, [begun, kept.session]);

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
