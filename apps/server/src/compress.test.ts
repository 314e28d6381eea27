import { ExpressAdapter } from '@nestjs/platform-express';
import type { Express } from 'express';
import request from 'supertest';
import { expect, test } from 'vitest';
import { compress, isThisMachine } from './compress.ts';

/** A server that takes every caller for one of this machine, or for one of another. */
function answering(local: boolean) {
  const app: Express = new ExpressAdapter().getInstance();
  app.use(compress(() => local));
  app.get('/map', (_, response) => response.json({ words: 'sit up tall '.repeat(500) }));
  app.get('/changes', (_, response) => response.type('text/event-stream').send('data: '.repeat(500)));
  return request(app);
}

test('what goes over a network is packed, what stays on this machine is not', async () => {
  expect((await answering(false).get('/map')).headers['content-encoding']).toBe('gzip');
  expect((await answering(true).get('/map')).headers['content-encoding']).toBeUndefined();
});

test('a stream of changes is never held back to be packed', async () => {
  expect((await answering(false).get('/changes')).headers['content-encoding']).toBeUndefined();
});

test.each([
  ['127.0.0.1', true],
  ['127.0.0.2', true],
  ['::1', true],
  ['::ffff:127.0.0.1', true],
  ['192.168.1.20', false],
  ['::ffff:192.168.1.20', false],
  ['fe80::1', false],
  ['', false],
])('%s is this machine: %s', (address, local) => {
  expect(isThisMachine(address)).toBe(local);
});
