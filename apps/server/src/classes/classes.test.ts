import 'reflect-metadata';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

const plan = {
  id: 'tuesday',
  name: 'Tuesday',
  map: 'no-such-map',
  minutes: 60,
  people: 14,
  apparel: 'gi',
  changeOverSeconds: 10,
  blocks: [{ kind: 'rest', id: 'r', title: 'Water', note: '', seconds: 60 }],
  leftOver: ['e1'],
};
const save = (revision: number, changes: object = {}) =>
  test.http.put('/api/classes/tuesday').send({ revision, plan: { ...plan, ...changes } });

describe('classes over HTTP', () => {
  it('are saved, found again after a restart, and removed with what is needed to undo it', async () => {
    await save(0).expect(200);
    test = await test.restart();
    expect((await test.http.get('/api/classes')).body).toEqual([{ revision: 1, plan }]);
    expect((await test.http.delete('/api/classes/tuesday?revision=1').expect(200)).body.plan).toEqual(plan);
    await test.http.get('/api/classes/tuesday').expect(404);
    await save(0).expect(200);
  });

  it('answer a stale write with 409 and the other version', async () => {
    await save(0).expect(200);
    await save(1, { name: 'First' }).expect(200);
    const { body } = await save(1, { name: 'Second' }).expect(409);
    expect(body).toMatchObject({ revision: 2, plan: { name: 'First' } });
    await save(0).expect(409);
    await test.http.delete('/api/classes/tuesday?revision=1').expect(409);
  });

  it('say where a bad class is wrong', async () => {
    const blocks = [
      { ...plan.blocks[0], seconds: 0 },
      { kind: 'answer', id: 'x', title: '' },
    ];
    const { body } = await save(0, { minutes: 0, blocks }).expect(400);
    const paths = body.issues.map(({ path }: { path: string[] }) => path.join('.'));
    expect(paths).toEqual(
      expect.arrayContaining([
        'plan.minutes',
        'plan.blocks.0.seconds',
        'plan.blocks.1.title',
        'plan.blocks.1.reps',
      ]),
    );
    await test.http.put('/api/classes/other').send({ revision: 0, plan }).expect(400);
    expect((await test.http.get('/api/classes')).body).toEqual([]);
  });
});
