import type { Db, Draft } from './db.ts';

/** Small values that are read at once: settings, and what is being typed. Read into memory when the program starts. */
export interface Cells {
  /** Reads everything; called once before the first screen. */
  read(): Promise<void>;
  setting<T>(key: string): T | undefined;
  /** Patches one setting, and leaves all others to whoever sets them. */
  keepSetting(key: string, value: unknown): void;
  /** Hears of settings that other tabs patched. */
  hearSettings(listener: (key: string, value: unknown) => void): () => void;
  draft(key: string): Draft | undefined;
  /** Keeps what is being typed; nothing: it was saved or given up. */
  keepDraft(key: string, draft: Draft | undefined): void;
}

export function cells(db: Db): Cells {
  const settings = new Map<string, unknown>();
  const drafts = new Map<string, Draft>();
  /** Drafts that changed since they were written. Of fast typing only the latest text is written: a queue of all would lag. */
  const unwritten = new Set<string>();
  let writing = false;
  async function writeDrafts(): Promise<void> {
    if (writing) return;
    writing = true;
    while (unwritten.size > 0) {
      const keys = [...unwritten];
      unwritten.clear();
      await db
        .write(['drafts'], (store) => {
          for (const key of keys) {
            const draft = drafts.get(key);
            void (draft ? store('drafts').put(draft, key) : store('drafts').delete(key));
          }
        })
        .catch(() => undefined);
    }
    writing = false;
  }
  return {
    async read() {
      await db.inTurn(async (database) => {
        const reading = database.transaction(['settings', 'drafts']);
        const [names, values, fields, texts] = await Promise.all([
          reading.objectStore('settings').getAllKeys(),
          reading.objectStore('settings').getAll(),
          reading.objectStore('drafts').getAllKeys(),
          reading.objectStore('drafts').getAll(),
        ]);
        for (const [i, name] of names.entries()) settings.set(name, values[i]);
        for (const [i, field] of fields.entries()) drafts.set(field, texts[i]!);
      });
    },
    setting: <T>(key: string) => settings.get(key) as T | undefined,
    keepSetting(key, value) {
      settings.set(key, value);
      void db
        .write(['settings'], (store) =>
          value === undefined ? void store('settings').delete(key) : void store('settings').put(value, key),
        )
        .then(() => db.tell({ store: 'settings', key }))
        .catch(() => undefined);
    },
    hearSettings: (listener) =>
      db.hear((news) => {
        if (news.store !== 'settings') return;
        void db
          .inTurn((database) => database.get('settings', news.key))
          .then((value) => {
            settings.set(news.key, value);
            listener(news.key, value);
          })
          .catch(() => undefined);
      }),
    draft: (key) => drafts.get(key),
    keepDraft(key, draft) {
      if (draft) drafts.set(key, draft);
      else if (!drafts.delete(key)) return;
      unwritten.add(key);
      void writeDrafts();
    },
  };
}
