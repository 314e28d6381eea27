import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { emptyMap } from '@aftersquall/core/model';
import { type Weighing, weighMap } from '@aftersquall/core/weigh';
import Papa from 'papaparse';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openApp, type TestApp } from '../test/openApp.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
let test: TestApp;
beforeEach(async () => {
  test = await openApp();
  await test.http.post('/api/documents/map').send(demo).expect(201);
});
afterEach(() => test.close());

const asked = (path: string, whatIf: object) =>
  test.http.get(`/api/maps/kelpwick/weighing${path}`).query({ whatIf: JSON.stringify(whatIf) });

describe('a weighed map from the server', () => {
  it('is what the screen computes, its dear holes solved again', async () => {
    const { body } = await test.http.get('/api/maps/kelpwick/weighing').expect(200);
    const here = weighMap(demo);
    const there = body as Weighing;
    expect(there.entry).toBeCloseTo(here.entry, 9);
    expect(there.positions).toHaveLength(demo.positions.length);
    for (const { stake, exact } of there.holes) if (stake > 0) expect(exact).toBe(true);
  });

  it('under a what-if is another one', async () => {
    const { body } = await asked('', { submissionWorth: 20, apparel: 'no-gi' }).expect(200);
    const here = weighMap(demo, { submissionWorth: 20, apparel: 'no-gi' });
    expect((body as Weighing).entry).toBeCloseTo(here.entry, 9);
  });

  it('without the far side of a class of holds keeps what the near side brings', async () => {
    const without = async (forbiddenHolds: object[]) => {
      const { body } = await asked('', { forbiddenHolds }).expect(200);
      return (body as Weighing).entry;
    };
    const [near, far, both] = [
      await without([{ part: 'sleeve', side: 'near' }]),
      await without([{ part: 'sleeve', side: 'far' }]),
      await without([{ part: 'sleeve' }]),
    ];
    expect(both).toBeLessThanOrEqual(Math.min(near, far) + 1e-9);
    expect(far).not.toBeCloseTo(near, 6);
    const nowhere = await asked('', { forbiddenHolds: [{ part: 'sleeve', side: 'beside' }] }).expect(400);
    expect(nowhere.body.issues[0].path).toEqual(['whatIf', 'forbiddenHolds', 0, 'side']);
  });

  it('is a round that a kept what-if and an opponent change alike', async () => {
    const { body: stored } = await test.http.get('/api/documents/map/kelpwick').expect(200);
    const opponent = demo.opponents[0]!;
    const commands = [
      {
        do: 'put',
        kind: 'scenario',
        value: { id: 'bold', name: 'Bold', opponent: opponent.id, trust: 1, submissionWorth: 12 },
      },
    ];
    await test.http
      .post('/api/documents/map/kelpwick/changes')
      .send({ base: stored.revision, key: 'a-what-if', commands })
      .expect(200);
    const { body: after } = await test.http.get('/api/documents/map/kelpwick').expect(200);
    const {
      id: _,
      name: __,
      note: ___,
      ...kept
    } = after.document.scenarios.find(({ id }: { id: string }) => id === 'bold');
    const { body } = await asked('', kept).expect(200);
    const here = weighMap(demo, { tendencies: opponent.tendencies, trust: 1, submissionWorth: 12 });
    expect((body as Weighing).gain).toBeCloseTo(here.gain, 9);
    expect((body as Weighing).worst).toBeCloseTo(here.worst, 9);
  });

  it('goes out as tables', async () => {
    const { text, headers } = await test.http.get('/api/maps/kelpwick/weighing/values.csv').expect(200);
    expect(headers['content-type']).toBe('text/csv; charset=utf-8');
    const { data } = Papa.parse<Record<string, string>>(text, { header: true });
    expect(data.map(({ position }) => position)).toEqual(demo.positions.map(({ name }) => name));
    for (const sheet of ['holes', 'top'])
      await test.http.get(`/api/maps/kelpwick/weighing/${sheet}.csv`).expect(200);
  });

  it('holds up nobody: a save that comes after it is done before it', async () => {
    const { body: stored } = await test.http.get('/api/documents/map/kelpwick').expect(200);
    const done: string[] = [];
    const weighing = test.http.get('/api/maps/kelpwick/weighing').then(() => done.push('weighed'));
    const commands = [{ do: 'describe', changes: [{ path: ['name'], value: 'Saved' }] }];
    const save = test.http
      .post('/api/documents/map/kelpwick/changes')
      .send({ base: stored.revision, key: 'while-weighing', commands })
      .then(({ status }) => done.push(`saved ${status}`));
    await Promise.all([weighing, save]);
    expect(done).toEqual(['saved 200', 'weighed']);
  });

  it('says what is wrong with the question', async () => {
    await test.http.get('/api/maps/kelpwick/weighing/nothing.csv').expect(400);
    await test.http.get('/api/maps/lost/weighing').expect(404);
    const garbled = await test.http.get('/api/maps/kelpwick/weighing?whatIf={').expect(400);
    expect(garbled.body.issues[0].message).toContain('as JSON');
    const beyond = await asked('', { continuation: 1 }).expect(400);
    expect(beyond.body.issues[0].path).toEqual(['whatIf', 'continuation']);
    const gone = await asked('', { opponent: 'lost' }).expect(422);
    expect(gone.body.message).toContain('choose another one');
    await test.http.post('/api/documents/map').send(emptyMap('bare', 'Bare')).expect(201);
    const bare = await test.http.get('/api/maps/bare/weighing').expect(422);
    expect(bare.body.message).toContain('rounds can start nowhere');
  });
});
