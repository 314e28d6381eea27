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
  chains: [{ id: 'c', name: 'Pull and pull', exchanges: ['e1', 'e2'] }],
  opponents: [
    {
      id: 'o',
      alias: 'Heron',
      tendencies: [{ position: 'a', look: 'l', reactions: [{ id: 'post', share: 1 }] }],
    },
  ],
  scenarios: [
    { id: 'w', name: 'No sleeves', forbiddenHolds: [{ part: 'sleeve', side: 'far' }], opponent: 'o' },
  ],
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
    const { body } = await change(
      1,
      rename('Sleeve'),
      { do: 'remove', kind: 'chain', id: 'c' },
      { do: 'remove', kind: 'exchange', id: 'e1' },
    ).expect(200);
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

  it('remember who changed what, and what every revision was', async () => {
    await importSmall();
    await test.http
      .post('/api/maps/small/changes')
      .send({ revision: 1, commands: [rename('First')], who: 'Coach Tern' })
      .expect(200);
    await change(2, { do: 'remove', kind: 'chain', id: 'c' }, rename('Second')).expect(200);
    test = await test.restart();
    const { body } = await test.http.get('/api/maps/small/history').expect(200);
    expect(body).toMatchObject([
      { revision: 3, who: '', what: 'chain removed and position “Second”' },
      { revision: 2, who: 'Coach Tern', what: 'position “First”' },
    ]);
    expect((await test.http.get('/api/maps/small/history?before=3')).body).toHaveLength(1);
    const first = await test.http.get('/api/maps/small/revisions/1').expect(200);
    expect(printMapFile(first.body.map)).toBe(printMapFile(small));
    const second = await test.http.get('/api/maps/small/revisions/2').expect(200);
    expect([second.body.map.positions[0].name, second.body.map.exchanges.length]).toEqual(['First', 2]);
    await test.http.get('/api/maps/small/revisions/4').expect(404);
    await test.http.get('/api/maps/small/revisions/x').expect(400);
  });

  it('are copied, removed and had back', async () => {
    await importSmall();
    await test.http.post('/api/maps/small/copy').send({ id: 'second', name: 'Second' }).expect(201);
    const copy = (await test.http.get('/api/maps/second')).body.map;
    expect(copy).toEqual({ ...JSON.parse(JSON.stringify(small)), id: 'second', name: 'Second' });
    await test.http.delete('/api/maps/small').expect(204);
    await test.http.get('/api/maps/small').expect(404);
    await change(1, rename('Ghost')).expect(404);
    const { body: refused } = await test.http.post('/api/maps/import').send(small).expect(409);
    expect(refused.message).toContain('can be had back');
    expect((await test.http.get('/api/maps')).body.map(({ id }: { id: string }) => id)).toEqual(['second']);
    await test.http.post('/api/maps/small/give-back').expect(200);
    expect((await test.http.get('/api/maps/small/file')).text).toBe(printMapFile(small));
    await test.http.post('/api/maps/small/give-back').expect(404);
    await test.http.delete('/api/maps/nothing').expect(404);
  });

  it('go out as GraphML', async () => {
    await importSmall();
    const { text, headers } = await test.http.get('/api/maps/small/graphml').buffer(true).expect(200);
    expect(headers['content-type']).toContain('graphml');
    expect(text).toContain('<edge id="e1" source="a" target="b">');
  });

  it('keep foreign keys on and write-ahead logging', async () => {
    const database = test.app.get(DataSource);
    expect(await database.query('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    expect(await database.query('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  });
});
