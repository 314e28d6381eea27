import type { DocumentSummary } from '@aftersquall/core/contract';
import type { AnyDocument, Command, DocumentKindName, Field, MadeChange } from '@aftersquall/core/documents';
import type { PoseRecord, PracticeRecord } from '@aftersquall/core/model';
import type { PosePicture } from '@aftersquall/core/pose';
import type { RunEvent } from '@aftersquall/core/run';
import { type DBSchema, type IDBPDatabase, type IDBPObjectStore, openDB, type StoreNames } from 'idb';

/** A document as the server had it last, so that it opens without the server. */
export interface Snapshot {
  /** `map/kelpwick` */
  address: string;
  revision: number;
  born: string;
  document: AnyDocument;
  /** The build that wrote it: another build reads it through the schema first. */
  build: string;
}

/** A change that the server has not confirmed yet. */
export interface Waiting {
  /** Made by this device, once for the change: see `changeKey`. */
  key: string;
  commands: Command[];
  who: string;
  /** What it does, in words. */
  what: string;
  /** The revision of the document on which it was made. */
  base: number;
  /** What it touches. */
  fields: Field[];
  /** Whether it is on this device's disk, and so survives a closed tab. */
  kept?: boolean;
  /** Fields that others changed too, of which the coach has said, having seen their changes up to a revision, that ours stands. */
  answered?: (Field & { upTo: number })[];
}

/** Something that the program cannot use or the server does not take. It is kept until somebody removes it. */
export interface Aside {
  key: string;
  what: 'change' | 'record' | 'run';
  /** What it is, in words. */
  title: string;
  why: string;
  /** When it was put aside, milliseconds since 1970. */
  at: number;
  /** The document that a change belongs to. */
  address?: string;
  item: unknown;
}

/** What was typed and is not saved yet, with the saved text it began from. */
export interface Draft {
  text: string;
  from: string;
  at: number;
}

/** Everything that is kept on this device. Each store says who writes it and what goes when. */
export interface DeviceSchema extends DBSchema {
  /** By address: each document as it was kept whole last. Goes when the document is removed. */
  snapshots: { key: string; value: Snapshot };
  /**
   * By address and revision: what the server made of a document after its snapshot. One is written in the transaction that
   * lets go of the waiting change that it confirms. (A whole snapshot with every change took 60 ms of every keystroke.)
   */
  later: {
    key: [address: string, revision: number];
    value: { address: string; revision: number; made: MadeChange };
  };
  /** The list of documents of each kind as the server gave it last. */
  lists: { key: DocumentKindName; value: readonly DocumentSummary[] };
  /** Changes on their way, by key. One goes in the transaction that writes what the server made of it: see `later`. */
  changes: { key: string; value: KeptChange; indexes: { address: string } };
  /** Records on their way, by key. */
  waiting: { key: string; value: PracticeRecord };
  /** All that this device recorded in the last weeks, so that a class shows its own counts without the server. */
  recorded: { key: string; value: PracticeRecord; indexes: { session: string } };
  /** Events of runs in the order in which they happened. */
  runs: { key: number; value: { class: string; event: RunEvent }; indexes: { class: string } };
  aside: { key: string; value: Aside };
  settings: { key: string; value: unknown };
  drafts: { key: string; value: Draft };
  /** Poses and pictures, which can be computed again. */
  poses: { key: string; value: PoseRecord };
  pictures: { key: string; value: PosePicture };
}

/** A waiting change with the order in which it was made. */
export interface KeptChange extends Waiting {
  address: string;
  order: number;
}

export type Database = IDBPDatabase<DeviceSchema>;

/** A name of its own: an older tab that is still open would block an upgrade of the database it uses. */
export const DATABASE = 'aftersquall-device';
const VERSION = 1;

/**
 * Opens the one database of this device.
 * @param onLost called when the connection is gone: a newer program wants it, or the browser took it away
 */
