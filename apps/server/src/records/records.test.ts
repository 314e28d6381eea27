import 'reflect-metadata';
import { practiceOf } from '@aftersquall/core/log';
import fc from 'fast-check';
import { DataSource } from 'typeorm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { practiceRecords, recordMade } from '../../../../packages/core/src/test/practiceRecords.ts';
import { openApp, type TestApp } from '../test/openApp.ts';
import { trialSums } from './records.service.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

const keep = (records: unknown[]) => test.http.post('/api/records').send({ records });
const practice = async (query: Record<string, string>) =>
  (
    await test.http
      .get('/api/practice')
      .query({ map: 'kelpwick', ...query })
      .expect(200)
  ).body;
const words = { exchange: 'one', position: 'Butterfly', move: 'Lift', meets: '' };
const trial = () =>
  recordMade({ kind: 'trial', ...words, worked: true, resistance: 'full', session: 'session-one' });

describe('records of practice', () => {
  it('are kept once, sent however often, also after a restart', async () => {
    const records = [trial(), trial()];
    expect((await keep(records).expect(200)).body).toEqual({ kept: 2, known: 0 });
    for (let i = 0; i < 9; i++) expect((await keep(records).expect(200)).body).toEqual({ kept: 0, known: 2 });
    test = await test.restart();
    expect((await keep([...records, trial()]).expect(200)).body).toEqual({ kept: 1, known: 2 });
    expect((await practice({})).trials).toMatchObject([{ worked: 3, tried: 3 }]);
  });

  it('stay as they were first kept', async () => {
    const first = trial();
    await keep([first]).expect(200);
    await keep([{ ...first, worked: false }]).expect(200);
    expect((await practice({})).trials[0]).toMatchObject({ worked: 1, tried: 1 });
  });

  it('are taken back by another record, in whatever order the two arrive', async () => {
    const wrong = trial();
    const taken = recordMade({ kind: 'void', voids: wrong.key });
    await keep([taken]).expect(200);
    await keep([wrong, trial()]).expect(200);
    expect((await practice({})).trials[0]).toMatchObject({ tried: 1 });
    const { body } = await test.http.get('/api/records').query({ session: 'session-one' }).expect(200);
    expect(body.records).toHaveLength(1);
  });

  it('go out as CSV, and what was taken back does not', async () => {
    const wrong = trial();
    await keep([trial(), wrong, recordMade({ kind: 'void', voids: wrong.key })]).expect(200);
    const answer = await test.http.get('/api/practice/trials.csv').query({ map: 'kelpwick' }).expect(200);
    expect(answer.headers['content-type']).toContain('text/csv');
    expect(answer.text.split('\r\n')).toEqual([
      'date,position,move,meets,athlete,worked,resistance,count,exchange',
      '2026-09-01,Butterfly,Lift,,,yes,full,1,one',
    ]);
    await test.http.get('/api/practice/trials.csv').expect(400);
  });

  it('of a class are those of its sessions that stand', async () => {
    const session = recordMade({
      kind: 'session',
      session: 'session-one',
      name: 'Tuesday',
      class: 'tuesday',
      people: 8,
      minutes: 60,
    });
    await keep([session, trial()]).expect(200);
    expect((await practice({ class: 'tuesday' })).trials).toHaveLength(1);
    expect((await practice({ class: 'thursday' })).trials).toEqual([]);
    await keep([recordMade({ kind: 'void', voids: session.key })]).expect(200);
    expect((await practice({ class: 'tuesday' })).trials).toEqual([]);
  });

  it('of the quiz are told to an alias by itself, with what was taught and nothing of anybody else', async () => {
    const answer = (alias: string, exchange: string, right: boolean) =>
      recordMade({ kind: 'recall', exchange, move: 'Lift', meets: '', alias, right });
    const taught = recordMade({
      kind: 'block',
      block: 'a',
      title: 'Lift',
      what: 'chain',
      planned: 300,
      ran: 300,
      reached: true,
      exchanges: [{ exchange: 'one', move: 'Lift' }],
    });
    await keep([
      taught,
      answer('Gull', 'one', true),
      answer('Gull', 'one', false),
      answer('Auk', 'two', true),
    ]);
    const { body } = await test.http.get('/api/recall').query({ map: 'kelpwick', alias: 'Gull' }).expect(200);
    expect(body).toEqual({
      taught: ['one'],
      recalled: [{ exchange: 'one', date: '2026-09-01', right: 1, asked: 2 }],
    });
    await test.http.get('/api/recall').query({ map: 'kelpwick' }).expect(400);
  });

  it('are refused with the place where they are wrong, and none of them is kept', async () => {
    const { body } = await keep([trial(), { ...trial(), resistance: 'some' }]).expect(400);
    expect(JSON.stringify(body)).toContain('resistance');
    expect((await practice({})).trials).toEqual([]);
  });

  it('are summed up by the table as they are by the core', async () => {
    const sorted = (value: unknown) =>
      JSON.parse(JSON.stringify(value), (_, inner) =>
        Array.isArray(inner)
          ? [...inner].sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1))
          : inner,
      );
    await fc.assert(
      fc.asyncProperty(
        practiceRecords,
        fc.record(
          {
            from: fc.constantFrom('2026-09-02', '2026-09-08'),
            to: fc.constantFrom('2026-09-08', '2026-09-17'),
            class: fc.constantFrom('tuesday', 'thursday'),
            athlete: fc.constantFrom('gull', 'auk'),
          },
          { requiredKeys: [] },
        ),
        async (records, filter) => {
          const own = await openApp();
          try {
            if (records.length > 0) await own.http.post('/api/records').send({ records }).expect(200);
            const { body } = await own.http
              .get('/api/practice')
              .query({ map: 'kelpwick', ...filter })
              .expect(200);
            expect(sorted(body)).toEqual(sorted(practiceOf(records, { map: 'kelpwick', ...filter })));
          } finally {
            await own.close();
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('are found by their indexes, trials without reading a single body but the words', async () => {
    const plan = async (filter: Parameters<typeof trialSums>[0]) => {
      const { sql, values } = trialSums(filter);
      const steps: { detail: string }[] = await test.app
        .get(DataSource)
        .query(`EXPLAIN QUERY PLAN ${sql}`, values);
      return steps.map(({ detail }) => detail);
    };
    for (const filter of [
      { map: 'kelpwick' },
      { map: 'kelpwick', from: '2026-09-01', to: '2026-10-01' },
      { map: 'kelpwick', athlete: 'gull' },
    ]) {
      const steps = await plan(filter);
      expect(steps.join('\n')).toMatch(/SEARCH record USING (COVERING )?INDEX record_by_/);
      // Nothing of the table is gone through row by row; what is summed up already may be.
      expect(steps.filter((step) => /^SCAN (?!sums)/.test(step))).toEqual([]);
    }
  });
});
