import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import {
  applyCommand,
  type Command,
  type MadeChange,
  put,
  remove,
  setFields,
} from '@aftersquall/core/documents';
import { parseMapFile } from '@aftersquall/core/formats';
import { ClassSchema, type GuardMap } from '@aftersquall/core/model';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { guardMap } from '../../../../../packages/core/src/test/arbitraries.ts';
import { commandFor } from '../../../../../packages/core/src/test/documentEdits.ts';
import { createDevice, type Device } from '../../device/device.ts';
import { StandInServer } from '../../test/standInServer.ts';
import { createStore } from '../store.ts';
import { selectSession } from './documentsSlice.ts';
import {
  answer,
  answerWithBoth,
  changeDocument,
  type Engine,
  hear,
  hearDevice,
  openDocument,
  putChangeAside,
  redoChange,
  send,
  undoChange,
} from './engine.ts';
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

let server: StandInServer;
let keys = 0;
/** Every screen in these tests is on a device of its own, unless it says otherwise. */
let devices = 0;
const newDevice = (): Device => createDevice(`device-${devices++}`);
const running: Engine[] = [];

function engineOn(device: Device): Engine {
  const engine = { device, newKey: () => `key-${keys++}`, senders: new Map() };
  running.push(engine);
  return engine;
}

/** One screen: a store of its own, on a device. */
function screen(device: Device = newDevice()) {
  const engine = engineOn(device);
  const store = createStore(engine);
  const session = () => selectSession('map', ADDRESS.id)(store.getState())!;
  const map = () => session().shown as GuardMap;
  return {
    session,
    map,
    device,
    waits: async () => (await device.documents.waiting(ADDRESS)).length,
    exchange: () => map().exchanges.find(({ id }) => id === exchange.id)!,
    nameOf: (id: string) => map().positions.find((position) => position.id === id)?.name,
    open: () => store.dispatch(openDocument(ADDRESS)),
    change: (command: Command, announce?: string) =>
      store.dispatch(changeDocument(ADDRESS, command, announce ? { announce } : {})),
    undo: (key?: string) => store.dispatch(undoChange(ADDRESS, key)),
    redo: () => store.dispatch(redoChange(ADDRESS)),
    send: () => store.dispatch(send(ADDRESS)),
    /** Answers the open question: theirs in these fields. */
    settle: (theirs: { kind: string; id: string; path: string[] }[], seen = session().conflict!.seen) =>
      store.dispatch(answer(ADDRESS, { key: session().conflict!.key, seen, theirs })),
    bringBack: () => {
      const { key, seen } = session().conflict!;
      store.dispatch(answerWithBoth(ADDRESS, { key, seen }));
    },
    putAside: () => store.dispatch(putChangeAside(ADDRESS, session().conflict!.key, 'later')),
    hearDevice: () => store.dispatch(hearDevice('map/kelpwick')),
    hear: (made: MadeChange) => store.dispatch(hear({ type: 'change', data: { ...made, ...ADDRESS } })),
    online: () => store.dispatch(hear({ type: 'opened' })),
    /** Until nothing is on its way. */
    idle: async () => {
      const isSending = () => [...engine.senders.values()].some((sender) => sender.state().is === 'sending');
      do await new Promise(setImmediate);
      while (isSending());
    },
    notice: () => store.getState().notices.notice,
    settled: () => vi.waitFor(() => expect(session().waiting).toEqual([])),
    sameAsServer: () => expect(map()).toEqual(server.document),
  };
}
type Screen = ReturnType<typeof screen>;