export const openDatabase = (name: string, onLost: () => void = () => undefined): Promise<Database> =>
  openDB<DeviceSchema>(name, VERSION, {
    upgrade(database) {
      database.createObjectStore('snapshots', { keyPath: 'address' });
      database.createObjectStore('later', { keyPath: ['address', 'revision'] });
      database.createObjectStore('lists');
      database.createObjectStore('changes', { keyPath: 'key' }).createIndex('address', 'address');
      database.createObjectStore('waiting', { keyPath: 'key' });
      database.createObjectStore('recorded', { keyPath: 'key' }).createIndex('session', 'session');
      database.createObjectStore('runs', { autoIncrement: true }).createIndex('class', 'class');
      database.createObjectStore('aside', { keyPath: 'key' });
      database.createObjectStore('settings');
      database.createObjectStore('drafts');
      database.createObjectStore('poses');
      database.createObjectStore('pictures');
    },
    blocking(_, __, event) {
      // Another tab has a newer program, which waits for this connection to go.
      (event.target as IDBDatabase).close();
      onLost();
    },
    terminated: onLost,
  });

type StoreName = StoreNames<DeviceSchema>;

/** The database behind a queue: what is asked first is done first, so that what is kept and confirmed at once stays in order. */
export interface Db {
  /** False in a browser that refuses to keep anything: then it lasts as long as the page. */
  lasting: () => boolean;
  /** Runs work in its turn. */
  inTurn<T>(work: (database: Database) => Promise<T>): Promise<T>;
  /** Writes in one transaction, done when it is on disk. Where there is no room, what can be computed again makes some. */
  write(
    stores: StoreName[],
    work: (store: <S extends StoreName>(name: S) => WriteStore<S>) => unknown,
  ): Promise<void>;
  /** Tells the other tabs of this browser what changed. */
  tell(news: DeviceNews): void;
  /** Hears of what other tabs changed. Gives what ends it. */
  hear(listener: (news: DeviceNews) => void): () => void;
}

type WriteStore<S extends StoreName> = IDBPObjectStore<DeviceSchema, StoreName[], S, 'readwrite'>;

/** What changed on this device, for other tabs. */
type DeviceNews =
  | { store: 'changes'; key: string }
  | { store: 'runs'; key: string }
  | { store: 'recorded'; key: string }
  | { store: 'aside'; key: string }
  | { store: 'settings'; key: string };

/** The database of a device. Where the browser refuses one, memory takes its place until the page is closed. */
export function createDb(name: string = DATABASE): Db {
  let opened: Promise<Database> | undefined;
  let lasting = true;
  let turn: Promise<unknown> = Promise.resolve();
  const channel =
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(`${name}.device`);
  // In the tests of a server without a browser a channel would keep the process alive.
  (channel as unknown as { unref?: () => void } | undefined)?.unref?.();
  const listeners = new Set<(news: DeviceNews) => void>();
  channel?.addEventListener('message', ({ data }: MessageEvent<DeviceNews>) => {
    for (const listener of listeners) listener(data);
  });
  const onLost = () => {
    opened = undefined;
  };
  const open = (): Promise<Database> => {
    opened ??= (async () => openDatabase(name, onLost))().catch(async () => {
      lasting = false;
      // @ts-expect-error Its package does not say where its types are.
      await import('fake-indexeddb/auto');
      return openDatabase(`${name}.memory`, onLost);
    });
    return opened;
  };
  function inTurn<T>(work: (database: Database) => Promise<T>): Promise<T> {
    const next = turn.then(async () => work(await open()));
    turn = next.catch(() => undefined);
    return next;
  }
  const db: Db = {
    lasting: () => lasting,
    inTurn,
    write: (stores, work) =>
      inTurn(async (database) => {
        const attempt = async () => {
          // Strict: done when it is on disk, not when the system has promised to write it.
          const writing = database.transaction(stores, 'readwrite', { durability: 'strict' });
          try {
            await work((store) => writing.objectStore(store) as never);
            await writing.done;
          } catch (error) {
            await writing.done.catch(() => undefined);
            throw error;
          }
        };
        try {
          await attempt();
        } catch (error) {
          if ((error as DOMException).name !== 'QuotaExceededError') throw error;
          await database.clear('pictures');
          await database.clear('poses');
          await attempt();
        }
      }),
    tell(news) {
      channel?.postMessage(news);
      // The list of what is put aside is read by nobody who writes it.
      if (news.store === 'aside') for (const listener of listeners) listener(news);
    },
    hear(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
  return db;
}
