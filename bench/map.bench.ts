import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import ELK from 'elkjs/lib/elk.bundled.js';
import { chartGraph } from '../apps/web/src/places/map/chart/chartGraph.ts';
import { elkGraph } from '../apps/web/src/places/map/chart/elkGraph.ts';
import { MapSchema, printMapFile, put, readReaction, validateMap } from '../packages/core/dist/index.js';
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

const spot = map.positions[137]!;
const moment = { holds: spot.holds.slice(1), topHolds: spot.topHolds, signs: spot.signs };
const reading = timed(() => readReaction(map, { ...moment, reaction: { id: 'r3' } }), 9);
const named = timed(() => readReaction(map, { position: spot.id, reaction: { id: 'r3' } }), 9);
console.log(
  `  a moment read by holds and signs alone in ${reading.toFixed(1)} ms (aim: 20); with its position named ${(reading / named).toFixed(0)} times as fast`,
);

const graph = chartGraph(map, { folded: false });
const elk = new ELK.default();
await elk.layout(elkGraph(graph));
const begun = performance.now();
await elk.layout(elkGraph(graph));
const layout = performance.now() - begun;
const folded = chartGraph(map);
const start = performance.now();
await elk.layout(elkGraph(folded));
const foldedLayout = performance.now() - start;
console.log(
  `  layout of all ${graph.nodes.length} cards in ${layout.toFixed(0)} ms (${graph.edges.length} lines); of its systems as ${folded.nodes.length} cards ${(layout / foldedLayout).toFixed(0)} times as fast`,
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
await ask('POST', '/maps/import', printMapFile(map));
let revision = 1;
const edit = async () => {
  const exchange = map.exchanges[revision % map.exchanges.length]!;
  const value = { ...exchange, chance: (revision % 100) / 100 };
  const commands = [put('exchange', value)];
  await ask('POST', '/maps/crowded/changes', JSON.stringify({ revision, commands }));
  revision++;
};
const rate = async (work: () => Promise<unknown>, count: number) => {
  for (let i = 0; i < 100; i++) await work();
  const start = performance.now();
  for (let i = 0; i < count; i++) await work();
  return (count / (performance.now() - start)) * 1000;
};
const nothing = await rate(() => ask('GET', '/health'), 500);
const edits = await rate(edit, 1000);
console.log(
  `  ${edits.toFixed(0)} edits a second, one after the other, each a transaction (aim: 500); ${((edits / nothing) * 100).toFixed(0)} % of the rate of requests that do nothing (${nothing.toFixed(0)})`,
);
agent.destroy();
server.kill();
rmSync(folder, { recursive: true });
