import 'reflect-metadata';
import { type GuardMap, MapSchema, printMapFile } from '@aftersquall/core';
import { DataSource } from 'typeorm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

const small: GuardMap = MapSchema.parse({
  format: 'aftersquall-map',
  version: 1,
  id: 'small',
  name: 'Small',
  systems: [{ id: 's', name: 'Seated' }],
  reactions: [{ id: 'post', name: 'Posts', group: 'posting & base', changes: { 'top.handL': 'posted' } }],
  positions: [
    {
      id: 'a',
      name: 'Seated, sleeve won',
      systems: ['s'],
      entry: 1,
      holds: [
        {
          id: 'h',
          contacts: ['handR'],
          action: 'grip',
          target: { of: 'top', part: 'sleeve', side: 'L', at: 'cuff' },
        },
      ],
      looks: [{ id: 'l', name: 'Pull', reactions: [{ id: 'post', mirrored: true }] }],
      drift: { outcome: 'passed' },
    },
    { id: 'b', name: 'Clamp' },
  ],
  moves: [{ id: 'm', position: 'a', look: 'l', name: 'Pull', kind: 'provoke', direction: 30, seconds: 3 }],
  exchanges: [
    {
      id: 'e1',
      move: 'm',
      reaction: { id: 'post', mirrored: true },
      to: { position: 'b', mirrored: true },
      otherwise: { outcome: 'passed' },
      chance: 0.4,
      basis: 'coach',
    },
    { id: 'e2', move: 'm', reaction: 'none', to: { outcome: 'top-side' }, chance: 0.9 },
  ],
  opponents: [
    {
      id: 'o',
      alias: 'Heron',
      tendencies: [{ position: 'a', look: 'l', reactions: [{ id: 'post', share: 1 }] }],
    },
  ],
  scenarios: [{ id: 'w', name: 'No sleeves', forbiddenHolds: [{ part: 'sleeve' }], opponent: 'o' }],
});
const importSmall = () => test.http.post('/api/maps/import').send(small).expect(201);
const change = (revision: number, ...commands: object[]) =>
  test.http.post('/api/maps/small/changes').send({ revision, commands });
const rename = (name: string) => ({ do: 'put', kind: 'position', value: { ...small.positions[0], name } });

describe('maps over HTTP', () => {
  it('begin empty, and are listed', async () => {
    await test.http.post('/api/maps').send({ id: 'mine', name: 'Mine' }).expect(201);
    const { body } = await test.http.get('/api/maps').expect(200);
    expect(body).toMatchObject([{ id: 'mine', name: 'Mine', revision: 1 }]);
    await test.http.post('/api/maps').send({ id: 'mine', name: 'Again' }).expect(409);
    await test.http.get('/api/maps/nothing').expect(404);
  });

  it('come out of the rows byte for byte as they went in, also after a restart', async () => {
    await importSmall();
    expect((await test.http.get('/api/maps/small/file').expect(200)).text).toBe(printMapFile(small));
    test = await test.restart();
    expect((await test.http.get('/api/maps/small/file').expect(200)).text).toBe(printMapFile(small));
  });

  it('change by commands, give the inverse, and keep it all over a restart', async () => {
    await importSmall();
    const { body } = await change(1, rename('Sleeve'), { do: 'remove', kind: 'exchange', id: 'e1' }).expect(
      200,
    );
    expect(body.revision).toBe(2);
    test = await test.restart();
    const after = (await test.http.get('/api/maps/small').expect(200)).body;
    expect(after.revision).toBe(2);
    expect(after.map.positions[0].name).toBe('Sleeve');
    expect(after.map.exchanges).toHaveLength(1);
    await change(2, body.inverse).expect(200);
    test = await test.restart();
    // What was taken out of the middle of a list is back in its place.
    expect((await test.http.get('/api/maps/small/file')).text).toBe(printMapFile(small));
    const history = await test.app.get(DataSource).query('SELECT revision FROM map_change ORDER BY revision');
    expect(history).toEqual([{ revision: 2 }, { revision: 3 }]);
  });

  it('answer a stale write with 409 and the map as it is', async () => {
    await importSmall();
    await change(1, rename('First')).expect(200);
    const { body } = await change(1, rename('Second')).expect(409);
    expect(body.revision).toBe(2);
    expect(body.map.positions[0].name).toBe('First');
    expect(body.message).toContain('revision 2');
  });

  it('let one of many writers at once through, and refuse the others whole', async () => {
    await importSmall();
    const names = Array.from({ length: 12 }, (_, i) => `Writer ${i}`);
    const answers = await Promise.all(names.map((name) => change(1, rename(name))));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array(11).fill(409)]);
    const { body } = await test.http.get('/api/maps/small');
    expect(body.revision).toBe(2);
    expect(body.map.positions[0].name).toBe(names[answers.findIndex(({ status }) => status === 200)]);
  });

  it('refuse a bad body with the path of every problem, and change nothing', async () => {
    await importSmall();
    const bad = { ...small.exchanges[1], chance: 1.5, to: { outcome: 'glory' }, colour: 'red' };
    const { body } = await change(1, { do: 'put', kind: 'exchange', value: bad }).expect(400);
    expect(body.issues.map(({ path }: { path: string[] }) => path.join('.'))).toEqual([
      'commands.0.value.to.outcome',
      'commands.0.value.chance',
      'commands.0.value',
    ]);
    const dangling = { ...small.exchanges[1], to: { position: 'nowhere' } };
    const refused = await change(1, rename('Half'), { do: 'put', kind: 'exchange', value: dangling }).expect(
      400,
    );
    expect(refused.body.issues).toEqual([
      { path: ['commands', 1, 'value', 'to', 'position'], message: 'there is no position "nowhere"' },
    ]);
    await change(1).expect(400);
    expect((await test.http.get('/api/maps/small/file')).text).toBe(printMapFile(small));
  });

  it('import all or nothing', async () => {
    const bad = structuredClone(small) as { exchanges: { move: string }[] };
    bad.exchanges[0]!.move = 'gone';
    const { body } = await test.http.post('/api/maps/import').send(bad).expect(400);
    expect(body.issues).toEqual([{ path: ['exchanges', 0, 'move'], message: 'there is no move "gone"' }]);
    expect((await test.http.get('/api/maps')).body).toEqual([]);
  });

  it('keep foreign keys on and write-ahead logging', async () => {
    const database = test.app.get(DataSource);
    expect(await database.query('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    expect(await database.query('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  });
});
