import { nanoid } from 'nanoid';
import type { Aside, Db } from './db.ts';

/** Something put aside now. */
export const asideOf = (
  what: Aside['what'],
  title: string,
  why: string,
  item: unknown,
  address?: string,
): Aside => ({
  key: (item as Partial<{ key: string; id: string }>).key ?? nanoid(16),
  what,
  title,
  why,
  at: Date.now(),
  item,
  ...(address && { address }),
});

/** What the server does not take or the program cannot read: shown, exported, tried again or removed by the coach. */
export interface KeptAside {
  all(): Promise<Aside[]>;
  remove(key: string): Promise<void>;
}

export function keptAside(db: Db): KeptAside {
  return {
    all: async () => (await db.inTurn((database) => database.getAll('aside'))).sort((a, b) => a.at - b.at),
    async remove(key) {
      await db.write(['aside'], (store) => void store('aside').delete(key));
      db.tell({ store: 'aside', key });
    },
  };
}
