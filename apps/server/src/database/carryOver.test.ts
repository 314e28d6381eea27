import 'reflect-metadata';
import { copyFile, mkdtemp, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { printMapFile, upgradeMap } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { expect, it } from 'vitest';
import { openApp } from '../test/openApp.ts';

const fixture = (name: string) => new URL(`../../fixtures/${name}`, import.meta.url);

/** What the version before documents gave for the database in the fixtures. */
interface Before {
  map: { revision: number; map: GuardMap };
  first: { map: GuardMap };
  third: { map: GuardMap };
  history: { revision: number; who: string; at: string }[];
  class: { plan: { blocks: { kind: string }[] } };
}

it('a database of the version before documents is carried over whole: maps, histories, classes', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'aftersquall-'));
  await copyFile(fixture('before-documents.db'), path.join(folder, 'test.db'));
  const before = JSON.parse(await readFile(fixture('before-documents.json'), 'utf8')) as Before;
  const test = await openApp(folder);
  const get = async (address: string) => (await test.http.get(`/api/documents/${address}`).expect(200)).body;

  expect(await get('map')).toEqual([
    { id: 'old-club', revision: before.map.revision, head: { name: 'Old club, spring' } },
  ]);
  const { revision, document } = await get('map/old-club');
  expect(revision).toBe(before.map.revision);
  // Mechanics were names in moves then; they are things of the map now, and stay that at every revision.
  const { mechanics } = upgradeMap(before.map.map) as GuardMap;
  expect(mechanics.length).toBeGreaterThan(0);
  const asOfNow = (map: GuardMap) => printMapFile({ ...(upgradeMap(map) as GuardMap), mechanics });
  expect(printMapFile(document)).toBe(asOfNow(before.map.map));
  const at = async (number: number) => (await get(`map/old-club/revisions/${number}`)).document;
  expect(printMapFile(await at(1))).toBe(asOfNow(before.first.map));
  expect(printMapFile(await at(3))).toBe(asOfNow(before.third.map));
  const history: Before['history'] = await get('map/old-club/history');
  expect(history.map(({ revision: number, who, at: when }) => [number, who, when])).toEqual(
    before.history.map((line) => [line.revision, line.who, line.at]),
  );
  // A block that drills one exchange is called a link now, and may say why it is there.
  const blocks = before.class.plan.blocks.map((block) => ({
    ...block,
    kind: block.kind === 'answer' ? 'link' : block.kind,
    why: '',
  }));
  expect(await get('class/old-tuesday')).toMatchObject({
    revision: 1,
    document: { format: 'aftersquall-class', version: 1, ...before.class.plan, blocks },
  });
  await test.http.post('/api/documents/map/gone/restore').expect(200);

  // It is a document like any other from here on.
  await test.http
    .post('/api/documents/map/old-club/changes')
    .send({
      base: revision,
      key: 'after-the-move',
      commands: [{ do: 'set', kind: 'system', id: 'extra', changes: [{ path: ['name'], value: 'More' }] }],
    })
    .expect(200);
  await test.close();
});
