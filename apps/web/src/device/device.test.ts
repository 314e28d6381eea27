import 'fake-indexeddb/auto';
import { ClassSchema } from '@aftersquall/core/model';
import { type RunEvent } from '@aftersquall/core/run';
import { openDB } from 'idb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { recordMade } from '../../../../packages/core/src/test/practiceRecords.ts';
import { carryOver } from './carryOver.ts';
import { createDevice } from './device.ts';

let devices = 0;
const newDevice = () => createDevice(`kept-${devices++}`);

let small: Map<string, string>;
beforeEach(() => {
  small = new Map();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => small.get(key) ?? null,
    setItem: (key: string, value: string) => small.set(key, value),
    removeItem: (key: string) => small.delete(key),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('a device', () => {
  it('lets go of records that are long on the server, and of none that still wait', async () => {
    const { records } = newDevice();
    const days = ['2026-01-05', '2026-01-06', '2026-03-01'];
    const [old, unsent, recent] = days.map((date) => recordMade({ kind: 'note', text: date, date })) as [
      ReturnType<typeof recordMade>,
      ReturnType<typeof recordMade>,
      ReturnType<typeof recordMade>,
    ];
    await records.keep([old, unsent, recent]);
    await records.confirm([old.key, recent.key]);
    await records.forgetBefore('2026-02-01');
    const kept = await records.ofSession(old.session);
    expect(kept.map(({ key }) => key).sort()).toEqual([unsent.key, recent.key].sort());
    expect((await records.waiting()).map(({ key }) => key)).toEqual([unsent.key]);
  });

  it('keeps a record once, however often it is made', async () => {
    const { records } = newDevice();
    const record = recordMade({ kind: 'note', text: 'once' });
    expect(await records.keep([record])).toEqual([record]);
    await records.confirm([record.key]);
    expect(await records.keep([record])).toEqual([]);
    expect(await records.waiting()).toEqual([]);
  });

  it('lets a record that was put aside wait again, as it was', async () => {
    const { records, aside } = newDevice();
    const record = recordMade({ kind: 'note', text: 'refused once' });
    await records.keep([record]);
    await records.putAside(record, 'not today');
    expect(await records.waiting()).toEqual([]);
    await records.takeUp(record);
    expect(await records.waiting()).toEqual([record]);
    expect(await aside.all()).toEqual([]);
    // It is one record still.
    expect(await records.ofSession(record.session)).toEqual([record]);
  });

  it('goes on after a newer program has taken the database over, and says that it keeps nothing', async () => {
    const name = `kept-${devices++}`;
    const { cells, db } = createDevice(name);
    await cells.read();
    expect(db.lasting()).toBe(true);
    (await openDB(name, 2)).close();
    await db.write(['settings'], (store) => void store('settings').put('Coach Tern', 'coach'));
    expect(await db.inTurn((database) => database.get('settings', 'coach'))).toBe('Coach Tern');
    expect(db.lasting()).toBe(false);
  });

  it('puts aside records and events of a newer version, and opens without them', async () => {
    const device = newDevice();
    await device.records.keep([recordMade({ kind: 'note', text: 'good' })]);
    await device.db.write(['waiting', 'runs'], (store) => {
      void store('waiting').put({ key: 'from-the-future', kind: 'hologram', date: '2027-01-01' } as never);
      void store('runs').add({ class: 'tuesday', event: { id: 'future-event', do: 'levitated' } as never });
    });
    expect(await device.records.waiting()).toHaveLength(1);
    expect(await device.runs.latest('tuesday')).toEqual([]);
    expect((await device.aside.all()).map(({ what }) => what).sort()).toEqual(['record', 'run']);
  });

  it('gives the events of the latest run of a class, in order', async () => {
    const device = newDevice();
    const plan = ClassSchema.parse({
      format: 'aftersquall-class',
      version: 1,
      id: 'tuesday',
      name: 'Tuesday',
      map: 'kelpwick',
      minutes: 60,
      people: 14,
      apparel: 'gi',
      blocks: [],
    });
    const event = (run: string, id: string, at: number): RunEvent =>
      ({ id, run, at, do: 'started', plan, countdown: 0 }) as RunEvent;
    for (const [run, id] of [
      ['run-of-monday', 'event-one'],
      ['run-of-today', 'event-two'],
      ['run-of-today', 'event-three'],
    ] as const)
      await device.runs.append('tuesday', event(run, id, 1000));
    await device.runs.append('other', event('run-of-other', 'event-four', 1000));
    expect((await device.runs.latest('tuesday')).map(({ id }) => id)).toEqual(['event-two', 'event-three']);
  });

  it('makes room by letting go of what can be computed again', async () => {
    const device = newDevice();
    await device.db.write(['pictures'], (store) => void store('pictures').put({ paths: [] } as never, 'a'));
    let full = true;
    await device.db.write(['settings'], (store) => {
      if (full) {
        full = false;
        throw new DOMException('no room', 'QuotaExceededError');
      }
      void store('settings').put('kept', 'word');
    });
    expect(await device.db.inTurn((database) => database.get('settings', 'word'))).toBe('kept');
    expect(await device.db.inTurn((database) => database.count('pictures'))).toBe(0);
  });

  it('takes over what older versions kept in other places', async () => {
    const device = newDevice();
    const record = recordMade({ kind: 'note', text: 'from before' });
    const old = await openDB('aftersquall-records', 1, {
      upgrade(database) {
        database.createObjectStore('waiting', { keyPath: 'key' });
        database.createObjectStore('own', { keyPath: 'key' }).createIndex('session', 'session');
      },
    });
    await old.put('waiting', record);
    await old.put('own', record);
    old.close();
    const change = { key: 'waiting-change', address: 'map/kelpwick', order: 1, commands: [{ do: 'remove' }] };
    const changes = await openDB('aftersquall', 1, {
      upgrade(database) {
        database.createObjectStore('changes', { keyPath: 'key' }).createIndex('address', 'address');
      },
    });
    await changes.put('changes', change);
    small.set(
      'aftersquall.settings',
      JSON.stringify({ coach: 'Coach Tern', theme: 'dark', apparel: 'no-gi' }),
    );
    small.set('aftersquall.device', 'ab_cd-12');
    await carryOver(device.db, device.cells);
    // Though an older tab still has its database open.
    expect(await device.db.inTurn((database) => database.getAll('changes'))).toEqual([change]);
    expect(await changes.count('changes')).toBe(0);
    changes.close();
    expect((await device.records.waiting()).map(({ key }) => key)).toEqual([record.key]);
    expect(device.cells.setting('coach')).toBe('Coach Tern');
    expect(device.cells.setting('apparel')).toBe('no-gi');
    // An underscore would end the device's name in the keys of its changes.
    expect(device.name()).toBe('ab-cd-12');
    expect([...small]).toEqual([['aftersquall.theme', 'dark']]);
    // Once is enough.
    await carryOver(device.db, device.cells);
    expect(await device.records.waiting()).toHaveLength(1);
  });

  it('keeps what is typed, and forgets it once it is saved', async () => {
    const name = `kept-${devices++}`;
    const before = createDevice(name);
    before.cells.keepDraft('map/a/position/b/Note', { text: 'half a sent', from: '', at: 1 });
    before.cells.keepDraft('map/a/position/b/Name', { text: 'x', from: '', at: 1 });
    before.cells.keepDraft('map/a/position/b/Name', undefined);
    await before.db.inTurn(async () => undefined);
    const after = createDevice(name);
    await after.cells.read();
    expect(after.cells.draft('map/a/position/b/Note')?.text).toBe('half a sent');
    expect(after.cells.draft('map/a/position/b/Name')).toBeUndefined();
  });
});
