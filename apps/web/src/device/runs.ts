import { type RunEvent, RunEventSchema } from '@aftersquall/core/run';
import { asideOf } from './aside.ts';
import type { Db } from './db.ts';
import { UNREADABLE } from './documents.ts';

/** Runs of classes on this device, as events. */
export interface KeptRuns {
  /** Done when it is on disk. */
  append(classId: string, event: RunEvent): Promise<void>;
  /** The events of the run of a class that was begun last, in order. What cannot be read any more is put aside. */
  latest(classId: string): Promise<RunEvent[]>;
  /** Lets go of runs that began before a time, milliseconds since 1970: their records are on the server. */
  forgetBefore(at: number): Promise<void>;
}

export function keptRuns(db: Db): KeptRuns {
  return {
    async append(classId, event) {
      await db.write(['runs'], (store) => void store('runs').add({ class: classId, event }));
      db.tell({ store: 'runs', key: classId });
    },
    async latest(classId) {
      const kept = await db.inTurn(async (database) => {
        const index = database.transaction('runs').store.index('class');
        const [rows, keys] = await Promise.all([index.getAll(classId), index.getAllKeys(classId)]);
        return rows.map((row, i) => ({ ...row, at: keys[i]! }));
      });
      const bad = kept.filter(({ event }) => !RunEventSchema.safeParse(event).success);
      for (const { at, event } of bad)
        await db.write(['runs', 'aside'], (store) => {
          void store('runs').delete(at);
          void store('aside').put(asideOf('run', `a record of the class “${classId}”`, UNREADABLE, event));
        });
      const events = kept.filter((row) => !bad.includes(row)).map(({ event }) => event);
      const last = events.at(-1)?.run;
      return events.filter(({ run }) => run === last);
    },
    forgetBefore: (at) =>
      db.write(['runs'], async (store) => {
        for (let row = await store('runs').openCursor(); row; row = await row.continue())
          if (row.value.event.at < at) void row.delete();
      }),
  };
}
