import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { test as base } from '@playwright/test';
import 'reflect-metadata';

const root = new URL('..', import.meta.url).pathname;
const server = path.join(root, 'apps/server/dist');

interface Listening {
  listen(port: number, host: string): Promise<unknown>;
  close(): Promise<void>;
  getHttpServer(): { address(): AddressInfo };
}
type CreateApp = (options: { databaseFile: string; webFolder: string }) => Promise<Listening>;
type Seed = (app: Listening, folder: string) => Promise<void>;

/** The real application, as built, over a database of its own, in the process of the test's worker. */
export class App {
  url = '';
  private app: Listening | undefined;
  private port = 0;
  private readonly folder = mkdtempSync(path.join(tmpdir(), 'aftersquall-e2e-'));
  readonly database = path.join(this.folder, 'test.db');

  async start(): Promise<void> {
    const { createApp } = (await import(path.join(server, 'createApp.js'))) as { createApp: CreateApp };
    const app = await createApp({ databaseFile: this.database, webFolder: path.join(root, 'apps/web/dist') });
    await app.listen(this.port, '127.0.0.1');
    this.port = app.getHttpServer().address().port;
    this.url = `http://127.0.0.1:${this.port}`;
    this.app = app;
  }

  async seed(folder: string): Promise<void> {
    const { seed } = (await import(path.join(server, 'seed.js'))) as { seed: Seed };
    await seed(this.app!, folder);
  }

  /** Ends it; what it kept is there when it is started again, under the same address. */
  async stop(): Promise<void> {
    await this.app?.close();
    this.app = undefined;
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** A database seeded once a worker; every test gets a copy. */
async function seeded(folder: string, use: (database: string) => Promise<void>): Promise<void> {
  const app = new App();
  await app.start();
  await app.seed(path.join(root, folder));
  await app.stop();
  await use(app.database);
  await app.close();
}

/** An application over a copy of a database. */
async function copyOf(database: string, use: (app: App) => Promise<void>): Promise<void> {
  const app = new App();
  for (const end of ['', '-wal'])
    if (existsSync(database + end)) copyFileSync(database + end, app.database + end);
  await app.start();
  await use(app);
  await app.close();
}

/**
 * Tests with a small club (`demo`), with the club that ships (`shipped`), or with nothing yet (`empty`); each has a
 * database of its own.
 */
export const test = base.extend<
  { demo: App; shipped: App; empty: App },
  { demoDatabase: string; shippedDatabase: string }
>({
  demoDatabase: [({}, use) => seeded('testing/club', use), { scope: 'worker' }],
  shippedDatabase: [({}, use) => seeded('demo', use), { scope: 'worker' }],
  demo: ({ demoDatabase }, use) => copyOf(demoDatabase, use),
  shipped: ({ shippedDatabase }, use) => copyOf(shippedDatabase, use),
  empty: async ({}, use) => {
    const app = new App();
    await app.start();
    await use(app);
    await app.close();
  },
});
export { expect } from '@playwright/test';
