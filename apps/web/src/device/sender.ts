/** What came of sending something. */
export type Posted =
  | { is: 'taken' }
  /** The server has read it and will never take it as it is. */
  | { is: 'refused'; why: string }
  /** The server is there and could not do it now: its own trouble, or too much at once. */
  | { is: 'trouble'; why: string }
  | { is: 'offline' }
  /** It waits for an answer of the coach. */
  | { is: 'asks' }
  /** What waits is not what it was: it is looked at again. */
  | { is: 'again' };

/** How one kind of waiting things is sent. */
export interface Sending<Item extends { key: string }> {
  /** What goes next, the oldest first, as many as one request carries; empty when nothing waits. */
  next(passedOver: ReadonlySet<string>): Promise<readonly Item[]>;
  /** Sends them as one request. */
  post(batch: readonly Item[]): Promise<Posted>;
  confirmed(batch: readonly Item[]): Promise<void>;
  /** Called for one thing that the server will never take: it is put aside, so that the rest goes on. */
  refused(item: Item, why: string): Promise<void>;
}

interface SenderState {
  /** `offline`: the server does not answer. `trouble`: it answers, and could not do it. */
  is: 'idle' | 'sending' | 'offline' | 'trouble';
  /** What the server said of its trouble. */
  why: string;
}

export interface Sender {
  /** Sends what waits. Asked while it sends, it looks once more at the end. */
  send(): Promise<void>;
  state(): SenderState;
  /** Hears of every change of the state. Gives what ends it. */
  subscribe(listener: () => void): () => void;
  /** Tries no more by itself. */
  stop(): void;
}

const FIRST_RETRY_MS = 3000;
const LONGEST_RETRY_MS = 30_000;
/** So many single things one after the other that the server cannot take: then it is the server, not the thing. */
const TROUBLES_IN_A_ROW = 3;

/**
 * Sends waiting things in order. A batch that is refused is halved until the bad one stands alone; that one is put aside
 * and the rest goes on. When the server does not answer, or has trouble, it tries again by itself, later and later.
 */
export function createSender<Item extends { key: string }>(sending: Sending<Item>): Sender {
  let state: SenderState = { is: 'idle', why: '' };
  let running: Promise<void> | undefined;
  let again = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let wait = FIRST_RETRY_MS;
  const listeners = new Set<() => void>();
  const say = (next: SenderState) => {
    state = next;
    for (const listener of listeners) listener();
  };

  /** One pass over all that waits. */
  async function pass(): Promise<SenderState> {
    const passedOver = new Set<string>();
    let troubles = 0;
    let why = '';
    /** Whether to go on. */
    async function post(batch: readonly Item[]): Promise<Posted | undefined> {
      const posted = await sending.post(batch);
      if (posted.is === 'taken') {
        troubles = 0;
        await sending.confirmed(batch);
        return undefined;
      }
      if (posted.is === 'again') return undefined;
      if (posted.is === 'offline' || posted.is === 'asks') return posted;
      if (batch.length > 1) {
        const half = Math.ceil(batch.length / 2);
        return (await post(batch.slice(0, half))) ?? post(batch.slice(half));
      }
      const [item] = batch as [Item];
      if (posted.is === 'refused') {
        await sending.refused(item, posted.why);
        return undefined;
      }
      why = posted.why;
      passedOver.add(item.key);
      return ++troubles >= TROUBLES_IN_A_ROW ? posted : undefined;
    }
    for (;;) {
      const batch = await sending.next(passedOver);
      if (batch.length === 0) break;
      const stopped = await post(batch);
      if (stopped?.is === 'offline') return { is: 'offline', why: '' };
      if (stopped?.is === 'asks') break;
      if (stopped) return { is: 'trouble', why };
    }
    return passedOver.size > 0 ? { is: 'trouble', why } : { is: 'idle', why: '' };
  }

  async function run(): Promise<void> {
    clearTimeout(retry);
    let end: SenderState = { is: 'idle', why: '' };
    while (again) {
      again = false;
      if (state.is === 'idle') say({ is: 'sending', why: '' });
      // A device that cannot be read is tried again like a server that cannot be reached.
      end = await pass().catch((error) => ({ is: 'trouble' as const, why: String(error) }));
    }
    running = undefined;
    if (end.is === 'idle') wait = FIRST_RETRY_MS;
    else {
      retry = setTimeout(() => {
        wait = Math.min(2 * wait, LONGEST_RETRY_MS);
        void send();
      }, wait);
    }
    say(end);
  }
  function send(): Promise<void> {
    again = true;
    running ??= run();
    return running;
  }
  return {
    send,
    state: () => state,
    subscribe(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    stop: () => clearTimeout(retry),
  };
}
