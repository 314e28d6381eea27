import 'reflect-metadata';
import { emptyMap } from '@aftersquall/core/model';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

it('a name that is not the server’s is answered with 421, whatever is asked', async () => {
  for (const host of ['evil.example', 'evil.example:4700', '127.0.0.1.evil.example'])
    await test.http.get('/api/documents/map').set('Host', host).expect(421);
  for (const host of ['localhost', 'LOCALHOST:4700', '127.0.0.1:4700', '[::1]:4700', '192.168.1.20'])
    await test.http.get('/api/documents/map').set('Host', host).expect(200);
});

it('a write that a browser sends for another page is refused; reading and scripts without an origin are not', async () => {
  const write = () => test.http.post('/api/documents/map').set('Host', 'localhost:4700');
  for (const origin of ['http://evil.example', 'http://localhost:4701', 'null'])
    await write().set('Origin', origin).send(emptyMap('a', 'A')).expect(403);
  expect((await test.http.get('/api/documents/map')).body).toEqual([]);
  await write().set('Origin', 'http://localhost:4700').send(emptyMap('a', 'A')).expect(201);
  await write().send(emptyMap('b', 'B')).expect(201);
});
