// The quick look between two edits: types, lint, and the unit tests of what has changed since the last commit.
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { root } from './setUp.mjs';

const cache = path.join(root, 'node_modules', '.cache', 'types');
mkdirSync(cache, { recursive: true });

/** Types of one project; what has not changed since is not looked at again. */
const types = (project) => [
  'tsc',
  '-p',
  project,
  '--noEmit',
  '--incremental',
  '--tsBuildInfoFile',
  path.join(cache, `${project.replaceAll('/', '-')}.json`),
];
const waiting = [
  types('apps/web'),
  types('.'),
  types('packages/core'),
  types('apps/server'),
  ['biome', 'check', '.'],
  ['node', 'scripts/edges.mjs'],
  ['node', 'scripts/words.mjs'],
  ['vitest', 'run', '--changed', '--passWithNoTests', '--exclude', 'demo/**', '--reporter', 'dot'],
];

let failed = false;
/** Runs one after the other until none is left; what went well says nothing. */
async function work() {
  for (let args = waiting.shift(); args; args = waiting.shift()) {
    const child =
      args[0] === 'node'
        ? spawn(process.execPath, args.slice(1), { cwd: root })
        : spawn('npx', args, { cwd: root });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data) => {
        said += data;
      });
    const status = await new Promise((resolve) => child.on('close', resolve));
    if (status === 0) continue;
    failed = true;
    console.error(`${args.slice(0, 3).join(' ')}\n${said}`);
  }
}
await Promise.all(Array.from({ length: availableParallelism() }, work));
process.exit(failed ? 1 : 0);
