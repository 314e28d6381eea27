import { addressKey, type DocumentAddress } from '@aftersquall/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Waiting } from './session.ts';

/** A waiting change as it is kept on the device, with the order in which it was made. */
interface Kept extends Waiting {
  address: string;
  order: number;
}

interface OutboxSchema extends DBSchema {
  changes: { key: string; value: Kept; indexes: { address: string } };
}

/** Changes on their way, kept on the device until the server has confirmed them. */
export interface Outbox {
  /** Done when it is on disk. */
  put(address: DocumentAddress, change: Waiting): Promise<void>;
  remove(key: string): Promise<void>;
  /** What waits for a document, in the order in which it was made. */
  list(address: DocumentAddress): Promise<Waiting[]>;
}

/** An outbox in IndexedDB: it survives a closed tab and a dead battery, and all tabs share it. */
export function createOutbox(name = 'aftersquall'): Outbox {
  let opened: Promise<IDBPDatabase<OutboxSchema>> | undefined;
  let last = 0;
  /** One after the other: what is put and confirmed at once must not be left behind. */
  let turn: Promise<unknown> = Promise.resolve();
  function inTurn<T>(work: (database: IDBPDatabase<OutboxSchema>) => Promise<T>): Promise<T> {
    opened ??= openDB<OutboxSchema>(name, 1, {
      upgrade(database) {
        database.createObjectStore('changes', { keyPath: 'key' }).createIndex('address', 'address');
      },
    });
    const database = opened;
    const next = turn.then(async () => work(await database));
    turn = next.catch(() => undefined);
    return next;
  }
  return {
    put(address, change) {
      // Taken at once, so that changes keep the order in which they were made.
      last = Math.max(last + 1, Date.now() * 1000);
      const order = last;
      return inTurn(async (database) => {
        // Strict: done when it is on disk, not when the system has promised to write it.
        const writing = database.transaction('changes', 'readwrite', { durability: 'strict' });
        const before = await writing.store.get(change.key);
        const place = { address: addressKey(address), order: before?.order ?? order };
        await writing.store.put({ ...change, ...place, kept: true });
        await writing.done;
      });
    },
    remove: (key) => inTurn((database) => database.delete('changes', key)),
    list: (address) =>
      inTurn(async (database) => {
        const kept = await database.getAllFromIndex('changes', 'address', addressKey(address));
        return kept.sort((a, b) => a.order - b.order).map(({ address: _, order: __, ...change }) => change);
      }),
  };
}
