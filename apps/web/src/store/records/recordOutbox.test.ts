import 'fake-indexeddb/auto';
import { expect, it } from 'vitest';
import { recordMade } from '../../../../../packages/core/src/test/practiceRecords.ts';
import { createRecordOutbox } from './recordOutbox.ts';

it('a device lets go of what is long on the server, and of nothing that still waits', async () => {
  const outbox = createRecordOutbox('forgets');
  const [old, unsent, recent] = ['2026-01-05', '2026-01-06', '2026-03-01'].map((date) =>
    recordMade({ kind: 'note', text: date, date }),
  ) as [ReturnType<typeof recordMade>, ReturnType<typeof recordMade>, ReturnType<typeof recordMade>];
  await outbox.put([old, unsent, recent]);
  await outbox.confirm([old.key, recent.key]);
  await outbox.forgetBefore('2026-02-01');
  const kept = await outbox.ofSession(old.session);
  expect(kept.map(({ key }) => key).sort()).toEqual([unsent.key, recent.key].sort());
  expect((await outbox.waiting()).map(({ key }) => key)).toEqual([unsent.key]);
});
