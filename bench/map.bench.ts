import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { MapSchema, printMapFile, put, validateMap } from '../packages/core/dist/index.js';
import { bigMap } from '../packages/core/src/test/bigMap.ts';
import { timed } from './timed.ts';

const map = bigMap();
console.log(
  `\nA map of ${map.positions.length} positions, ${map.moves.length} moves and ${map.exchanges.length} exchanges`,
);

// A copy each time: look-ups that are kept with a map must not flatter it.
const findings = timed(() => validateMap({ ...map }), 7);
const schema = timed(() => MapSchema.parse(map), 7);
console.log(
  `  all findings in ${findings.toFixed(1)} ms (aim: 20), ${(schema / findings).toFixed(1)} times as fast as validating it by the schema (${schema.toFixed(1)} ms)`,
);

const folder = mkdtempSync(path.join(tmpdir(), 'aftersquall-bench-'));
const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
  env: { ...process.env, AFTERSQUALL_PORT: '0', AFTERSQUALL_DATABASE: path.join(folder, 'bench.db') },
});
const url = await new Promise<string>((resolve) => {
  server.stdout.on('data', (text) => {
    const found = /http:\/\/[\d.]+:\d+/.exec(String(text));
    if (found) resolve(found[0]);
  });
});
const post = (address: string, body: unknown) =>
  fetch(`${url}/api/maps${address}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
await post('/import', printMapFile(map));
let revision = 1;
const edit = async () => {
  const exchange = map.exchanges[revision % map.exchanges.length]!;
  const value = { ...exchange, chance: (revision % 100) / 100 };
  const answer = await post('/crowded/changes', { revision, commands: [put('exchange', value)] });
  if (answer.status !== 200) throw new Error(await answer.text());
  await answer.arrayBuffer();
  revision++;
};
const rate = async (work: () => Promise<unknown>, count: number) => {
  for (let i = 0; i < 100; i++) await work();
  const start = performance.now();
  for (let i = 0; i < count; i++) await work();
  return (count / (performance.now() - start)) * 1000;
};
const nothing = await rate(async () => (await fetch(`${url}/api/health`)).arrayBuffer(), 500);
const edits = await rate(edit, 1000);
console.log(
  `  ${edits.toFixed(0)} edits a second, one after the other, each a transaction (aim: 500); ${((edits / nothing) * 100).toFixed(0)} % of the rate of requests that do nothing (${nothing.toFixed(0)})`,
);
server.kill();
rmSync(folder, { recursive: true });
