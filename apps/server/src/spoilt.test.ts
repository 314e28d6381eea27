import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { ROUTES, type Route } from '@aftersquall/core/contract';
import { parseMapFile } from '@aftersquall/core/formats';
import { emptyClub } from '@aftersquall/core/model';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { recordMade } from '../../../packages/core/src/test/practiceRecords.ts';
import { openApp, type TestApp } from './test/openApp.ts';

/** Spoilt requests over all routes: a few hundred each time, ten thousand where it is asked for. */
const REQUESTS = Number(process.env.AFTERSQUALL_SPOILT ?? 400);

const club = (file: string) =>
  readFileSync(new URL(`../../../testing/club/${file}`, import.meta.url), 'utf8');
const map = parseMapFile(club('kelpwick.map.json'));
const plan = JSON.parse(club('tuesday.class.json'));

let test: TestApp;
let url: string;
beforeAll(async () => {
  test = await openApp();
  for (const [kind, document] of Object.entries({ map, class: plan, club: emptyClub('club', 'Harbour') }))
    await test.http.post(`/api/documents/${kind}`).send(document).expect(201);
  url = await test.app.getUrl();
});
afterAll(() => test.close());

const junk = fc.oneof(
  fc.constantFrom(
    null,
    '',
    ' ',
    -1,
    0,
    Number.MAX_VALUE,
    2 ** 53,
    'kelpwick',
    '__proto__',
    '../../etc',
    '%00',
    '\u0000',
    '🥋',
  ),
  fc.constant([]),
  fc.constant({}),
  fc.constant('x'.repeat(5000)),
  fc.string(),
  fc.double(),
  fc.boolean(),
  fc.jsonValue({ maxDepth: 3 }),
);

/** Good bodies, to be spoilt. */
const GOOD: unknown[] = [
  map.positions[0],
  {
    base: 1,
    key: 'good-change',
    commands: [{ do: 'remove', kind: 'position', id: 'triangle' }],
    who: 'Tern',
  },
  {
    base: 1,
    key: 'other-change',
    commands: [
      { do: 'set', kind: 'exchange', id: map.exchanges[0]!.id, changes: [{ path: ['chance'], value: 0.4 }] },
      { do: 'put', kind: 'reaction', value: map.reactions[0] },
      { do: 'place', kind: 'move', id: map.moves[0]!.id, at: 0 },
      { do: 'describe', changes: [{ path: ['name'], value: 'New' }] },
    ],
  },
  { records: [recordMade({ kind: 'note', text: 'warm' })] },
  { keys: ['0123456789abcdef'] },
  { poses: {} },
  plan,
  emptyClub('other', 'Other'),
];

/** A good value with one of its parts exchanged for junk, left out, or said twice. */
function spoil(value: unknown, steps: readonly number[], bad: unknown): unknown {
  const [step = 0, ...rest] = steps;
  if (value === null || typeof value !== 'object' || steps.length === 0) return bad;
  const keys = Object.keys(value);
  if (keys.length === 0) return bad;
  const key = keys[step % keys.length]!;
  const inner = (value as Record<string, unknown>)[key];
  const next = step % 7 === 0 ? undefined : spoil(inner, rest, bad);
  if (Array.isArray(value)) {
    const copy = [...value];
    if (step % 5 === 0) copy.push(inner);
    else copy[Number(key)] = next;
    return copy;
  }
  return { ...value, [key]: next };
}

const request = fc.record({
  route: fc.constantFrom(...(Object.values(ROUTES) as Route[]).filter(({ path }) => path !== '/api/events')),
  params: fc.array(
    fc.oneof(
      fc.constantFrom('map', 'class', 'club', 'kelpwick', 'tuesday', '1', 'values', '..'),
      fc.string(),
    ),
    { minLength: 3, maxLength: 3 },
  ),
  query: fc.dictionary(
    fc.constantFrom('map', 'after', 'before', 'whatIf', 'alias', 'session', 'from', 'class', 'x'),
    fc.oneof(fc.constantFrom('kelpwick', '{}', '{"trust":2}', '-1', '2026-13-41', 'null'), fc.string()),
  ),
  body: fc.oneof(
    fc
      .record({
        good: fc.constantFrom(...GOOD),
        steps: fc.array(fc.nat({ max: 40 }), { maxLength: 5 }),
        bad: junk,
      })
      .map(({ good, steps, bad }) => spoil(good, steps, bad)),
    junk,
  ),
  raw: fc.option(fc.constantFrom('{"id":', '[[[[', '"', '{"a":1}{"b":2}', '\u0000'), { nil: undefined }),
});

it(
  `${REQUESTS} spoilt requests over all routes: none breaks the server, and every answer says what is wrong`,
  async () => {
    const statuses = new Map<number, number>();
    await fc.assert(
      fc.asyncProperty(request, async ({ route, params, query, body, raw }) => {
        let next = 0;
        const path = route.path.replaceAll(/:(\w+)/g, () => encodeURIComponent(params[next++ % 3]!));
        const address = `${url}${path}?${new URLSearchParams(query)}`;
        const hasBody = route.method === 'POST';
        const answer = await fetch(address, {
          method: route.method,
          headers: { 'content-type': 'application/json' },
          ...(hasBody && { body: raw ?? JSON.stringify(body) ?? 'undefined' }),
        });
        statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
        const text = await answer.text();
        expect(answer.status, `${route.method} ${address} ${text}`).toBeLessThan(500);
        if (answer.status >= 400) {
          const refusal = JSON.parse(text) as { message?: string };
          expect(refusal.message, text).toBeTruthy();
          expect(text).not.toMatch(/node_modules|at \w+ \(/);
        }
      }),
      { numRuns: REQUESTS },
    );
    // It was not the address alone that was wrong.
    expect(statuses.get(400) ?? 0).toBeGreaterThan(REQUESTS / 10);
    expect((await test.http.get('/api/health').expect(200)).body).toEqual({ ok: true });
  },
  REQUESTS * 1000,
);