beforeEach(() => {
  server = new StandInServer(demo);
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
afterEach(async () => {
  // What still tries would ask whatever server the next test has.
  for (const engine of running.splice(0)) {
    for (const sender of engine.senders.values()) sender.stop();
    await engine.device.db.inTurn(async () => undefined);
  }
  vi.unstubAllGlobals();
});

async function opened(device?: Device): Promise<Screen> {
  const one = screen(device);
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
    expect(await mine.waits()).toBe(0);
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
    server = new StandInServer(plan);
    const address = { kind: 'class', id: 'monday' } as const;
    const store = createStore(engineOn(newDevice()));
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
    mine.putAside();
    await mine.settled();
    expect(mine.nameOf('triangle')).toBe('Mine');
    mine.sameAsServer();
    // It is not thrown away.
    expect(await mine.device.aside.all()).toMatchObject([
      { what: 'change', why: 'later', address: 'map/kelpwick', item: { commands: [{ do: 'set' }] } },
    ]);
  });

  it('bring back what one removed and the other changed, when they want both', async () => {
    const moves = mine.map().moves.length;
    server.cut = true;
    mine.change(rename('x-guard', 'Mine'));
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    server.cut = false;
    theirs.change(remove('position', 'x-guard'));
    await theirs.settled();
    mine.online();
    await vi.waitFor(() => expect(mine.session().conflict?.bringBack).toBeDefined());
    expect(mine.map().moves.length).toBeLessThan(moves);
    mine.bringBack();
    await mine.settled();
    expect(mine.nameOf('x-guard')).toBe('Mine');
    // And all that hung on it.
    expect(mine.map().moves.length).toBe(moves);
    mine.sameAsServer();
  });

  it('ask again when a third change arrives while the question is open', async () => {
    const third = await opened();
    server.cut = true;
    mine.change(setChance(0.5));
    await vi.waitFor(() => expect(mine.session().online).toBe(false));
    server.cut = false;
    theirs.change(setChance(0.44));
    await theirs.settled();
    mine.online();
    await vi.waitFor(() => expect(mine.session().conflict).toBeDefined());
    const { seen } = mine.session().conflict!;
    third.online();
    await vi.waitFor(() => expect(third.exchange().chance).toBe(0.44));
    third.change(setChance(0.55));
    await third.settled();
    tell();
    // The open question shows the third change, and the answer to the question before it does nothing.
    expect(mine.session().conflict!.overlaps).toMatchObject([{ theirs: 0.55, mine: 0.5 }]);
    mine.settle([], seen);
    expect(mine.session().conflict).toBeDefined();
    expect((server.document as GuardMap).exchanges[0]!.chance).toBe(0.55);
    mine.settle([]);
    await mine.settled();
    expect((server.document as GuardMap).exchanges[0]!.chance).toBe(0.5);
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
    await vi.waitFor(async () => expect(await before.waits()).toBe(10));
    // The first one did arrive; only its answer was lost.
    server.cut = false;
    server.deaf = true;
    await before.send();
    server.deaf = false;
    expect(server.made).toHaveLength(1);
    const after = await opened(before.device);
    expect(after.nameOf('triangle')).toBe('Name 9');
    await after.settled();
    expect(server.made).toHaveLength(10);
    expect(new Set(server.made.map(({ key }) => key)).size).toBe(10);
    after.sameAsServer();
    expect(await after.waits()).toBe(0);
  });

  it('asks about what others changed while the tab was closed, and about nothing else', async () => {
    const before = await opened();
    server.cut = true;
    before.change(rename('x-guard', 'Mine'));
    before.change(setChance(0.11));
    before.change(setChance(0.12));
    await vi.waitFor(async () => expect(await before.waits()).toBe(3));
    server.cut = false;
    const theirs = await opened();
    theirs.change(setChance(0.22));
    theirs.change(setNote('theirs'));
    await theirs.settled();
    const after = await opened(before.device);
    await vi.waitFor(() => expect(after.session().conflict).toBeDefined());
    expect(after.session().conflict!.overlaps).toMatchObject([
      { path: ['chance'], theirs: 0.22, mine: 0.12 },
    ]);
    // What meets nobody is sent without waiting for the answer.
    await vi.waitFor(() =>
      expect((server.document as GuardMap).positions.find(({ id }) => id === 'x-guard')!.name).toBe('Mine'),
    );
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
      expect((await mine.device.documents.waiting(ADDRESS)).map(({ commands }) => commands)).toEqual([
        [setNote('mine')],
      ]),
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
    await vi.waitFor(async () => expect(await before.waits()).toBe(2));
    server.cut = false;
    const theirs = await opened();
    theirs.change(setChance(0.22));
    await theirs.settled();
    const after = await opened(before.device);
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
    await vi.waitFor(async () => expect(await before.waits()).toBe(1));
    server.cut = false;
    const theirs = await opened();
    for (const name of ['A', 'B', 'C']) theirs.change(rename('triangle', name));
    theirs.change(setChance(0.22));
    await theirs.settled();
    // The first page of changes comes through; the second, with the one that matters, does not.
    server.pages = 1;
    const after = await opened(before.device);
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
    expect(mine.session()).toMatchObject({ online: false, trouble: undefined });
    server.cut = false;
    server.broken = true;
    await mine.send();
    expect(mine.session().trouble).toBe(
      'Something went wrong on the server. Nothing was changed. Try again.',
    );
    server.broken = false;
    await mine.send();
    await mine.settled();
    mine.sameAsServer();
  });
});

