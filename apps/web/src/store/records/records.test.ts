import type { PracticeRecord } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { recordMade } from '../../../../../packages/core/src/test/practiceRecords.ts';
import type { RecordOutbox } from './recordOutbox.ts';
import { createSender } from './records.ts';

/** An outbox that forgets with the test. */
function memoryOutbox(): RecordOutbox {
  const kept = new Map<string, PracticeRecord>();
  return {
    put: async (records) => {
      for (const record of records) kept.set(record.key, record);
    },
    waiting: async () => [...kept.values()],
    confirm: async (keys) => {
      for (const key of keys) kept.delete(key);
    },
    forgetBefore: async () => undefined,
    ofSession: async (session) => [...kept.values()].filter((record) => record.session === session),
  };
}
const note = () => recordMade({ kind: 'note', text: 'warm' });

describe('records on their way', () => {
  it('reach the server once it is there, each of them, and wait until then', async () => {
    const reached: string[] = [];
    let there = false;
    const sender = createSender(memoryOutbox(), async (records) => {
      if (!there) throw new TypeError('no network');
      reached.push(...records.map(({ key }) => key));
      return new Response('{}');
    });
    const records = [note(), note(), note()];
    for (const record of records) await sender.keep([record]);
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 3, refused: '' });
    there = true;
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 0, refused: '' });
    expect(reached.sort()).toEqual(records.map(({ key }) => key).sort());
  });

  it('are sent again when the answer was lost: the server knows them by their keys', async () => {
    let calls = 0;
    const sender = createSender(memoryOutbox(), async () => {
      if (calls++ === 0) throw new TypeError('the answer was lost');
      return new Response('{}');
    });
    await sender.keep([note()]);
    await sender.send();
    await sender.send();
    expect(calls).toBeGreaterThan(1);
    expect(sender.state().waiting).toBe(0);
  });

  it('stay on the device when they are refused, and that is said', async () => {
    const sender = createSender(
      memoryOutbox(),
      async () => new Response(JSON.stringify({ message: 'This cannot be done as it is.' }), { status: 400 }),
    );
    await sender.keep([note()]);
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 1, refused: 'This cannot be done as it is.' });
  });

  it('that are made while others are sent are not left behind', async () => {
    let release = () => {};
    const gate = new Promise<void>((resolve) => {
      release = resolve;
    });
    const reached: string[] = [];
    const sender = createSender(memoryOutbox(), async (records) => {
      await gate;
      reached.push(...records.map(({ key }) => key));
      return new Response('{}');
    });
    await sender.keep([note()]);
    const second = note();
    await sender.keep([second]);
    release();
    await sender.send();
    expect(reached).toContain(second.key);
    expect(sender.state().waiting).toBe(0);
  });
});
