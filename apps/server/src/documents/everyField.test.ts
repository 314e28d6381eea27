import 'reflect-metadata';
import { printMapFile } from '@aftersquall/core/formats';
import fc from 'fast-check';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { guardMap } from '../../../../packages/core/src/test/arbitraries.ts';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

it('whatever fields a map has are there after a restart: nothing needs a column of its own', async () => {
  const maps = fc
    .sample(guardMap, { numRuns: 25, seed: 7 })
    .map((map, i) => ({ ...map, id: `map-${i}`, name: `Map ${i}` }));
  for (const map of maps) await test.http.post('/api/documents/map').send(map).expect(201);
  // A field that has no default and is seldom there comes and stays as any other.
  const [first] = maps;
  await test.http
    .post(`/api/documents/map/${first!.id}/changes`)
    .send({
      base: 1,
      key: 'a-rare-field',
      commands: [
        {
          do: 'set',
          kind: 'position',
          id: first!.positions[0]!.id,
          changes: [{ path: ['rest'], value: -1.5 }],
        },
      ],
    })
    .expect(200);
  test = await test.restart();
  for (const [i, map] of maps.entries()) {
    const { document } = (await test.http.get(`/api/documents/map/${map.id}`).expect(200)).body;
    const kept =
      i === 0 ? { ...map, positions: map.positions.with(0, { ...map.positions[0]!, rest: -1.5 }) } : map;
    expect(printMapFile(document)).toBe(printMapFile(kept));
  }
});
