// Benchmarks, each against something else in the same run; the ratios are what counts.
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { build, install, root, run } from './setUp.mjs';

install();
build();
for (const file of readdirSync(path.join(root, 'bench'))
  .filter((name) => name.endsWith('.bench.ts'))
  .sort()) {
  run('npx', ['tsx', `bench/${file}`]);
}
