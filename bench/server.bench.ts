import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { applyCommand, setFields } from '../packages/core/dist/documents/index.js';
import { printMapFile } from '../packages/core/dist/formats/index.js';
import { bigMap } from '../packages/core/src/test/bigMap.ts';

const map = bigMap();
const chance = (turn: number) =>
  setFields('exchange', map.exchanges[turn % map.exchanges.length]!.id, [
    { path: ['chance'], value: (turn % 100) / 100 },
  ]);
const rate = async (work: (turn: number) => unknown, count: number) => {
  for (let i = 0; i < 100; i++) await work(i);
  const start = performance.now();
  for (let i = 100; i < 100 + count; i++) await work(i);
  return (count / (performance.now() - start)) * 1000;
};

let document = map;
const inMemory = await rate((turn) => {
  document = applyCommand(document, chance(turn)).document;
}, 1000);
console.log(`\nEdits of one map of ${map.exchanges.length} exchanges, one after the other`);
console.log(`  ${inMemory.toFixed(0)} a second in memory alone`);

for (const synchronous of ['FULL', 'NORMAL']) {
  const folder = mkdtempSync(path.join(tmpdir(), 'aftersquall-bench-'));
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    env: {
      ...process.env,
      AFTERSQUALL_PORT: '0',
      AFTERSQUALL_DATABASE: path.join(folder, 'bench.db'),
      AFTERSQUALL_SYNCHRONOUS: synchronous,
    },
  });
  const url = await new Promise<string>((resolve) => {
    server.stdout.on('data', (text) => {
      const found = /http:\/\/[\d.]+:\d+/.exec(String(text));
      if (found) resolve(found[0]);
    });
  });
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  /** One request after the other on one line, without more of a client than that takes. */
  const ask = (method: string, address: string, body?: string) =>
    new Promise<string>((resolve, reject) => {
      const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body ?? '') };
      const sent = request(`${url}/api${address}`, { method, agent, headers }, (answer) => {
        let text = '';
        answer.on('data', (part) => {
          text += part;
        });
        answer.on('end', () => ((answer.statusCode ?? 500) < 300 ? resolve(text) : reject(new Error(text))));
      });
      sent.on('error', reject);
      sent.end(body);
    });
  await ask('POST', '/documents/map', printMapFile(map));
  let base = 1;
  const edit = (turn: number) =>
    ask(
      'POST',
      `/documents/map/${map.id}/changes`,
      JSON.stringify({ base: base++, key: `bench-key-${turn}`, commands: [chance(turn)] }),
    );
  const nothing = await rate(() => ask('GET', '/health'), 500);
  const edits = await rate(edit, 1000);
  const each = 1000 / edits;
  const share = (ms: number) => `${((ms / each) * 100).toFixed(0)} %`;
  console.log(
    `  ${edits.toFixed(0)} a second over HTTP with synchronous = ${synchronous} (aim: 500): of ${each.toFixed(1)} ms each, ${share(1000 / nothing)} go into a request that does nothing, ${share(1000 / inMemory)} into the change itself, the rest into the transaction`,
  );
  agent.destroy();
  server.kill();
  rmSync(folder, { recursive: true });
}
