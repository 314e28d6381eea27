import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import {
  ClassSchema,
  type Command,
  type GuardMap,
  type MadeChange,
  parseMapFile,
  put,
  remove,
  setFields,
} from '@aftersquall/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createStore } from '../store.ts';
import { selectSession } from './documentsSlice.ts';
import {
  changeDocument,
  type Engine,
  hear,
  openDocument,
  redoChange,
  send,
  settle,
  undoChange,
} from './engine.ts';
import { FakeServer } from './fakeServer.ts';
import { createOutbox, type Outbox } from './outbox.ts';
import { reversible } from './session.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const ADDRESS = { kind: 'map', id: 'kelpwick' } as const;
const exchange = demo.exchanges[0]!;
const setChance = (chance: number): Command =>
  setFields('exchange', exchange.id, [{ path: ['chance'], value: chance }]);
const setNote = (note: string): Command =>
  setFields('exchange', exchange.id, [{ path: ['note'], value: note }]);
const rename = (id: string, name: string): Command =>
  setFields('position', id, [{ path: ['name'], value: name }]);

let server: FakeServer;
let keys = 0;
/** Outboxes are by device; every screen in these tests is one, unless it says otherwise. */
let devices = 0;

const engineOn = (outbox: Outbox): Engine => ({
  outbox,
  newKey: () => `key-${keys++}-abcdef`,
  sending: new Set(),
  retries: new Map(),
});

/** One screen: a store of its own, on a device. */
function screen(outbox: Outbox = createOutbox(`device-${devices++}`)) {
  const engine = engineOn(outbox);
  const store = createStore(engine);
  const session = () => selectSession('map', ADDRESS.id)(store.getState())!;
  const map = () => session().shown as GuardMap;
  return {
    session,
    map,
    outbox,
    exchange: () => map().exchanges.find(({ id }) => id === exchange.id)!,
    nameOf: (id: string) => map().positions.find((position) => position.id === id)?.name,
    open: () => store.dispatch(openDocument(ADDRESS)),
    change: (command: Command, announce?: string) =>
      store.dispatch(changeDocument(ADDRESS, command, announce ? { announce } : {})),
    undo: (key?: string) => store.dispatch(undoChange(ADDRESS, key)),
    redo: () => store.dispatch(redoChange(ADDRESS)),
    send: () => store.dispatch(send(ADDRESS)),
    settle: (theirs: { kind: string; id: string; path: string[] }[]) =>
      store.dispatch(settle(ADDRESS, theirs)),
    hear: (made: MadeChange) => store.dispatch(hear({ type: 'change', data: { ...made, ...ADDRESS } })),
    online: () => store.dispatch(hear({ type: 'opened' })),
    /** Until nothing is on its way. */
    idle: async () => {
      while (engine.sending.size > 0) await new Promise(setImmediate);
    },
    notice: () => store.getState().notices.notice,
    settled: () => vi.waitFor(() => expect(session().waiting).toEqual([])),
    sameAsServer: () => expect(map()).toEqual(server.document),
  };
}
type Screen = ReturnType<typeof screen>;

beforeEach(() => {
  server = new FakeServer(demo);
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
  vi.stubGlobal('fetch', (input: Request | string, init?: RequestInit) =>
    server.fetch(input instanceof Request ? input : new Request(new URL(input, 'http://here'), init)),
  );
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, 'http://here') : input, init);
      }
    },
  );
});
afterEach(() => vi.unstubAllGlobals());

async function opened(outbox?: Outbox): Promise<Screen> {
  const one = screen(outbox);
  await one.open();
  return one;
}