describe('a device that starts again', () => {
  it('shows without the server what was confirmed and what waits, twice, and asks nobody about their own', async () => {
    const device = newDevice();
    const first = await opened(device);
    first.change(rename('triangle', 'Confirmed'));
    first.change(setChance(0.4));
    await first.settled();
    server.cut = true;
    first.change(setChance(0.45));
    await vi.waitFor(async () => expect(await first.waits()).toBe(1));
    const second = await opened(device);
    expect(second.session()).toMatchObject({ state: 'ready', revision: 3, online: false });
    expect(second.nameOf('triangle')).toBe('Confirmed');
    expect(second.exchange().chance).toBe(0.45);
    second.change(setChance(0.5));
    await vi.waitFor(async () => expect(await second.waits()).toBe(2));
    const third = await opened(device);
    expect(third.exchange().chance).toBe(0.5);
    server.cut = false;
    third.online();
    await third.settled();
    expect(third.session().conflict).toBeUndefined();
    third.sameAsServer();
    expect(server.revision).toBe(5);
  });

  it('is never asked about its own change of another tab', async () => {
    const device = newDevice();
    const [one, two] = [await opened(device), await opened(device)];
    server.cut = true;
    one.change(setChance(0.2));
    two.change(setChance(0.3));
    await vi.waitFor(async () => expect(await one.waits()).toBe(2));
    server.cut = false;
    await Promise.all([one.send(), two.send()]);
    for (const tab of [one, two]) tab.online();
    await Promise.all([one.settled(), two.settled()]);
    for (const tab of [one, two]) expect(tab.session().conflict).toBeUndefined();
    expect(server.made).toHaveLength(2);
    for (const tab of [one, two]) {
      tab.online();
      await tab.idle();
      tab.sameAsServer();
    }
  });

  it('sees what another tab has made offline', async () => {
    const device = newDevice();
    const [one, two] = [await opened(device), await opened(device)];
    server.cut = true;
    one.change(rename('triangle', 'In the other tab'));
    await vi.waitFor(async () => expect(await one.waits()).toBe(1));
    await two.hearDevice();
    expect(two.nameOf('triangle')).toBe('In the other tab');
  });

  it('takes a document whole again when the server has another one under its name', async () => {
    const device = newDevice();
    const before = await opened(device);
    for (const name of ['A', 'B', 'C']) before.change(rename('triangle', name));
    await before.settled();
    server.cut = true;
    before.change(rename('x-guard', 'Mine'));
    await vi.waitFor(async () => expect(await before.waits()).toBe(1));
    // The demo was started over: the same id, fewer revisions.
    server = new StandInServer({ ...demo, name: 'Started over' });
    server.born = '2026-02-02T00:00:00.000Z';
    const after = await opened(device);
    await after.settled();
    expect(after.map().name).toBe('Started over');
    expect(after.nameOf('triangle')).toBe('Triangle locked');
    expect(after.nameOf('x-guard')).toBe('Mine');
    after.sameAsServer();
  });

  it('knows what waits for a document that it has no copy of', async () => {
    const device = newDevice();
    const before = await opened(device);
    server.cut = true;
    before.change(setChance(0.4));
    await vi.waitFor(async () => expect(await before.waits()).toBe(1));
    await device.documents.forget(ADDRESS);
    const after = screen(device);
    await after.open();
    expect(after.session()).toMatchObject({ state: 'missing', online: false });
    expect(after.session().waiting).toHaveLength(1);
    server.cut = false;
    after.online();
    await vi.waitFor(() => expect(after.session().state).toBe('ready'));
    await after.settled();
    after.sameAsServer();
  });

  it('puts aside what it cannot read, and opens', async () => {
    const device = newDevice();
    const before = await opened(device);
    server.cut = true;
    before.change(rename('triangle', 'Mine'));
    await vi.waitFor(async () => expect(await before.waits()).toBe(1));
    await device.db.write(['changes'], async (store) => {
      const good = (await store('changes').getAll())[0]!;
      const later = { ...good, key: 'from-a-newer-version', commands: [{ do: 'paint' } as never] };
      void store('changes').put(later);
    });
    server.cut = false;
    const after = await opened(device);
    await after.settled();
    expect(after.nameOf('triangle')).toBe('Mine');
    expect(await device.aside.all()).toMatchObject([
      { key: 'from-a-newer-version', why: expect.stringContaining('Another version') },
    ]);
    after.sameAsServer();
  });

  it('puts aside what the server refuses, and the rest goes on', async () => {
    const mine = await opened();
    server.cut = true;
    mine.change(rename('triangle', 'Good'));
    mine.change(rename('x-guard', 'Bad'));
    mine.change(setChance(0.2));
    server.refuses.add(mine.session().waiting[1]!.key);
    server.cut = false;
    await mine.send();
    await mine.settled();
    expect(mine.nameOf('triangle')).toBe('Good');
    expect(mine.exchange().chance).toBe(0.2);
    mine.sameAsServer();
    expect(await mine.device.aside.all()).toMatchObject([{ what: 'change', why: 'not like that' }]);
    expect(mine.notice()).toMatchObject({ aside: true });
  });

  it('opens with five thousand waiting changes and sends them all', async () => {
    const device = newDevice();
    const before = await opened(device);
    const { key: _, ...pattern } = { key: '', who: '', base: 1, fields: [] as never[] };
    server.cut = true;
    await device.db.write(['changes'], (store) => {
      for (let i = 0; i < 5000; i++)
        void store('changes').put({
          ...pattern,
          key: `many-${String(i).padStart(6, '0')}`,
          address: 'map/kelpwick',
          order: i,
          what: `change ${i}`,
          commands: [setNote(`note ${i}`)],
          fields: [{ kind: 'exchange', id: exchange.id, path: ['note'] }],
          kept: true,
        });
    });
    server.cut = false;
    before.online();
    const after = await opened(device);
    expect(after.exchange().note).toBe('note 4999');
    await vi.waitFor(() => expect(after.session().waiting).toEqual([]), { timeout: 150_000, interval: 200 });
    expect(server.made).toHaveLength(5000);
    after.sameAsServer();
    // Five thousand answers of a server that decides about each: the work is the test's, not a wait.
  }, 180_000);
});

