import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type Command, emptyMap, PositionSchema, put } from '@aftersquall/core';
import { expect, it } from 'vitest';

/** Rows that one change writes: enough for it to take a while. */
const ROWS = 600;

const root = new URL('../../../', import.meta.url).pathname;

/** The built server as a process of its own, so that it can be killed. */
async function start(database: string): Promise<{ url: string; child: ChildProcess }> {
  const child = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: root,
    env: { ...process.env, AFTERSQUALL_PORT: '0', AFTERSQUALL_DATABASE: database },
  });
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (text) => {
      const found = /http:\/\/[\d.]+:\d+/.exec(String(text));
      if (found) resolve(found[0]);
    });
    child.on('exit', () => reject(new Error('the server ended before it was open')));
  });
  return { url, child };
}

const ended = (child: ChildProcess) =>
  new Promise((resolve) =>
    child.exitCode === null && child.signalCode === null ? child.on('exit', resolve) : resolve(0),
  );

it('a server killed in the middle of writing has whole changes or none', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'aftersquall-'));
  const database = path.join(folder, 'killed.db');
  const post = (url: string, address: string, body: object) =>
    fetch(`${url}/api/maps${address}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  let { url, child } = await start(database);
  await post(url, '/import', emptyMap('storm', 'Storm'));
  let known = 1;
  for (const round of [1, 2, 3]) {
    const change = (revision: number) => {
      const commands: Command[] = Array.from({ length: ROWS }, (_, i) =>
        put('position', PositionSchema.parse({ id: `p${revision}-${i}`, name: `After ${revision}` })),
      );
      return post(url, '/storm/changes', { revision, commands });
    };
    const whole = await change(known);
    expect(whole.status, `round ${round}`).toBe(200);
    known++;
    const sent = change(known).then(
      (answer) => answer.status,
      () => 'no answer',
    );
    // The server answers other questions between the rows it writes: by then it is in the middle of them.
    for (let i = 0; i < 3 * round; i++) await fetch(`${url}/api/health`);
    child.kill('SIGKILL');
    await ended(child);
    const answered = (await sent) === 200;
    ({ url, child } = await start(database));
    const { revision, map } = (await (await fetch(`${url}/api/maps/storm`)).json()) as {
      revision: number;
      map: { positions: unknown[] };
    };
    // What was answered is there; of what was not, all or nothing.
    expect(answered ? [known + 1] : [known, known + 1]).toContain(revision);
    expect(map.positions).toHaveLength(ROWS * (revision - 1));
    const history = (await (await fetch(`${url}/api/maps/storm/history`)).json()) as unknown[];
    expect(history).toHaveLength(revision - 1);
    known = revision;
  }
  child.kill();
  await ended(child);
  await rm(folder, { recursive: true });
});
