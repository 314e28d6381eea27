import 'fake-indexeddb/auto';
import type { PracticeRecord } from '@aftersquall/core/model';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { recordMade } from '../../../../../packages/core/src/test/practiceRecords.ts';
import { createDevice } from '../../device/device.ts';
import { createRecordSender } from './records.ts';

let devices = 0;
const newDevice = () => createDevice(`records-${devices++}`);
const note = (text = 'warm') => recordMade({ kind: 'note', text });
const taken = (records: readonly PracticeRecord[]) =>
  new Response(JSON.stringify({ kept: records.length, known: 0 }));
const refusal = (status: number, message: string) => new Response(JSON.stringify({ message }), { status });

describe('records on their way', () => {
  it('reach the server once it is there, each of them, and wait until then', async () => {
    const reached: string[] = [];
    let there = false;
    const sender = createRecordSender(newDevice(), async (records) => {
      if (!there) throw new TypeError('no network');
      reached.push(...records.map(({ key }) => key));
      return taken(records);
    });
    const records = [note(), note(), note()];
    for (const record of records) await sender.keep([record]);
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 3, trouble: '', unkept: 0 });
    there = true;
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 0, trouble: '', unkept: 0 });
    expect(reached.sort()).toEqual(records.map(({ key }) => key).sort());
  });

  it('are sent again when the answer was lost: the server knows them by their keys', async () => {
    let calls = 0;
    const sender = createRecordSender(newDevice(), async (records) => {
      if (calls++ === 0) throw new TypeError('the answer was lost');
      return taken(records);
    });
    await sender.keep([note()]);
    await sender.send();
    await sender.send();
    expect(calls).toBeGreaterThan(1);
    expect(sender.state().waiting).toBe(0);
  });

  it('that are refused are put aside one by one, and every good one goes on', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 40 }), async (good) => {
        const device = newDevice();
        const reached: string[] = [];
        const records = good.map((is) => note(is ? 'good' : 'poisoned'));
        const isBad = (record: PracticeRecord) => record.kind === 'note' && record.text === 'poisoned';
        const sender = createRecordSender(device, async (batch) => {
          if (batch.some(isBad)) return refusal(400, 'not like that');
          reached.push(...batch.map(({ key }) => key));
          return taken(batch);
        });
        await sender.keep(records);
        await sender.send();
        expect(sender.state().waiting).toBe(0);
        expect(reached.sort()).toEqual(
          records
            .filter((record) => !isBad(record))
            .map(({ key }) => key)
            .sort(),
        );
        const aside = await device.aside.all();
        expect(aside.map(({ key }) => key).sort()).toEqual(
          records
            .filter(isBad)
            .map(({ key }) => key)
            .sort(),
        );
        for (const { why } of aside) expect(why).toBe('not like that');
      }),
      { numRuns: 30 },
    );
  });

  it('too many for one request are sent in smaller ones', async () => {
    let largest = 0;
    const sender = createRecordSender(newDevice(), async (batch) => {
      if (batch.length > 10) return refusal(413, 'This is too large.');
      largest = Math.max(largest, batch.length);
      return taken(batch);
    });
    await sender.keep(Array.from({ length: 45 }, () => note()));
    await sender.send();
    expect(sender.state().waiting).toBe(0);
    expect(largest).toBeGreaterThan(1);
  });

  it('wait and say why when the server has trouble; one that troubles it holds up no other', async () => {
    const reached: string[] = [];
    let broken = true;
    const bad = note('trouble');
    const sender = createRecordSender(newDevice(), async (batch) => {
      if (broken || batch.some(({ key }) => key === bad.key)) return refusal(500, 'Something went wrong.');
      reached.push(...batch.map(({ key }) => key));
      return taken(batch);
    });
    const good = [note(), note()];
    await sender.keep([good[0]!, bad, good[1]!]);
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 3, trouble: 'Something went wrong.', unkept: 0 });
    broken = false;
    await sender.send();
    expect(reached.sort()).toEqual(good.map(({ key }) => key).sort());
    expect(sender.state()).toEqual({ waiting: 1, trouble: 'Something went wrong.', unkept: 0 });
  });

  it('are not let go of when something else answers in the server’s place', async () => {
    const sender = createRecordSender(
      newDevice(),
      async () => new Response('<html>Sign in to the network</html>'),
    );
    await sender.keep([note()]);
    await sender.send();
    expect(sender.state().waiting).toBe(1);
  });

  it('that are made while others are sent are not left behind', async () => {
    let release = () => {};
    const gate = new Promise<void>((resolve) => {
      release = resolve;
    });
    const reached: string[] = [];
    const sender = createRecordSender(newDevice(), async (records) => {
      await gate;
      reached.push(...records.map(({ key }) => key));
      return taken(records);
    });
    await sender.keep([note()]);
    const second = note();
    await sender.keep([second]);
    release();
    await sender.send();
    expect(reached).toContain(second.key);
    expect(sender.state().waiting).toBe(0);
  });

  it('that find no room on the device go to the server all the same, and it is said that they are not kept', async () => {
    const device = newDevice();
    vi.spyOn(device.records, 'keep').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    let there = false;
    const reached: string[] = [];
    const sender = createRecordSender(device, async (records) => {
      if (!there) throw new TypeError('no network');
      reached.push(...records.map(({ key }) => key));
      return taken(records);
    });
    const record = note();
    await sender.keep([record]);
    await sender.send();
    expect(sender.state()).toEqual({ waiting: 1, trouble: '', unkept: 1 });
    expect(await sender.ofSession(record.session)).toEqual([record]);
    there = true;
    await sender.send();
    expect(reached).toEqual([record.key]);
    expect(sender.state()).toEqual({ waiting: 0, trouble: '', unkept: 0 });
  });
});
