import 'reflect-metadata';
import { printMapFile } from '@aftersquall/core/formats';
import { emptyClub, type GuardMap, MapSchema } from '@aftersquall/core/model';
import { DataSource } from 'typeorm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
let keys = 0;
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
const keep = (document: object = small) => test.http.post('/api/documents/map').send(document);
const file = async () => (await test.http.get('/api/maps/small/file').expect(200)).text;
const open = async (address = 'map/small') =>
  (await test.http.get(`/api/documents/${address}`).expect(200)).body as {
    revision: number;
    document: GuardMap;
  };
const change = (base: number, commands: object[], more: object = {}) =>
  test.http
    .post('/api/documents/map/small/changes')
    .send({ base, key: `change-${keys++}-key`, commands, ...more });
const set = (kind: string, id: string, field: string, value?: unknown) => ({
  do: 'set',
  kind,
  id,
  changes: [value === undefined ? { path: [field] } : { path: [field], value }],
});
const rename = (name: string) => set('position', 'a', 'name', name);

describe('documents over HTTP', () => {
  it('are kept and listed, each once', async () => {
    await keep().expect(201, { id: 'small', revision: 1 });
    await keep().expect(409);
    expect((await test.http.get('/api/documents/map').expect(200)).body).toEqual([
      { id: 'small', revision: 1, head: { name: 'Small' } },
    ]);
    expect((await test.http.get('/api/documents/class')).body).toEqual([]);
    await test.http.get('/api/documents/map/nothing').expect(404);
    await test.http.get('/api/documents/song').expect(400);
    const { body } = await test.http.post('/api/documents/class').send(small).expect(400);
    expect(body.issues).toEqual([{ path: ['format'], message: 'this is a map, and the address says class' }]);
  });

  it('come out byte for byte as they went in, also after a restart', async () => {
    await keep();
    expect(await file()).toBe(printMapFile(small));
    test = await test.restart();
    expect(await file()).toBe(printMapFile(small));
  });

  it('change by commands and keep it all over a restart, in the order of their lists', async () => {
    await keep();
    const added = { ...small.positions[1], id: 'first', name: 'First' };
    await change(1, [rename('Sleeve'), { do: 'put', kind: 'position', value: added, at: 0 }]).expect(200, {
      revision: 2,
    });
    await change(2, [{ do: 'remove', kind: 'exchange', id: 'e1' }]).expect(200);
    await change(3, [{ do: 'place', kind: 'position', id: 'b', at: 0 }]).expect(200);
    test = await test.restart();
    const { revision, document } = await open();
    expect(revision).toBe(4);
    expect(document.positions.map(({ name }) => name)).toEqual(['Clamp', 'First', 'Sleeve']);
    // The chain through the exchange could not stand without it.
    expect([document.exchanges.length, document.chains.length]).toEqual([1, 0]);
    const inverses = (
      await test.http.get('/api/documents/map/small/changes?after=1').expect(200)
    ).body.changes
      .map(({ inverse }: { inverse: object }) => inverse)
      .reverse();
    await change(4, inverses).expect(200);
    test = await test.restart();
    expect(await file()).toBe(printMapFile(small));
  });

  it('take a change for an older revision where it meets nothing, and say field by field where it does', async () => {
    await keep();
    await change(1, [set('exchange', 'e1', 'note', 'theirs')]).expect(200);
    await change(1, [set('exchange', 'e1', 'chance', 0.5)]).expect(200, { revision: 3 });
    const { body } = await change(1, [
      set('exchange', 'e1', 'chance', 0.7),
      set('exchange', 'e1', 'seconds', 9),
    ]).expect(409);
    expect(body).toMatchObject({
      revision: 3,
      overlaps: [{ kind: 'exchange', id: 'e1', path: ['chance'], theirs: 0.5, mine: 0.7 }],
    });
    expect((await open()).document.exchanges[0]).toMatchObject({ chance: 0.5, note: 'theirs' });
    // A removal would take along what was changed since.
    const removed = await change(1, [{ do: 'remove', kind: 'position', id: 'a' }]).expect(409);
    expect(removed.body.overlaps).toHaveLength(2);
    // What is gone cannot be built on: that is nobody's fault, and says so.
    await change(3, [{ do: 'remove', kind: 'position', id: 'b' }]).expect(200);
    const gone = await change(3, [set('exchange', 'e2', 'to', { position: 'b' })]).expect(409);
    expect(gone.body.issues[0].message).toBe('there is no position "b"');
  });

  it('take a change once, however often it is sent', async () => {
    await keep();
    const send = () => change(1, [rename('Once')], { key: 'the-same-key' });
    const answers = await Promise.all([send(), send(), send()]);
    expect(answers.map(({ status, body }) => [status, body.revision])).toEqual(Array(3).fill([200, 2]));
    await change(2, [rename('Twice')]).expect(200);
    test = await test.restart();
    expect((await send()).body).toEqual({ revision: 2 });
    expect((await open()).document.positions[0]!.name).toBe('Twice');
    expect((await test.http.get('/api/documents/map/small/history')).body).toHaveLength(2);
  });

  it('come out the same however a stream of changes was doubled and out of order', async () => {
    await keep();
    const stream = Array.from({ length: 30 }, (_, i) => ({
      base: 1,
      key: `stream-key-${i}`,
      commands: [
        i % 3 === 0
          ? { do: 'put', kind: 'position', value: { id: `p${i}`, name: `P ${i}` } }
          : i % 3 === 1
            ? set('move', 'm', 'name', `text ${i}`)
            : set('reaction', 'post', 'feel', `text ${i}`),
      ],
    }));
    const sent = [...stream, ...stream.slice(5, 20), ...stream.slice(0, 10)];
    const statuses = await Promise.all(
      sent.map(async (body) => (await test.http.post('/api/documents/map/small/changes').send(body)).status),
    );
    // Of those that write the same field, the first is taken; the others are conflicts, every time they are sent.
    expect(new Set(statuses)).toEqual(new Set([200, 409]));
    const { document, revision } = await open();
    expect(document.positions).toHaveLength(2 + 10);
    expect([document.moves[0]!.name, document.reactions[0]!.feel]).toEqual(['text 1', 'text 2']);
    expect(revision).toBe(1 + 10 + 2);
    expect((await test.http.get('/api/documents/map/small/history')).body).toHaveLength(12);
  });

  it('let many writers at once all through where they touch different things', async () => {
    await keep();
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        change(1, [{ do: 'put', kind: 'position', value: { id: `w${i}`, name: 'W' } }]),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array(12).fill(200));
    expect((await open()).document.positions).toHaveLength(14);
  });

  it('refuse bad input with the path of every problem, and change nothing', async () => {
    await keep();
    const bad = { ...small.exchanges[1], chance: 1.5, to: { outcome: 'glory' }, colour: 'red' };
    const { body } = await change(1, [{ do: 'put', kind: 'exchange', value: bad }]).expect(400);
    expect(body.issues.map(({ path }: { path: string[] }) => path.join('.')).sort()).toEqual([
      'value',
      'value.chance',
      'value.to.outcome',
    ]);
    const dangling = { ...small.exchanges[1], to: { position: 'nowhere' } };
    const refused = await change(1, [
      rename('Half'),
      { do: 'put', kind: 'exchange', value: dangling },
    ]).expect(400);
    expect(refused.body.issues).toEqual([
      { path: ['commands', 1, 'value', 'to', 'position'], message: 'there is no position "nowhere"' },
    ]);
    await change(1, []).expect(400);
    await change(1, [{ do: 'dance' }]).expect(400);
    await change(7, [rename('Later')]).expect(400);
    await change(1, [rename('Keyless')], { key: 'x' }).expect(400);
    const broken = structuredClone(small) as { exchanges: { move: string }[]; id: string };
    Object.assign(broken, { id: 'broken' });
    broken.exchanges[0]!.move = 'gone';
    const import_ = await keep(broken).expect(400);
    expect(import_.body.issues).toEqual([
      { path: ['exchanges', 0, 'move'], message: 'there is no move "gone"' },
    ]);
    expect(await file()).toBe(printMapFile(small));
    expect((await test.http.get('/api/documents/map')).body).toHaveLength(1);
  });

  it('remember who changed what, and what every revision was', async () => {
    await keep();
    await change(1, [rename('First')], { who: 'Coach Tern' }).expect(200);
    await change(2, [{ do: 'remove', kind: 'chain', id: 'c' }, rename('Second')]).expect(200);
    test = await test.restart();
    const { body } = await test.http.get('/api/documents/map/small/history').expect(200);
    expect(body).toMatchObject([
      {
        revision: 3,
        who: '',
        what: 'chain “Pull and pull” removed and position “First” → “Second”',
      },
      { revision: 2, who: 'Coach Tern', what: 'position “Seated, sleeve won” → “First”' },
    ]);
    expect((await test.http.get('/api/documents/map/small/history?before=3')).body).toHaveLength(1);
    const at = async (revision: number) =>
      (await test.http.get(`/api/documents/map/small/revisions/${revision}`).expect(200)).body.document;
    expect(printMapFile(await at(1))).toBe(printMapFile(small));
    expect((await at(2)).positions[0].name).toBe('First');
    await test.http.get('/api/documents/map/small/revisions/4').expect(404);
    await test.http.get('/api/documents/map/small/revisions/x').expect(400);
  });

  it('are removed and given back', async () => {
    await keep();
    await test.http.delete('/api/documents/map/small').expect(204);
    await test.http.get('/api/documents/map/small').expect(404);
    await change(1, [rename('Ghost')]).expect(404);
    expect((await keep().expect(409)).body.message).toContain('can be given back');
    await test.http.post('/api/documents/map/small/restore').expect(200);
    expect(await file()).toBe(printMapFile(small));
    await test.http.post('/api/documents/map/small/restore').expect(404);
    await test.http.delete('/api/documents/map/nothing').expect(404);
  });

  it('that were removed are listed for thirty days and deleted after that', async () => {
    await keep();
    await change(1, [rename('First')]).expect(200);
    await test.http.delete('/api/documents/map/small').expect(204);
    const removed = async () => (await test.http.get('/api/removed').expect(200)).body;
    const [line] = await removed();
    expect(line).toMatchObject({ kind: 'map', id: 'small', name: small.name });
    expect(Date.parse(line.keptUntil) - Date.parse(line.removedAt)).toBe(30 * 24 * 60 * 60 * 1000);
    const removedDaysAgo = async (days: number) => {
      const at = new Date(Date.now() - days * 24 * 60 * 60 * 1000).toISOString();
      await test.app.get(DataSource).query('UPDATE document SET removed_at = ?', [at]);
      test = await test.restart();
    };
    await removedDaysAgo(29);
    expect(await removed()).toHaveLength(1);
    await removedDaysAgo(31);
    expect(await removed()).toEqual([]);
    for (const table of ['document', 'entity', 'change'])
      expect(await test.app.get(DataSource).query(`SELECT count(*) AS n FROM ${table}`)).toEqual([{ n: 0 }]);
    await keep().expect(201);
  });

  it('are told apart from others of the same name by when they were first kept', async () => {
    await keep();
    const { body: first } = await test.http.get('/api/documents/map/small').expect(200);
    const { body: page } = await test.http.get('/api/documents/map/small/changes?after=1').expect(200);
    expect(page).toEqual({ revision: 1, born: first.born, changes: [] });
  });

  it('take a coach’s own earlier change on the same device for granted', async () => {
    await keep();
    const send = (key: string, who: string, name: string) =>
      test.http
        .post('/api/documents/map/small/changes')
        .send({ base: 1, key, who, commands: [rename(name)] });
    await send('tablet_change-one', 'Tern', 'One').expect(200);
    await send('tablet_change-two', 'Tern', 'Two').expect(200);
    await send('phone_change-three', 'Gull', 'Three').expect(409);
  });

  it('of every kind are kept by the same rules', async () => {
    await test.http.post('/api/documents/club').send(emptyClub('club', 'Harbour')).expect(201);
    const athlete = { id: 'heron', alias: 'Heron', mass: 81 };
    const send = (base: number, command: object) =>
      test.http
        .post('/api/documents/club/club/changes')
        .send({ base, key: `club-key-${keys++}`, commands: [command] });
    await send(1, { do: 'put', kind: 'athlete', value: athlete }).expect(200);
    const { body } = await send(2, { do: 'put', kind: 'athlete', value: { ...athlete, mass: 900 } }).expect(
      400,
    );
    expect(body.issues).toEqual([{ path: ['value', 'mass'], message: 'at most 300 kg' }]);
    expect((await test.http.get('/api/documents/club/club')).body.document.athletes[0]).toMatchObject({
      alias: 'Heron',
      level: 'novice',
    });
  });

  it('go out as GraphML, and the contract as OpenAPI', async () => {
    await keep();
    const { text, headers } = await test.http.get('/api/maps/small/graphml').buffer(true).expect(200);
    expect(headers['content-type']).toContain('graphml');
    expect(text).toContain('<edge id="e1" source="a" target="b">');
    const { body } = await test.http.get('/api/openapi.json').expect(200);
    expect(body.paths['/api/documents/{kind}/{id}/changes'].post.responses['409'].description).toContain(
      'overlaps',
    );
    expect(body.paths['/api/documents/{kind}'].get.parameters).toEqual([
      {
        name: 'kind',
        in: 'path',
        required: true,
        schema: { type: 'string', enum: ['map', 'class', 'club'] },
      },
    ]);
  });

  it('are on disk before they are confirmed, with foreign keys on and write-ahead logging', async () => {
    const database = test.app.get(DataSource);
    expect(await database.query('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    expect(await database.query('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(await database.query('PRAGMA synchronous')).toEqual([{ synchronous: 2 }]);
  });
});