describe('an open document', () => {
  it('is there once the server has given it, or says why not', async () => {
    const mine = await opened();
    expect(mine.session()).toMatchObject({ state: 'ready', revision: 1 });
    server.document = { ...demo, id: 'other' };
    const lost = await opened();
    expect(lost.session()).toMatchObject({ state: 'missing', trouble: 'There is no such document.' });
  });

  it('changes at once on screen, and then on the server, in order', async () => {
    const mine = await opened();
    expect(mine.change(rename('triangle', 'One'))).toEqual([]);
    expect(mine.change(rename('x-guard', 'Two'))).toEqual([]);
    expect([mine.nameOf('triangle'), mine.nameOf('x-guard')]).toEqual(['One', 'Two']);
    expect(server.made).toEqual([]);
    await mine.settled();
    expect(server.made.map(({ command }) => command.do === 'set' && command.id)).toEqual([
      'triangle',
      'x-guard',
    ]);
    mine.sameAsServer();
    expect(mine.session()).toMatchObject({ revision: 3, online: true });
    expect(await mine.outbox.list(ADDRESS)).toEqual([]);
  });

  it('refuses what is bad, and nothing has happened; what changes nothing is not sent', async () => {
    const mine = await opened();
    expect(mine.change(setChance(1.5))).toMatchObject([{ message: 'a chance lies between 0 and 1' }]);
    expect(mine.change({ do: 'batch', commands: [] })).toEqual([]);
    expect(mine.session()).toMatchObject({ waiting: [], undo: [] });
    expect(mine.map()).toEqual(demo);
  });

  it('undoes and redoes by its own changes, each by what it did', async () => {
    const mine = await opened();
    for (const name of ['A', 'B', 'C']) mine.change(rename('triangle', name));
    expect(mine.session().undo.at(-1)!.what).toBe('position “B” → “C”');
    for (let i = 0; i < 5; i++) mine.undo();
    expect(mine.map()).toEqual(demo);
    mine.redo();
    mine.redo();
    expect(mine.nameOf('triangle')).toBe('B');
    await mine.settled();
    mine.sameAsServer();
    mine.change(rename('x-guard', 'New'));
    expect(mine.session().redo).toEqual([]);
  });

  it('takes back just what a notice speaks of, also when it is not the last', async () => {
    const mine = await opened();
    mine.change(remove('position', 'triangle'), 'Removed the triangle.');
    const { undo } = mine.notice()!;
    mine.change(rename('x-guard', 'Later'));
    mine.undo(undo!.key);
    expect(mine.nameOf('triangle')).toBe('Triangle locked');
    expect(mine.nameOf('x-guard')).toBe('Later');
    // What something later builds on is no longer offered.
    mine.change(setChance(0.2), 'Changed.');
    const { key } = mine.notice()!.undo!;
    mine.change(setChance(0.3));
    expect(reversible(mine.session(), key)).toBeUndefined();
    mine.undo(key);
    expect(mine.exchange().chance).toBe(0.3);
  });

  it('is of any kind: a class is undone as a map is', async () => {
    const plan = ClassSchema.parse({
      format: 'aftersquall-class',
      version: 1,
      id: 'monday',
      name: 'Monday',
      map: 'kelpwick',
      minutes: 60,
      people: 14,
      apparel: 'gi',
      blocks: [],
    });
    server = new FakeServer(plan);
    const address = { kind: 'class', id: 'monday' } as const;
    const store = createStore(engineOn(createOutbox('class')));
    await store.dispatch(openDocument(address));
    store.dispatch(
      changeDocument(
        address,
        put('block', { kind: 'rest', id: 'r', title: 'Water', note: '', why: '', seconds: 60 }),
      ),
    );
    const shown = () => selectSession('class', 'monday')(store.getState())!.shown;
    expect(shown()!.blocks).toHaveLength(1);
    store.dispatch(undoChange(address));
    expect(shown()).toEqual(plan);
    await vi.waitFor(() => expect(server.made).toHaveLength(2));
  });
});

