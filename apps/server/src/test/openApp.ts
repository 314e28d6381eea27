import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { createApp } from '../createApp.ts';

export interface TestApp {
  app: NestExpressApplication;
  http: ReturnType<typeof request>;
  /** Closes the application and opens it again over the same file. */
  restart(): Promise<TestApp>;
  close(): Promise<void>;
}

/** The real application over a database file of its own. */
export async function openApp(folder?: string): Promise<TestApp> {
  const own = folder ?? (await mkdtemp(path.join(tmpdir(), 'aftersquall-')));
  const app = await createApp({ databaseFile: path.join(own, 'test.db'), checkAnswers: true });
  await app.listen(0, '127.0.0.1');
  return {
    app,
    http: request(app.getHttpServer()),
    restart: async () => {
      await app.close();
      return openApp(own);
    },
    close: async () => {
      await app.close();
      await rm(own, { recursive: true, force: true });
    },
  };
}
