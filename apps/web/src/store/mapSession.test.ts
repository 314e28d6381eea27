import { readFileSync } from 'node:fs';
import { applyCommand, type Command, type GuardMap, parseMapFile, put, remove } from '@aftersquall/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { changeMap, openMap, redoChange, send, settleConflict, undoChange } from './mapSession.ts';
import { createStore, type Store } from './store.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);
const rename = (map: GuardMap, id: string, name: string): Command =>
  put('position', { ...map.positions.find((position) => position.id === id)!, name });

/** A server in memory that behaves as the real one: revisions, 409 with its map, and a switch to pull the plug. */
class FakeServer {
  map = demo;
  revision = 1;
  gone = false;
  received: Command[] = [];

  fetch = async (request: Request): Promise<Response> => {
    if (this.gone) throw new TypeError('Failed to fetch');
    const answer = (status: number, body: object) =>
      new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
    if (request.method === 'GET') {
      return request.url.endsWith('/kelpwick')
        ? answer(200, { revision: this.revision, map: this.map })
        : answer(404, { message: 'There is no such map.' });
    }
    const { revision, commands } = (await request.json()) as { revision: number; commands: Command[] };
    if (revision !== this.revision)
      return answer(409, { message: 'moved on', revision: this.revision, map: this.map });
    this.change(commands[0]!);
    this.received.push(commands[0]!);
    return answer(200, { revision: this.revision, inverse: commands[0]! });
  };

  change(command: Command): void {
    this.map = applyCommand(this.map, command).map;
    this.revision++;
  }
}

let server: FakeServer;
let store: Store;
const session = () => store.getState().mapSession;
const nameOf = (id: string) => session().map!.positions.find((position) => position.id === id)?.name;
const settled = () => vi.waitFor(() => expect(session().waiting).toEqual([]));

beforeEach(async () => {
  server = new FakeServer();
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
  vi.stubGlobal('fetch', (input: Request | string, init?: RequestInit) => {
    const request = input instanceof Request ? input : new Request(new URL(input, 'http://here'), init);
    return server.fetch(request);
  });
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, 'http://here') : input, init);
      }
    },
  );
  store = createStore();
  await store.dispatch(openMap('kelpwick'));
});
afterEach(() => vi.unstubAllGlobals());

describe('an open map', () => {
  it('is there once the server has given it, or says why not', async () => {
    expect(session()).toMatchObject({ state: 'ready', revision: 1 });
    await store.dispatch(openMap('nothing'));
    expect(session()).toMatchObject({ state: 'missing', trouble: 'There is no such map.' });
  });

  it('changes at once on screen, and then on the server, in order', async () => {
    expect(store.dispatch(changeMap(rename(demo, 'triangle', 'One')))).toEqual([]);
    expect(store.dispatch(changeMap(rename(demo, 'x-guard', 'Two')))).toEqual([]);
    expect([nameOf('triangle'), nameOf('x-guard')]).toEqual(['One', 'Two']);
    expect(server.received).toEqual([]);
    await settled();
    expect(server.received.map((command) => command.do === 'put' && command.value.id)).toEqual([
      'triangle',
      'x-guard',
    ]);
    expect(server.map).toEqual(session().map);
    expect(session()).toMatchObject({ revision: 3, state: 'ready' });
  });

  it('refuses what would dangle, and nothing has happened', () => {
    const issues = store.dispatch(changeMap(remove('position', 'triangle')));
    expect(issues[0]!.message).toContain('still needs');
    expect(session()).toMatchObject({ map: demo, waiting: [], undo: [] });
  });

  it('undoes and redoes without limit, on the server too', async () => {
    for (const name of ['A', 'B', 'C']) store.dispatch(changeMap(rename(demo, 'triangle', name)));
    for (let i = 0; i < 5; i++) store.dispatch(undoChange());
    expect(session().map).toEqual(demo);
    store.dispatch(redoChange());
    store.dispatch(redoChange());
    expect(nameOf('triangle')).toBe('B');
    await settled();
    expect(server.map).toEqual(session().map);
    store.dispatch(changeMap(rename(demo, 'x-guard', 'New')));
    expect(session().redo).toEqual([]);
  });
});

describe('when the server is gone', () => {
  it('keeps every change on screen and in order, and saves them when it is back', async () => {
    server.gone = true;
    store.dispatch(changeMap(rename(demo, 'triangle', 'One')));
    await vi.waitFor(() => expect(session().state).toBe('unsaved'));
    store.dispatch(changeMap(rename(demo, 'x-guard', 'Two')));
    expect(session()).toMatchObject({ trouble: 'The server cannot be reached.' });
    expect(session().waiting).toHaveLength(2);
    server.gone = false;
    await store.dispatch(send());
    expect(session()).toMatchObject({ waiting: [], state: 'ready', revision: 3 });
    expect(session().trouble).toBeUndefined();
    expect(server.map).toEqual(session().map);
  });
});

describe('when somebody else changed the map', () => {
  beforeEach(async () => {
    server.change(rename(demo, 'x-guard', 'Theirs'));
    store.dispatch(changeMap(rename(demo, 'triangle', 'Mine')));
    await vi.waitFor(() => expect(session().conflict).toBeDefined());
  });

  it('keeps both versions until the coach decides', () => {
    const { conflict } = session();
    expect(conflict!.theirs.map.positions.find(({ id }) => id === 'x-guard')!.name).toBe('Theirs');
    expect(conflict!.mine.positions.find(({ id }) => id === 'triangle')!.name).toBe('Mine');
    expect(server.received).toEqual([]);
  });

  it('takes theirs alone', () => {
    store.dispatch(settleConflict(false));
    expect([nameOf('x-guard'), nameOf('triangle')]).toEqual(['Theirs', 'Triangle locked']);
    expect(session()).toMatchObject({ revision: 2, waiting: [] });
  });

  it('or makes ours again on top of it', async () => {
    expect(store.dispatch(settleConflict(true))).toEqual([]);
    await settled();
    expect([nameOf('x-guard'), nameOf('triangle')]).toEqual(['Theirs', 'Mine']);
    expect(server.map).toEqual(session().map);
  });

  it('and says so when ours no longer fits', async () => {
    const again = server.map.exchanges.filter(({ move }) => move !== 'triangle-armlock');
    server.map = {
      ...server.map,
      exchanges: again,
      moves: server.map.moves.filter(({ id }) => id !== 'triangle-armlock'),
    };
    store.dispatch(settleConflict(false));
    await store.dispatch(openMap('kelpwick'));
    const issues = store.dispatch(changeMap(remove('move', 'triangle-armlock')));
    expect(issues).toEqual([{ path: ['id'], message: 'there is no move "triangle-armlock" to remove' }]);
  });
});
