import {
  addressKey,
  type DocumentAddress,
  DocumentSchema,
  type DocumentSummary,
} from '@aftersquall/core/contract';
import {
  type AnyDocument,
  applyCommand,
  CommandSchema,
  type DocumentKindName,
  type MadeChange,
} from '@aftersquall/core/documents';
import { z } from 'zod';
import { asideOf } from './aside.ts';
import type { Db, KeptChange, Snapshot, Waiting } from './db.ts';
import { say } from './words.ts';

/** Of this build, from the bundler; in tests there is one build. */
declare const __BUILD__: string | undefined;
const BUILD = typeof __BUILD__ === 'undefined' ? 'test' : __BUILD__;

/** A waiting change as this program can use it. */
const FieldSchema = z.object({ kind: z.string(), id: z.string(), path: z.array(z.string()) });
const KeptChangeSchema = z.looseObject({
  key: z.string(),
  address: z.string(),
  order: z.number(),
  commands: z.array(CommandSchema).min(1),
  who: z.string(),
  what: z.string(),
  base: z.number(),
  fields: z.array(FieldSchema),
});

/** Documents on this device: what the server had last, and the changes that wait for it. */
export interface KeptDocuments {
  /** The document as it was last confirmed; undefined where it was never opened here, or another build cannot read it. */
  snapshot(address: DocumentAddress): Promise<Snapshot | undefined>;
  /** Keeps a document whole, as the server gave it. */
  keepSnapshot(address: DocumentAddress, state: Omit<Snapshot, 'address' | 'build'>): Promise<void>;
  /** Keeps what the server made next of a document, and lets go of the changes that it has in the same transaction. */
  confirm(address: DocumentAddress, made: readonly MadeChange[], keys: readonly string[]): Promise<void>;
  /** Forgets a document that the server does not have any more. Changes that wait for it stay. */
  forget(address: DocumentAddress): Promise<void>;
  /** Done when the change is on disk. */
  keepChange(address: DocumentAddress, change: Waiting): Promise<void>;
  dropChange(address: DocumentAddress, key: string): Promise<void>;
  /** Puts a waiting change aside, in one transaction. */
  putAside(address: DocumentAddress, change: Waiting, why: string): Promise<void>;
  /** What waits for a document, in the order in which it was made. What cannot be read any more is put aside. */
  waiting(address: DocumentAddress): Promise<Waiting[]>;
  list(kind: DocumentKindName): Promise<readonly DocumentSummary[] | undefined>;
  keepList(kind: DocumentKindName, documents: readonly DocumentSummary[]): Promise<void>;
}

/** A snapshot that more changes lie behind is written anew when it is opened. */
const MOST_LATER = 100;

/** What was made of a document after a revision. */
const laterThan = (key: string, revision: number): IDBKeyRange =>
  IDBKeyRange.bound([key, revision], [key, Number.MAX_SAFE_INTEGER], true);

/** A document with what was made of it after its snapshot, as far as that goes on without a gap. */
function withLater(
  document: AnyDocument,
  revision: number,
  later: readonly { revision: number; made: MadeChange }[],
): { document: AnyDocument; revision: number } | undefined {
  let current = { document, revision };
  try {
    for (const { revision: next, made } of later) {
      if (next <= current.revision) continue;
      if (next !== current.revision + 1) break;
      current = { document: applyCommand(current.document, made.command).document, revision: next };
    }
  } catch {
    // Another build made it, or the disk is at fault: the server has the document.
    return undefined;
  }
  return current;
}

export function keptDocuments(db: Db): KeptDocuments {
  let last = 0;
  const tell = (address: DocumentAddress) => db.tell({ store: 'changes', key: addressKey(address) });
  return {
    async snapshot(address) {
      const key = addressKey(address);
      const [kept, later] = await db.inTurn((database) =>
        Promise.all([database.get('snapshots', key), database.getAll('later', laterThan(key, 0))]),
      );
      if (!kept) return undefined;
      const read = kept.build === BUILD ? kept.document : DocumentSchema.safeParse(kept.document).data;
      const document = read && withLater(read, kept.revision, later);
      if (!document) return undefined;
      if (later.length > MOST_LATER || kept.build !== BUILD)
        void this.keepSnapshot(address, { ...document, born: kept.born }).catch(() => undefined);
      return { ...kept, ...document };
    },
    keepSnapshot: (address, state) =>
      db.write(['snapshots', 'later'], async (store) => {
        const key = addressKey(address);
        // Another tab may be ahead of this one.
        const before = await store('snapshots').get(key);
        const last = await store('later').openKeyCursor(laterThan(key, 0), 'prev');
        const known = Math.max(before?.revision ?? 0, (last?.key[1] as number | undefined) ?? 0);
        if (before?.born === state.born && known > state.revision) return;
        void store('snapshots').put({ ...state, address: key, build: BUILD });
        void store('later').delete(laterThan(key, 0));
      }),
    async confirm(address, made, keys) {
      const key = addressKey(address);
      await db.write(['changes', 'later'], (store) => {
        for (const change of keys) void store('changes').delete(change);
        for (const one of made) void store('later').put({ address: key, revision: one.revision, made: one });
      });
      if (keys.length > 0) tell(address);
    },
    forget: (address) =>
      db.write(['snapshots', 'later'], (store) => {
        void store('snapshots').delete(addressKey(address));
        void store('later').delete(laterThan(addressKey(address), 0));
      }),
    async keepChange(address, change) {
      // Taken at once, so that changes keep the order in which they were made.
      last = Math.max(last + 1, Date.now() * 1000);
      const order = last;
      await db.write(['changes'], async (store) => {
        const before = await store('changes').get(change.key);
        const place = { address: addressKey(address), order: before?.order ?? order };
        void store('changes').put({ ...change, ...place, kept: true });
      });
      tell(address);
    },
    async dropChange(address, key) {
      await db.write(['changes'], (store) => void store('changes').delete(key));
      tell(address);
    },
    async putAside(address, change, why) {
      await db.write(['changes', 'aside'], (store) => {
        void store('changes').delete(change.key);
        void store('aside').put(asideOf('change', change.what, why, change, addressKey(address)));
      });
      tell(address);
      db.tell({ store: 'aside', key: change.key });
    },
    async waiting(address) {
      const kept = await db.inTurn((database) =>
        database.getAllFromIndex('changes', 'address', addressKey(address)),
      );
      const bad = kept.filter((change) => !KeptChangeSchema.safeParse(change).success);
      for (const change of bad)
        await db.write(['changes', 'aside'], (store) => {
          void store('changes').delete(change.key);
          void store('aside').put(
            asideOf('change', String(change.what ?? 'a change'), UNREADABLE, change, addressKey(address)),
          );
        });
      return kept
        .filter((change) => !bad.includes(change))
        .sort((a, b) => a.order - b.order)
        .map(({ address: _, order: __, ...change }: KeptChange) => change);
    },
    list: (kind) => db.inTurn((database) => database.get('lists', kind)),
    keepList: (kind, documents) => db.write(['lists'], (store) => void store('lists').put(documents, kind)),
  };
}

export const UNREADABLE = say.anotherVersionProgramWrote;
