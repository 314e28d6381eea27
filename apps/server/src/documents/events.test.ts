import 'reflect-metadata';
import type { AddressInfo } from 'node:net';
import { type ChangeEvent, ChangeEventSchema } from '@aftersquall/core/contract';
import { emptyMap } from '@aftersquall/core/model';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { recordMade } from '../../../../packages/core/src/test/practiceRecords.ts';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

/** Listens as a browser does; gives what comes until so many events of a type have come. */
async function listen() {
  const { port } = test.app.getHttpServer().address() as AddressInfo;
  const answer = await fetch(`http://127.0.0.1:${port}/api/events`);
  expect(answer.headers.get('content-type')).toContain('text/event-stream');
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  return {
    async take<T>(type: string, count: number): Promise<T[]> {
      const found: T[] = [];
      for (;;) {
        const parts = text.split('\n\n');
        text = parts.pop()!;
        for (const part of parts) {
          if (part.includes(`event: ${type}`)) found.push(JSON.parse(/data: (.*)/.exec(part)![1]!));
        }
        if (found.length >= count) return found;
        const { value, done } = await reader.read();
        if (done) throw new Error('the stream ended');
        text += value;
      }
    },
    end: () => reader.cancel(),
  };
}

it('every change of every document is told once it is on disk, with all that a screen needs to follow', async () => {
  const stream = await listen();
  await test.http.post('/api/documents/map').send(emptyMap('a', 'A')).expect(201);
  expect(await stream.take('documents', 1)).toEqual([{ kind: 'map' }]);
  const commands = [{ do: 'put', kind: 'system', value: { id: 's', name: 'S' } }];
  const send = (base: number, key: string, all: object[]) =>
    test.http.post('/api/documents/map/a/changes').send({ base, key, commands: all, who: 'Tern' });
  await send(1, 'first-key', commands).expect(200);
  await send(1, 'first-key', commands).expect(200);
  await send(2, 'second-key', [{ do: 'remove', kind: 'system', id: 'nothing' }]).expect(400);
  await send(2, 'third-key', [{ do: 'describe', changes: [{ path: ['name'], value: 'B' }] }]).expect(200);
  const told = await stream.take<ChangeEvent>('change', 2);
  expect(told.map((event) => ChangeEventSchema.parse(event))).toMatchObject([
    { kind: 'map', id: 'a', revision: 2, key: 'first-key', who: 'Tern', command: { do: 'put' } },
    { revision: 3, key: 'third-key', inverse: { do: 'describe' } },
  ]);
  await stream.end();
});

it('practice that is recorded is told once, by its map', async () => {
  const stream = await listen();
  const note = recordMade({ kind: 'note', text: 'Heads were up.' });
  const keep = (records: object[]) => test.http.post('/api/records').send({ records });
  await keep([note]).expect(200);
  // Known already: nothing new is told of it.
  await keep([note]).expect(200);
  await keep([recordMade({ kind: 'note', text: 'Heads were down.', map: 'other' })]).expect(200);
  expect(await stream.take('records', 2)).toEqual([{ map: 'kelpwick' }, { map: 'other' }]);
  await stream.end();
});
