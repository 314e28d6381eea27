import { type GuardMap } from '@aftersquall/core/model';
import { runRecords } from '@aftersquall/core/run';
import { useEffect, useRef } from 'react';
import { device } from '../../device/device.ts';
import { keepRecords } from '../../store/records/records.ts';
import { dayOf } from './dayOf.ts';
import type { Run } from './useRun.ts';

/**
 * Records a run while it runs. The records follow from its events, and so do their keys: asked again, or by another tab,
 * it is the same records, and the device keeps each once.
 */
export function useRunRecords(map: GuardMap | undefined, run: Run | undefined): void {
  const made = useRef(new Set<string>());
  const events = run?.events;
  // The list changes when something happens, and when a block ends by itself.
  const stays = run ? [...run.state.stays.values()].reduce((sum, { count }) => sum + count, 0) : 0;
  const over = run?.state.over;
  // biome-ignore lint/correctness/useExhaustiveDependencies: records follow from the events; a block that ends by itself is told by its stay and by the end
  useEffect(() => {
    if (!events?.[0]) return;
    const all = runRecords(events, Date.now(), {
      date: dayOf({ events }),
      device: device.name(),
      map,
    });
    const fresh = all.filter(({ key }) => !made.current.has(key));
    if (fresh.length === 0) return;
    for (const { key } of fresh) made.current.add(key);
    void keepRecords(fresh);
  }, [events, stays, over, map]);
}