describe('a device that dies', () => {
  /** A device that does so many more things on its disk and then nothing any more, like one whose battery is empty. */
  function dying(name: string, steps: number): { device: Device; isDead: () => boolean } {
    const device = createDevice(name);
    let left = steps;
    const { write, inTurn } = device.db;
    const never = new Promise<never>(() => undefined);
    device.db.write = (stores, work) => (left-- > 0 ? write(stores, work) : never);
    device.db.inTurn = (work) => (left-- > 0 ? inTurn(work) : never);
    return { device, isDead: () => left <= 0 };
  }

  it('at any moment loses no change that it said was kept', async () => {
    for (let steps = 2; steps < 30; steps++) {
      server = new StandInServer(demo);
      const name = `dying-${devices++}`;
      const { device, isDead } = dying(name, steps);
      const before = screen(device);
      // It never ends what it was at: nobody may wait for it.
      running.pop();
      await Promise.race([before.open(), new Promise((resolve) => setTimeout(resolve, 60))]);
      const kept = new Set<string>();
      const look = () => {
        for (const change of before.session()?.waiting ?? []) if (change.kept) kept.add(change.key);
      };
      for (let i = 0; i < 6 && !isDead() && before.session()?.state === 'ready'; i++) {
        server.cut = i % 3 === 1;
        before.change(i % 2 ? rename('triangle', `Name ${i}`) : setChance((i + 1) / 10));
        for (let turn = 0; turn < 12 && !isDead(); turn++) {
          await new Promise(setImmediate);
          look();
        }
      }
      // Dead: nothing that is still on its way arrives any more.
      server = Object.assign(new StandInServer(demo), {
        document: server.document,
        revision: server.revision,
        made: server.made,
      });
      const after = await opened(createDevice(name));
      after.online();
      await after.settled();
      const arrived = new Set(server.made.map(({ key }) => key));
      for (const key of kept) expect(arrived.has(key), `${key} after ${steps} steps`).toBe(true);
      expect(after.session().conflict).toBeUndefined();
      after.sameAsServer();
    }
  });
});

