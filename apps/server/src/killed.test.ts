import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { emptyMap } from '@aftersquall/core/model';
import { expect, it } from 'vitest';

/** How often the server is killed: a start takes two seconds, so a hundred times only where it is asked for. */
const KILLS = Number(process.env.AFTERSQUALL_KILLS ?? 6);
/** Entities that one change writes, so that it takes a while; and writers at once. */
const ROWS = 60;
const WRITERS = 3;
/** A database is killed so often, then a new one is begun: with tens of thousands of entities each start takes long. */
const KILLS_EACH = 20;

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

interface Change {
  base: number;
  key: string;
  commands: object[];
}
const changeOf = (key: string): Change => ({
  base: 1,
  key,
  commands: Array.from({ length: ROWS }, (_, i) => ({
    do: 'put',
    kind: 'position',
    value: { id: `${key}-${i}`, name: key },
  })),
});

const send = async (url: string, change: Change): Promise<boolean> => {
  try {
    const answer = await fetch(`${url}/api/documents/map/storm/changes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    });
    return answer.status === 200;
  } catch {
    return false;
  }
};

/** One more turn of the server. A connection that it closed for idleness just then is no fault of it; an end is. */
async function turn(url: string, child: ChildProcess): Promise<void> {
  await fetch(`${url}/api/health`).catch(() => undefined);
  expect(child.exitCode, 'the server ended by itself').toBeNull();
}

/** Kills the server of a new database so often while it is written to, and holds what is kept against what was confirmed. */
async function storm(kills: number): Promise<void> {
  const folder = await mkdtemp(path.join(tmpdir(), 'aftersquall-'));
  const database = path.join(folder, 'killed.db');
  let { url, child } = await start(database);
  await fetch(`${url}/api/documents/map`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(emptyMap('storm', 'Storm')),
  });
  const confirmed = new Set<string>();
  const lost: Change[] = [];
  for (let round = 0; round < kills; round++) {
    let going = true;
    const writers = Array.from({ length: WRITERS }, async (_, writer) => {
      for (let i = 0; going; i++) {
        const change = changeOf(`round-${round}-${writer}-${i}`);
        if (await send(url, change)) confirmed.add(change.key);
        else lost.push(change);
      }
    });
    // By then the writers are in the middle of it, in every round at another place.
    const until = confirmed.size + 1 + (round % 4);
    while (confirmed.size < until) await turn(url, child);
    for (let i = 0; i < round % 5; i++) await turn(url, child);
    going = false;
    child.kill('SIGKILL');
    await Promise.all([...writers, ended(child)]);

    ({ url, child } = await start(database));
    const { revision, document } = (await (await fetch(`${url}/api/documents/map/storm`)).json()) as {
      revision: number;
      document: { positions: { name: string }[] };
    };
    const rows = new Map<string, number>();
    for (const { name } of document.positions) rows.set(name, (rows.get(name) ?? 0) + 1);
    for (const key of confirmed) expect(rows.get(key), `${key} after kill ${round}`).toBe(ROWS);
    expect(new Set(rows.values())).toEqual(new Set([ROWS]));
    expect(revision).toBe(1 + rows.size);
  }
  // Whoever got no answer sends again with the same key: what had been written is not written again.
  for (const change of lost) expect(await send(url, change)).toBe(true);
  const { document } = (await (await fetch(`${url}/api/documents/map/storm`)).json()) as {
    document: { positions: { id: string }[] };
  };
  expect(new Set(document.positions.map(({ id }) => id)).size).toBe(document.positions.length);
  expect(document.positions).toHaveLength((confirmed.size + lost.length) * ROWS);
  child.kill();
  await ended(child);
  await rm(folder, { recursive: true });
}

it(
  `a server killed ${KILLS} times in the middle of writing loses nothing it confirmed, and writes nothing by halves or twice`,
  async () => {
    for (let left = KILLS; left > 0; left -= KILLS_EACH) await storm(Math.min(left, KILLS_EACH));
  },
  KILLS * 60_000,
);
