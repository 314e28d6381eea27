import 'reflect-metadata';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './createApp.ts';
import { plainReason } from './plainReason.ts';
import { seed } from './seed.ts';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const host = process.env.AFTERSQUALL_HOST ?? '127.0.0.1';
const port = Number(process.env.AFTERSQUALL_PORT ?? 4700);
const databaseFile = path.resolve(root, process.env.AFTERSQUALL_DATABASE ?? 'data/aftersquall.db');

try {
  mkdirSync(path.dirname(databaseFile), { recursive: true });
  const app = await createApp({
    databaseFile,
    webFolder: path.join(root, 'apps/web/dist'),
    names: (process.env.AFTERSQUALL_NAMES ?? '').split(',').filter(Boolean),
  });
  if (process.env.AFTERSQUALL_SEED) await seed(app, path.resolve(root, process.env.AFTERSQUALL_SEED));
  await app.listen(port, host);
  console.log(
    `Aftersquall is open at http://${host}:${(app.getHttpServer().address() as { port: number }).port}`,
  );
} catch (error) {
  console.error(plainReason(error, { host, port, databaseFile }));
  process.exit(1);
}
