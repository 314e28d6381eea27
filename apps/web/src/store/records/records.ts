import { type PracticeRecord, ROUTES, standing } from '@aftersquall/core';
import { format, subWeeks } from 'date-fns';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { createRecordOutbox, type RecordOutbox } from './recordOutbox.ts';

/** So many go to the server at once. */
const AT_ONCE = 500;
const AGAIN_AFTER_MS = 5000;
/** So long a device shows its own records without the server. */
const KEPT_WEEKS = 8;

/** What is to be said of records on their way. */
export interface OnTheWay {
  waiting: number;
  /** Why the server refused some, which stay here; nothing while all is well. */
  refused: string;
}

/** Takes records to the server, in the order in which they were made, whenever it is there. */
export function createSender(outbox: RecordOutbox, post: (records: PracticeRecord[]) => Promise<Response>) {
  let state: OnTheWay = { waiting: 0, refused: '' };
  let running: Promise<void> | undefined;
  let again = false;
  const listeners = new Set<() => void>();
  const say = (next: Partial<OnTheWay>) => {
    state = { ...state, ...next };
    for (const listener of listeners) listener();
  };

  async function round(): Promise<void> {
    const all = (await outbox.waiting()).sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
    say({ waiting: all.length });
    for (let i = 0; i < all.length; i += AT_ONCE) {
      const some = all.slice(i, i + AT_ONCE);
      const answer = await post(some);
      if (!answer.ok) {
        // A refusal will not go away by asking again: it is said, and what is refused stays on the device.
        if (answer.status === 400) say({ refused: ((await answer.json()) as { message: string }).message });
        return;
      }
      await outbox.confirm(some.map(({ key }) => key));
      say({ waiting: all.length - i - some.length, refused: '' });
    }
  }

  /** Sends what waits; asked while it sends, it sends once more. */
  function send(): Promise<void> {
    again = true;
    running ??= (async () => {
      while (again) {
        again = false;
        await round().catch(() => undefined);
      }
      running = undefined;
    })();
    return running;
  }
  return {
    send,
    async keep(records: readonly PracticeRecord[]) {
      await outbox.put(records);
      say({ waiting: state.waiting + records.length });
      void send();
    },
    state: () => state,
    subscribe(listener: () => void) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

const outbox = createRecordOutbox();
const sender = createSender(outbox, (records) =>
  fetch(ROUTES.keepRecords.path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ records }),
  }),
);
/** What this screen recorded, for others that show the same session. */
const heard = new Set<() => void>();

/** Keeps facts of practice: on the device at once, on the server as soon as it is there. */
export async function keepRecords(records: readonly PracticeRecord[]): Promise<void> {
  await sender.keep(records);
  for (const listener of heard) listener();
}

/** Keeps them, and comes back once the server has them or is known not to be there. */
export async function keepAndSend(records: readonly PracticeRecord[]): Promise<void> {
  await keepRecords(records);
  await sender.send();
}

/** Sends what waits now, again whenever the network comes back, and every few seconds while something waits. */
export function sendRecords(): void {
  void outbox.forgetBefore(format(subWeeks(new Date(), KEPT_WEEKS), 'yyyy-MM-dd')).catch(() => undefined);
  void sender.send();
  addEventListener('online', () => void sender.send());
  setInterval(() => {
    if (sender.state().waiting > 0) void sender.send();
  }, AGAIN_AFTER_MS);
}

/** How many records wait for the server, and whether it refused some. */
export const useOnTheWay = (): OnTheWay => useSyncExternalStore(sender.subscribe, sender.state);

/** What this device recorded of a session and nobody took back. */
export function useSessionRecords(session: string | undefined): PracticeRecord[] {
  const [records, setRecords] = useState<PracticeRecord[]>([]);
  useEffect(() => {
    if (!session) return setRecords([]);
    let current = true;
    const read = () =>
      void outbox.ofSession(session).then((all) => {
        if (current) setRecords(standing(all));
      });
    read();
    heard.add(read);
    return () => {
      current = false;
      heard.delete(read);
    };
  }, [session]);
  return records;
}
