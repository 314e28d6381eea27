import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seeded } from '../packages/core/src/game/seeded.ts';
import { practiceOf } from '../packages/core/src/log/practice.ts';
import type { PracticeRecord } from '../packages/core/src/model/practiceRecord.ts';

/** Ten years: two classes a week, 150 trials each, of 1,500 exchanges. */
const next = seeded(1);
const records: PracticeRecord[] = [];
const DAY = 86_400_000;
for (let class_ = 0; class_ < 1000; class_++) {
  const date = new Date(Date.UTC(2016, 0, 5) + class_ * 3.5 * DAY).toISOString().slice(0, 10);
  const session = `session-${class_}`;
  const common = { date, map: 'kelpwick', session };
  for (let i = 0; i < 150; i++)
    records.push({
      ...common,
      kind: 'trial',
      key: `trial-${class_}-${i}`,
      at: `${date}T18:${String(i % 60).padStart(2, '0')}:00Z`,
      exchange: `e${Math.floor(next() * 1500)}`,
      position: 'Butterfly',
      move: 'Lift',
      meets: '',
      worked: next() < 0.5,
      resistance: next() < 0.5 ? 'light' : 'full',
      count: 1,
    });
  records.push({
    ...common,
    kind: 'session',
    key: `the-class-${class_}`,
    at: `${date}T18:00:00Z`,
    name: 'Tuesday',
    people: 14,
    minutes: 60,
    athletes: [],
    device: '',
  });
}
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
for (let i = 0; i < records.length; i += 5000) {
  const answer = await fetch(`${url}/api/records`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ records: records.slice(i, i + 5000) }),
  });
  if (!answer.ok) throw new Error(await answer.text());
}
const sums = async (query: string) => (await fetch(`${url}/api/practice?map=kelpwick${query}`)).json();

const timed = async (work: () => Promise<unknown> | unknown) => {
  const times: number[] = [];
  for (let i = 0; i < 3; i++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[1]!;
};
const all = await timed(() => sums(''));
const year = await timed(() => sums('&from=2025-01-01'));
const core = await timed(() => practiceOf(records, { map: 'kelpwick' }).trials.length);
console.log(`\nTen years of practice, ${records.length} records`);
console.log(`  summed up by the table: ${all.toFixed(0)} ms (aim 200), the last year ${year.toFixed(0)} ms`);
console.log(
  `  from memory by the core: ${core.toFixed(0)} ms; the table takes ${(all / core).toFixed(2)} times that`,
);
server.kill();
rmSync(folder, { recursive: true });
