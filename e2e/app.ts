import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { test as base } from '@playwright/test';

const root = new URL('..', import.meta.url).pathname;

/** The real application, as built, over a database of its own. */
export class App {
  url = '';
  private process: ChildProcess | undefined;
  private readonly folder = mkdtempSync(path.join(tmpdir(), 'aftersquall-e2e-'));
  private readonly seed: string | undefined;

  constructor(seed: string | undefined) {
    this.seed = seed;
  }

  async start(): Promise<void> {
    const port = await freePort();
    this.url = `http://127.0.0.1:${port}`;
    const child = spawn(process.execPath, ['apps/server/dist/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        AFTERSQUALL_PORT: String(port),
        AFTERSQUALL_DATABASE: path.join(this.folder, 'test.db'),
        ...(this.seed && { AFTERSQUALL_SEED: this.seed }),
      },
    });
    this.process = child;
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (text) => String(text).includes('is open at') && resolve());
      child.stderr.on('data', (text) => reject(new Error(String(text))));
      child.on('exit', () => reject(new Error('the application ended before it was open')));
    });
  }

  async stop(): Promise<void> {
    const child = this.process;
    if (!child || child.exitCode !== null) return;
    await new Promise<void>((resolve) => {
      child.on('exit', () => resolve());
      child.kill('SIGTERM');
    });
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });
}

/** Tests with the demo club (`demo`) or with nothing yet (`empty`); each has an application of its own. */
export const test = base.extend<{ demo: App; empty: App }>({
  demo: async ({}, use) => {
    const app = new App('demo');
    await app.start();
    await use(app);
    await app.close();
  },
  empty: async ({}, use) => {
    const app = new App(undefined);
    await app.start();
    await use(app);
    await app.close();
  },
});
export { expect } from '@playwright/test';
