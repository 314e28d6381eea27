import type { PracticeRecord } from '@aftersquall/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

interface Schema extends DBSchema {
  /** On their way to the server. */
  waiting: { key: string; value: PracticeRecord };
  /** All that this device has recorded, so that a class shows its own counts without the server. */
  own: { key: string; value: PracticeRecord; indexes: { session: string } };
}

/** Records on their way, kept on the device until the server has confirmed them. */
export interface RecordOutbox {
  /** Done when they are on disk. */
  put(records: readonly PracticeRecord[]): Promise<void>;
  waiting(): Promise<PracticeRecord[]>;
  confirm(keys: readonly string[]): Promise<void>;
  ofSession(session: string): Promise<PracticeRecord[]>;
  /** Lets go of what was recorded before a day and has reached the server: it is there. */
  forgetBefore(date: string): Promise<void>;
}

/** An outbox in IndexedDB: it survives a closed tab and a dead battery, and all tabs share it. */
export function createRecordOutbox(name = 'aftersquall-records'): RecordOutbox {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const database = () => {
    opened ??= openDB<Schema>(name, 1, {
      upgrade(created) {
        created.createObjectStore('waiting', { keyPath: 'key' });
        created.createObjectStore('own', { keyPath: 'key' }).createIndex('session', 'session');
      },
    });
    return opened;
  };
  return {
    async put(records) {
      // Strict: done when it is on disk, not when the system has promised to write it.
      const writing = (await database()).transaction(['waiting', 'own'], 'readwrite', {
        durability: 'strict',
      });
      for (const record of records) {
        void writing.objectStore('waiting').put(record);
        void writing.objectStore('own').put(record);
      }
      await writing.done;
    },
    waiting: async () => (await database()).getAll('waiting'),
    async confirm(keys) {
      const writing = (await database()).transaction('waiting', 'readwrite');
      for (const key of keys) void writing.store.delete(key);
      await writing.done;
    },
    async forgetBefore(date) {
      const writing = (await database()).transaction(['waiting', 'own'], 'readwrite');
      const waiting = new Set(await writing.objectStore('waiting').getAllKeys());
      for (const record of await writing.objectStore('own').getAll())
        if (record.date < date && !waiting.has(record.key))
          void writing.objectStore('own').delete(record.key);
      await writing.done;
    },
    ofSession: async (session) => (await database()).getAllFromIndex('own', 'session', session),
  };
}
