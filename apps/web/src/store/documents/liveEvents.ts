import type { ChangeEvent } from '@aftersquall/core/contract';
import type { DocumentKindName } from '@aftersquall/core/documents';

/** What comes from the server by itself. `opened`: the line is there (again); what came in between was not heard. */
export type LiveEvent =
  | { type: 'change'; data: ChangeEvent }
  | { type: 'documents'; data: { kind: DocumentKindName } }
  | { type: 'records'; data: { map: string } }
  | { type: 'opened' };

const NAME = 'aftersquall.events';

/**
 * Listens to the server for all tabs of this browser: one of them holds the line and passes on what comes, because a
 * browser opens only six lines to a server. When its tab closes, another one takes over. Gives what ends listening.
 */
export function listen(hear: (event: LiveEvent) => void): () => void {
  const channel = new BroadcastChannel(NAME);
  const ended = new AbortController();
  channel.onmessage = ({ data }: MessageEvent<LiveEvent>) => hear(data);
  const pass = (event: LiveEvent) => {
    hear(event);
    channel.postMessage(event);
  };
  void navigator.locks
    .request(NAME, { signal: ended.signal }, () => holdLine(pass, ended.signal))
    // Ended while another tab still held the line.
    .catch(() => undefined);
  return () => {
    ended.abort();
    channel.close();
  };
}

/** Holds the line until told to end; the browser takes it up again by itself when it breaks. */
function holdLine(pass: (event: LiveEvent) => void, signal: AbortSignal): Promise<void> {
  const line = new EventSource('/api/events');
  line.addEventListener('open', () => pass({ type: 'opened' }));
  for (const type of ['change', 'documents', 'records'] as const)
    line.addEventListener(type, ({ data }) => pass({ type, data: JSON.parse(data) }));
  return new Promise((resolve) => {
    signal.addEventListener('abort', () => {
      line.close();
      resolve();
    });
  });
}
