import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import type { PoseRecord } from '@aftersquall/core/model';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openApp, type TestApp } from '../test/openApp.ts';

const poses: Record<string, PoseRecord> = JSON.parse(
  readFileSync(new URL('../../../../testing/club/poses.json', import.meta.url), 'utf8'),
);
const [first, second] = Object.entries(poses) as [[string, PoseRecord], [string, PoseRecord]];
let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

const find = async (...keys: string[]) =>
  (await test.http.post('/api/poses/find').send({ keys }).expect(200)).body as unknown;
const keep = (kept: Record<string, unknown>) => test.http.post('/api/poses').send({ poses: kept });

describe('poses that some screen has solved', () => {
  it('are there for the others, after a restart too; what is not known is left out', async () => {
    expect(await find(first[0])).toEqual({ poses: {} });
    await keep({ [first[0]]: first[1] }).expect(200);
    test = await test.restart();
    expect(await find(first[0], second[0])).toEqual({ poses: { [first[0]]: first[1] } });
  });

  it('stay as they were first kept', async () => {
    await keep({ [first[0]]: first[1] }).expect(200);
    await keep({ [first[0]]: second[1], [second[0]]: second[1] }).expect(200);
    expect(await find(first[0], second[0])).toEqual({
      poses: { [first[0]]: first[1], [second[0]]: second[1] },
    });
  });

  it('are refused with the place where they are wrong, and nothing is kept', async () => {
    const { body } = await keep({
      [first[0]]: first[1],
      [second[0]]: { ...second[1], energy: 'much' },
    }).expect(400);
    expect(JSON.stringify(body)).toContain('energy');
    await keep({ 'no key': first[1] }).expect(400);
    expect(await find(first[0])).toEqual({ poses: {} });
  });
});
