// The demo: the made-up club's map and classes on http://127.0.0.1:4700. "-- --reset" starts it over.
import { rmSync } from 'node:fs';
import path from 'node:path';
import { build, install, root, serve } from './setUp.mjs';

install();
build();
const database = process.env.AFTERSQUALL_DATABASE ?? 'data/demo.db';
if (process.argv.includes('--reset')) {
  for (const end of ['', '-wal', '-shm']) rmSync(path.resolve(root, database + end), { force: true });
}
serve({ AFTERSQUALL_DATABASE: database, AFTERSQUALL_SEED: 'demo' });