describe('two screens on one document', () => {
  let mine: Screen;
  let theirs: Screen;
  beforeEach(async () => {
    mine = await opened();
    theirs = await opened();
  });
  /** What the server tells both. */
  const tell = (from = 0) => {
    for (const made of server.made.slice(from)) for (const one of [mine, theirs]) one.hear(made);
  };

  it('see each other’s changes, with who and what', async () => {
    theirs.change(setChance(0.33));
    await theirs.settled();
    tell();
    expect(mine.exchange().chance).toBe(0.33);
    expect(mine.session().news).toMatchObject({
      what: expect.stringMatching(/^answer .*: chance .* → 33 %$/),
    });
    expect(mine.session().undo).toEqual([]);
  });

  it('keep both where they change different fields of one thing at once', async () => {
    mine.change(setChance(0.11));
    theirs.change(setNote('theirs'));
    await Promise.all([mine.settled(), theirs.settled()]);
    tell();
    for (const one of [mine, theirs]) expect(one.exchange()).toMatchObject({ chance: 0.11, note: 'theirs' });
    mine.sameAsServer();
    theirs.sameAsServer();
  });

  it('ask one question about one field where both changed the same, and do as it is answered', async () => {
    server.cut = true;
    mine.change(
      setFields('exchange', exchange.id, [
        { path: ['chance'], value: 0.11 },
        { path: ['seconds'], value: 9 },
      ]),
    );
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    server.cut = false;
    theirs.change(setChance(0.22));
    theirs.change(setNote('theirs'));
    await theirs.settled();
    mine.online();
    await vi.waitFor(() => expect(mine.session().conflict).toBeDefined());
    const { conflict } = mine.session();
    expect(conflict!.overlaps).toMatchObject([
      { kind: 'exchange', path: ['chance'], mine: 0.11, theirs: 0.22 },
    ]);
    // Until it is answered, mine stands on screen; nothing of it has been sent.
    expect(mine.exchange()).toMatchObject({ chance: 0.11, note: 'theirs' });
    mine.settle(conflict!.overlaps);
    await mine.settled();
    expect(mine.exchange()).toMatchObject({ chance: 0.22, seconds: 9, note: 'theirs' });
    mine.sameAsServer();
    // What is left of it is taken back, and no more.
    mine.undo();
    expect(mine.exchange()).toMatchObject({ chance: 0.22, note: 'theirs' });
    expect(mine.exchange().seconds).toBe(exchange.seconds);
  });

  it('or keep mine, on top of theirs', async () => {
    server.cut = true;
    mine.change(setChance(0.11));
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    server.cut = false;
    theirs.change(setChance(0.22));
    await theirs.settled();
    await mine.send();
    await vi.waitFor(() => expect(mine.session().conflict).toBeDefined());
    mine.settle([]);
    await mine.settled();
    expect((server.document as GuardMap).exchanges[0]!.chance).toBe(0.11);
    mine.undo();
    await mine.settled();
    expect((server.document as GuardMap).exchanges[0]!.chance).toBe(0.22);
  });

  it('say so where a change can no longer be made, and lose nothing else', async () => {
    server.cut = true;
    mine.change(setFields('exchange', exchange.id, [{ path: ['to'], value: { position: 'x-guard' } }]));
    mine.change(rename('triangle', 'Mine'));
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    server.cut = false;
    theirs.change(remove('position', 'x-guard'));
    await theirs.settled();
    mine.online();
    await vi.waitFor(() =>
      expect(mine.session().conflict?.issues).toMatchObject([
        { message: expect.stringContaining('x-guard') },
      ]),
    );
    mine.settle([]);
    await mine.settled();
    expect(mine.nameOf('triangle')).toBe('Mine');
    mine.sameAsServer();
  });

  it('no longer offer to take back what somebody else has changed since', async () => {
    mine.change(setChance(0.11));
    mine.change(rename('triangle', 'Mine'));
    await mine.settled();
    tell();
    theirs.change(setChance(0.22));
    await theirs.settled();
    tell();
    expect(mine.session().undo.map(({ what }) => what)).toEqual([expect.stringContaining('Mine')]);
    mine.undo();
    mine.undo();
    expect(mine.exchange().chance).toBe(0.22);
  });

  it('fetch what they did not hear', async () => {
    for (let i = 0; i < 5; i++) theirs.change(rename('triangle', `Name ${i}`));
    await theirs.settled();
    mine.hear(server.made.at(-1)!);
    await vi.waitFor(() => expect(mine.nameOf('triangle')).toBe('Name 4'));
    expect(mine.session().revision).toBe(6);
  });
});

