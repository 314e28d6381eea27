import { ROUTES } from '@aftersquall/core/contract';
import { type PracticeRecord, standing } from '@aftersquall/core/model';
import { format, subWeeks } from 'date-fns';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { type Device, device } from '../../device/device.ts';
import { createSender, type Posted, type Sender } from '../../device/sender.ts';
import { say as texts } from '../words.ts';

/** So many go to the server in one request. */
const BATCH = 500;
/** So long a device shows its own records without the server. */
const KEPT_WEEKS = 8;

/** What is to be said of records on their way. */
export interface OnTheWay {
  waiting: number;
  /** Why the server could not take some that still wait; nothing while all is well. */
  trouble: string;
  /** Records that could not be written on this device: they are lost when the page is closed. */
  unkept: number;
}

/** Keeps records and takes them to the server, in the order in which they were made, whenever it is there. */
export interface RecordSender {
  keep(records: readonly PracticeRecord[]): Promise<void>;
  send(): Promise<void>;
  state(): OnTheWay;
  subscribe(listener: () => void): () => void;
  ofSession(session: string): Promise<PracticeRecord[]>;
}

/**
 * The records of a device on their way to the server.
 * @param post sends them as one request
 */
export function createRecordSender(
  { records: kept }: Pick<Device, 'records'>,
  post: (records: readonly PracticeRecord[]) => Promise<Response>,
): RecordSender {
  /** What could not be written on the device: it waits here, as long as the page is open. */
  const unkept = new Map<string, PracticeRecord>();
  let state: OnTheWay = { waiting: 0, trouble: '', unkept: 0 };
  const listeners = new Set<() => void>();
  const say = (next: Partial<OnTheWay>) => {
    state = { ...state, ...next, unkept: unkept.size };
    for (const listener of listeners) listener();
  };
  const waiting = async () => {
    const all = [...(await kept.waiting().catch(() => [])), ...unkept.values()];
    say({ waiting: all.length });
    return all;
  };
  const sender: Sender = createSender<PracticeRecord>({
    next: async (passedOver) => (await waiting()).filter(({ key }) => !passedOver.has(key)).slice(0, BATCH),
    post: (records) => postedBy(() => post(records)),
    async confirmed(records) {
      const keys = records.map(({ key }) => key);
      for (const key of keys) unkept.delete(key);
      await kept.confirm(keys).catch(() => undefined);
      await waiting();
    },
    async refused(record, why) {
      await kept.putAside(record, why);
      unkept.delete(record.key);
      await waiting();
    },
  });
  sender.subscribe(() => say({ trouble: sender.state().is === 'trouble' ? sender.state().why : '' }));
  return {
    async keep(records) {
      try {
        await kept.keep(records);
      } catch {
        for (const record of records) unkept.set(record.key, record);
      }
      await waiting();
      void sender.send();
    },
    send: sender.send,
    state: () => state,
    subscribe(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    ofSession: async (session) => [
      ...(await kept.ofSession(session).catch(() => [])),
      ...[...unkept.values()].filter((record) => record.session === session),
    ],
  };
}

/** What came of a request. */
async function postedBy(request: () => Promise<Response>): Promise<Posted> {
  let response: Response;
  try {
    response = await request();
  } catch {
    return { is: 'offline' };
  }
  const answer = (await response.json().catch(() => undefined)) as
    | Partial<{ message: string; kept: number; known: number }>
    | undefined;
  // Something between here and the server may answer in its place; only the server says how many it has.
  if (response.ok && typeof answer?.kept === 'number' && typeof answer.known === 'number')
    return { is: 'taken' };
  const why = answer?.message ?? texts.programCannotReadServers;
  return { is: REFUSALS.has(response.status) ? 'refused' : 'trouble', why };
}

/** The server has read it and will not take it: wrong, or too large. */
const REFUSALS = new Set([400, 413, 422]);

const sender = createRecordSender(device, (records) =>
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

/** Tries a record that was put aside once more. */
export async function takeUpRecord(record: PracticeRecord): Promise<void> {
  await device.records.takeUp(record);
  await sender.send();
}

/** Sends what waits now. */
export const sendWaitingRecords = (): Promise<void> => sender.send();

/** Sends what waits now, and again whenever the network comes back; lets go of what is long on the server. */
export function sendRecords(): void {
  const since = subWeeks(new Date(), KEPT_WEEKS);
  void device.records.forgetBefore(format(since, 'yyyy-MM-dd')).catch(() => undefined);
  void device.runs.forgetBefore(since.getTime()).catch(() => undefined);
  void sender.send();
  addEventListener('online', () => void sender.send());
  device.db.hear(({ store }) => {
    if (store === 'recorded') for (const listener of heard) listener();
  });
}

/** How many records wait for the server, and what is in their way. */
export const useOnTheWay = (): OnTheWay => useSyncExternalStore(sender.subscribe, sender.state);

/** What this device recorded of a session and nobody took back. */
export function useSessionRecords(session: string | undefined): PracticeRecord[] {
  const [records, setRecords] = useState<PracticeRecord[]>([]);
  useEffect(() => {
    if (!session) return setRecords([]);
    let current = true;
    const read = () =>
      void sender.ofSession(session).then((all) => {
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
