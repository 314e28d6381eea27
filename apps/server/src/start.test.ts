import 'reflect-metadata';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, it } from 'vitest';
import { createApp } from './createApp.ts';
import { plainReason } from './plainReason.ts';
import { openApp } from './test/openApp.ts';

const reasonOf = async (run: () => Promise<unknown>, port = 4700, databaseFile = 'x.db') => {
  const error = await run().then(
    () => undefined,
    (problem: unknown) => problem,
  );
  expect(error).toBeDefined();
  return plainReason(error, { host: '127.0.0.1', port, databaseFile });
};

it('says in a sentence that the port is in use', async () => {
  const other = createServer();
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  const { port } = other.address() as { port: number };
  const test = await openApp();
  const reason = await reasonOf(async () => {
    const app = await createApp({ databaseFile: ':memory:' });
    try {
      await app.listen(port, '127.0.0.1');
    } finally {
      await app.close();
    }
  }, port);
  expect(reason).toContain(`Port ${port} on 127.0.0.1 is in use`);
  await test.close();
  other.close();
});

it('says in a sentence that the database is none, and leaves the file alone', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'aftersquall-'));
  const databaseFile = path.join(folder, 'bad.db');
  const content = 'this is a shopping list, not a database, and it is long enough to have a header '.repeat(
    20,
  );
  await writeFile(databaseFile, content);
  const reason = await reasonOf(() => createApp({ databaseFile }), 4700, databaseFile);
  expect(reason).toContain(`Aftersquall cannot open the database ${databaseFile} (`);
  expect(await readFile(databaseFile, 'utf8')).toBe(content);
  await rm(folder, { recursive: true });
});

it('says what to do where the driver has no binary', () => {
  const reason = plainReason(new Error("Cannot find module '@libsql/plan9-mips'"), {
    host: '',
    port: 1,
    databaseFile: '',
  });
  expect(reason).toContain('Run npm ci again');
});
