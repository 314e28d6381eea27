import 'reflect-metadata';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { createApp } from './createApp.ts';
import { seed } from './seed.ts';
import { openApp } from './test/openApp.ts';

const demoFolder = fileURLToPath(new URL('../../../testing/club/', import.meta.url));
let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'aftersquall-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

describe('the web application', () => {
  it('is served with its pages, its files and headers that keep strangers out', async () => {
    await mkdir(path.join(folder, 'web/assets'), { recursive: true });
    await writeFile(path.join(folder, 'web/index.html'), '<title>Aftersquall</title>');
    await writeFile(path.join(folder, 'web/assets/index-1.js'), 'export {};');
    const app = await createApp({
      databaseFile: path.join(folder, 'a.db'),
      webFolder: path.join(folder, 'web'),
    });
    await app.listen(0, '127.0.0.1');
    const http = request(app.getHttpServer());
    for (const page of ['/', '/map/kelpwick', '/club/classes/tuesday']) {
      const { text, headers } = await http.get(page).expect(200);
      expect(text).toContain('Aftersquall');
      expect(headers['content-security-policy']).toContain("default-src 'self'");
    }
    const asset = await http.get('/assets/index-1.js').expect(200);
    expect(asset.headers['cache-control']).toContain('immutable');
    await http.get('/assets/gone.js').expect(404);
    await http.get('/api/nothing').expect(404);
    expect((await http.get('/api/health').expect(200)).body).toEqual({ ok: true });
    await app.close();
  });
});

describe('seeding', () => {
  it('brings the demo into an empty database once, and never over a coach’s own work', async () => {
    const test = await openApp();
    await seed(test.app, demoFolder);
    expect((await test.http.get('/api/documents/map')).body).toMatchObject([{ id: 'kelpwick', revision: 1 }]);
    expect((await test.http.get('/api/documents/class')).body).toMatchObject([
      { id: 'tuesday', revision: 1, head: { map: 'kelpwick', minutes: 60 } },
    ]);
    const { document } = (await test.http.get('/api/documents/map/kelpwick')).body;
    const value = { ...document.positions[0], name: 'Mine now' };
    await test.http
      .post('/api/documents/map/kelpwick/changes')
      .send({ base: 1, key: 'mine-now', commands: [{ do: 'put', kind: 'position', value }] });
    const again = await test.restart();
    await seed(again.app, demoFolder);
    expect((await again.http.get('/api/documents/map/kelpwick')).body.document.positions[0].name).toBe(
      'Mine now',
    );
    await again.close();
  });
});

describe('a body that is no JSON', () => {
  it('is refused with 400, and so is one that is far too large', async () => {
    const test = await openApp();
    await test.http
      .post('/api/documents/map')
      .set('content-type', 'application/json')
      .send('{"id":')
      .expect(400);
    await test.http.post('/api/documents/map').set('content-type', 'text/plain').send('hello').expect(400);
    const huge = { id: 'a', name: 'x'.repeat(21 * 1024 * 1024) };
    await test.http.post('/api/documents/map').send(huge).expect(413);
    expect((await test.http.get('/api/documents/map')).body).toEqual([]);
    await test.close();
  });
});