describe('without the server', () => {
  it('keeps every change in order, and sends them by itself once it is back', async () => {
    const mine = await opened();
    server.cut = true;
    mine.change(rename('triangle', 'One'));
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    mine.change(rename('x-guard', 'Two'));
    expect(mine.session().waiting).toHaveLength(2);
    server.cut = false;
    mine.online();
    await mine.settled();
    expect(mine.session()).toMatchObject({ online: true, revision: 3 });
    mine.sameAsServer();
  });

  it('ten changes, the tab closed and opened again: ten changes arrive, once each', async () => {
    const before = await opened();
    server.cut = true;
    for (let i = 0; i < 10; i++) before.change(rename('triangle', `Name ${i}`));
    await vi.waitFor(async () => expect(await before.outbox.list(ADDRESS)).toHaveLength(10));
    // The first one did arrive; only its answer was lost.
    server.cut = false;
    server.deaf = true;
    await before.send();
    server.deaf = false;
    expect(server.made).toHaveLength(1);
    const after = await opened(before.outbox);
    expect(after.nameOf('triangle')).toBe('Name 9');
    await after.settled();
    expect(server.made).toHaveLength(10);
    expect(new Set(server.made.map(({ key }) => key)).size).toBe(10);
    after.sameAsServer();
    expect(await after.outbox.list(ADDRESS)).toEqual([]);
  });

  it('asks about what others changed while the tab was closed, and about nothing else', async () => {
    const before = await opened();
    server.cut = true;
    before.change(rename('x-guard', 'Mine'));
    before.change(setChance(0.11));
    before.change(setChance(0.12));
    await vi.waitFor(async () => expect(await before.outbox.list(ADDRESS)).toHaveLength(3));
    server.cut = false;
    const theirs = await opened();
    theirs.change(setChance(0.22));
    theirs.change(setNote('theirs'));
    await theirs.settled();
    const after = await opened(before.outbox);
    await vi.waitFor(() => expect(after.session().conflict).toBeDefined());
    expect(after.session().conflict!.overlaps).toMatchObject([
      { path: ['chance'], theirs: 0.22, mine: 0.11 },
    ]);
    expect((server.document as GuardMap).positions.find(({ id }) => id === 'x-guard')!.name).toBe('Mine');
    expect(after.session().conflict!.what).toMatch(/^answer .*: chance .* → 11 %$/);
    // One question about one field: the answer holds for what was changed in it later, too.
    after.settle([]);
    await after.settled();
    expect(after.exchange()).toMatchObject({ chance: 0.12, note: 'theirs' });
    after.sameAsServer();
  });

  it('takes theirs for all that was changed in a field, and keeps what else these changes did', async () => {
    const mine = await opened();
    const theirs = await opened();
    server.cut = true;
    mine.change(setChance(0.11));
    mine.change(
      setFields('exchange', exchange.id, [
        { path: ['chance'], value: 0.12 },
        { path: ['note'], value: 'mine' },
      ]),
    );
    mine.change(setChance(0.13));
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    server.cut = false;
    theirs.change(setChance(0.22));
    await theirs.settled();
    await mine.send();
    await vi.waitFor(() => expect(mine.session().conflict).toBeDefined());
    server.cut = true;
    mine.settle(mine.session().conflict!.overlaps);
    // What is gone by the answer is gone from the device, too.
    await vi.waitFor(async () =>
      expect((await mine.outbox.list(ADDRESS)).map(({ commands }) => commands)).toEqual([[setNote('mine')]]),
    );
    server.cut = false;
    await mine.send();
    await mine.settled();
    expect(mine.exchange()).toMatchObject({ chance: 0.22, note: 'mine' });
    mine.sameAsServer();
    expect(mine.session().undo).toHaveLength(1);
    mine.undo();
    expect(mine.exchange().chance).toBe(0.22);
    expect(mine.exchange().note).toBe(exchange.note);
  });

  it('asks again where the same field is changed elsewhere after the answer', async () => {
    const before = await opened();
    server.cut = true;
    before.change(setChance(0.11));
    before.change(setChance(0.12));
    await vi.waitFor(async () => expect(await before.outbox.list(ADDRESS)).toHaveLength(2));
    server.cut = false;
    const theirs = await opened();
    theirs.change(setChance(0.22));
    await theirs.settled();
    const after = await opened(before.outbox);
    await vi.waitFor(() => expect(after.session().conflict).toBeDefined());
    server.cut = true;
    after.settle([]);
    await vi.waitFor(() => expect(after.session().online).toBe(false));
    server.cut = false;
    theirs.change(setChance(0.33));
    await theirs.settled();
    after.online();
    await vi.waitFor(() => expect(after.session().conflict?.overlaps).toMatchObject([{ theirs: 0.33 }]));
    after.settle([]);
    await after.settled();
    expect((server.document as GuardMap).exchanges[0]!.chance).toBe(0.12);
  });

  it('lets the server judge where the line broke before all of theirs was heard', async () => {
    const before = await opened();
    server.cut = true;
    before.change(setChance(0.11));
    await vi.waitFor(async () => expect(await before.outbox.list(ADDRESS)).toHaveLength(1));
    server.cut = false;
    const theirs = await opened();
    for (const name of ['A', 'B', 'C']) theirs.change(rename('triangle', name));
    theirs.change(setChance(0.22));
    await theirs.settled();
    // The first page of changes comes through; the second, with the one that matters, does not.
    server.pages = 1;
    const after = await opened(before.outbox);
    await vi.waitFor(() => expect(after.session().state).toBe('ready'));
    server.pages = undefined;
    await after.send();
    await vi.waitFor(() => expect(after.session().conflict?.overlaps).toMatchObject([{ theirs: 0.22 }]));
    expect((server.document as GuardMap).exchanges[0]!.chance).toBe(0.22);
  });

  it('tries again at one pace, however many changes wait, and says why it could not', async () => {
    const mine = await opened();
    server.cut = true;
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
      for (let i = 0; i < 5; i++) {
        mine.change(rename('triangle', `Name ${i}`));
        await mine.idle();
      }
      const { asked } = server;
      await vi.advanceTimersByTimeAsync(3000);
      await mine.idle();
      expect(server.asked).toBe(asked + 1);
    } finally {
      vi.useRealTimers();
    }
    expect(mine.session()).toMatchObject({ online: false, trouble: 'The server cannot be reached.' });
    server.cut = false;
    server.broken = true;
    await mine.send();
    expect(mine.session().trouble).toBe('Something went wrong on the server; nothing was changed.');
    server.broken = false;
    await mine.send();
    await mine.settled();
    mine.sameAsServer();
  });
});