describe('whatever happens', () => {
  /** What can happen to one of three devices, or between them and the server. */
  const happening = fc.record({
    who: fc.nat({ max: 2 }),
    what: fc.constantFrom(
      'edit',
      'edit',
      'edit',
      'restart',
      'offline',
      'online',
      'mine',
      'theirs',
      'aside',
      'undo',
    ),
    step: fc.record({ edit: fc.nat({ max: 1000 }), n: fc.nat({ max: 1000 }) }),
  });

  it('what a device made is on the server, put aside, or answered for by its maker, and all end up the same', async () => {
    await fc.assert(
      fc.asyncProperty(guardMap, fc.array(happening, { maxLength: 14 }), async (map, script) => {
        server = new StandInServer({ ...map, id: 'kelpwick' });
        const ownDevices = [newDevice(), newDevice(), newDevice()];
        const screens = await Promise.all(ownDevices.map((own) => opened(own)));
        const cutOff = [false, false, false];
        const made = new Set<string>();
        const answered = new Set<string>();
        // One device acts at a time, on a line that may be cut.
        const withLine = async <T>(who: number, work: () => T): Promise<Awaited<T>> => {
          server.cut = cutOff[who]!;
          try {
            return await work();
          } finally {
            await screens[who]!.idle();
            server.cut = false;
          }
        };
        const keysOf = (one: Screen) => one.session().waiting.map(({ key }) => key);
        const note = (one: Screen) => {
          for (const key of keysOf(one)) made.add(key);
        };
        const settleAll = async (who: number, choice: 'mine' | 'theirs' | 'aside') => {
          const { conflict } = screens[who]!.session();
          if (!conflict) return;
          const before = keysOf(screens[who]!);
          if (choice === 'aside' || conflict.issues.length > 0) screens[who]!.putAside();
          else screens[who]!.settle(choice === 'mine' ? [] : conflict.overlaps);
          await screens[who]!.idle();
          for (const key of before) answered.add(key);
        };
        for (const [i, { who, what, step }] of script.entries()) {
          await withLine(who, async () => {
            const one = screens[who]!;
            if (what === 'edit') {
              const command = commandFor('map', one.map(), { ...step, fresh: `d${who}-${i}` });
              one.change(command);
              note(one);
            } else if (what === 'undo') {
              one.undo();
              note(one);
            } else if (what === 'restart') {
              await one.device.db.inTurn(async () => undefined);
              screens[who] = await opened(ownDevices[who]!);
            } else if (what === 'offline') cutOff[who] = true;
            else if (what === 'online') {
              cutOff[who] = false;
              server.cut = false;
              one.online();
            } else await settleAll(who, what);
          });
        }
        cutOff.fill(false);
        for (let round = 0; round < 30; round++) {
          for (const who of [0, 1, 2]) {
            await withLine(who, async () => {
              screens[who]!.online();
              await screens[who]!.idle();
              await screens[who]!.send();
              await settleAll(who, 'mine');
            });
          }
          if (screens.every((one) => one.session().waiting.length === 0)) break;
        }
        // Whoever heard of the last change first has to hear the others’.
        for (const one of screens) {
          one.online();
          await one.idle();
        }
        for (const one of screens) {
          await vi.waitFor(() => expect(one.session().revision).toBe(server.revision));
          expect(one.session().waiting).toEqual([]);
          one.sameAsServer();
        }
        const aside = new Set(
          (await Promise.all(ownDevices.map((own) => own.aside.all()))).flat().map(({ key }) => key),
        );
        const arrived = new Set(server.made.map(({ key }) => key));
        for (const key of made)
          expect(arrived.has(key) || aside.has(key) || answered.has(key), key).toBe(true);
        // What the server keeps is the fold of what it took.
        const folded = server.made.reduce(
          (document, { command }) => applyCommand(document, command).document,
          { ...map, id: 'kelpwick' } as GuardMap,
        );
        expect(folded).toEqual(server.document);
      }),
      { numRuns: 120 },
    );
  }, 120_000);
});
