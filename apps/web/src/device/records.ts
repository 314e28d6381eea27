import { type PracticeRecord, PracticeRecordSchema } from '@aftersquall/core/model';
import { asideOf } from './aside.ts';
import type { Db } from './db.ts';
import { UNREADABLE } from './documents.ts';

/** Records on their way, kept on the device until the server has confirmed them. */
export interface KeptRecords {
  /** Done when they are on disk. One that this device recorded before is left as it is. Gives those that are new. */
  keep(records: readonly PracticeRecord[]): Promise<PracticeRecord[]>;
  /** What waits, the oldest first. What cannot be read any more is put aside. */
  waiting(): Promise<PracticeRecord[]>;
  confirm(keys: readonly string[]): Promise<void>;
  putAside(record: PracticeRecord, why: string): Promise<void>;
  /** Lets a record that was put aside wait again, as it is. */
  takeUp(record: PracticeRecord): Promise<void>;
  ofSession(session: string): Promise<PracticeRecord[]>;
  /** Lets go of what was recorded before a day and has reached the server: it is there. */
  forgetBefore(date: string): Promise<void>;
}

export function keptRecords(db: Db): KeptRecords {
  return {
    async keep(records) {
      const fresh: PracticeRecord[] = [];
      await db.write(['waiting', 'recorded'], async (store) => {
        fresh.length = 0;
        for (const record of records) {
          if ((await store('recorded').getKey(record.key)) !== undefined) continue;
          fresh.push(record);
          void store('waiting').put(record);
          void store('recorded').put(record);
        }
      });
      for (const session of new Set(fresh.map((record) => record.session)))
        db.tell({ store: 'recorded', key: session });
      return fresh;
    },
    async waiting() {
      const kept = await db.inTurn((database) => database.getAll('waiting'));
      const bad = kept.filter((record) => !PracticeRecordSchema.safeParse(record).success);
      for (const record of bad)
        await db.write(['waiting', 'aside'], (store) => {
          void store('waiting').delete(record.key);
          void store('aside').put(asideOf('record', titleOf(record), UNREADABLE, record));
        });
      return kept
        .filter((record) => !bad.includes(record))
        .sort((a, b) => (a.at < b.at ? -1 : Number(a.at > b.at)));
    },
    confirm: (keys) =>
      db.write(['waiting'], (store) => {
        for (const key of keys) void store('waiting').delete(key);
      }),
    async putAside(record, why) {
      await db.write(['waiting', 'aside'], (store) => {
        void store('waiting').delete(record.key);
        void store('aside').put(asideOf('record', titleOf(record), why, record));
      });
      db.tell({ store: 'aside', key: record.key });
    },
    async takeUp(record) {
      await db.write(['waiting', 'aside'], (store) => {
        void store('waiting').put(record);
        void store('aside').delete(record.key);
      });
      db.tell({ store: 'aside', key: record.key });
    },
    ofSession: (session) => db.inTurn((database) => database.getAllFromIndex('recorded', 'session', session)),
    forgetBefore: (date) =>
      db.write(['waiting', 'recorded'], async (store) => {
        const waiting = new Set(await store('waiting').getAllKeys());
        for (const record of await store('recorded').getAll())
          if (record.date < date && !waiting.has(record.key)) void store('recorded').delete(record.key);
      }),
  };
}

/** A record in words, for what is put aside: its kind and its day. */
function titleOf(record: PracticeRecord): string {
  const { name, title, move, fault, text } = record as Partial<Record<string, string>>;
  return `${record.kind ?? 'record'} “${name ?? title ?? move ?? fault ?? text ?? record.key}” of ${record.date}`;
}
