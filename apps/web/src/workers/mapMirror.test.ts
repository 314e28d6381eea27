import { readFileSync } from 'node:fs';
import { applyCommand, type Command, setFields } from '@aftersquall/core/documents';
import { parseMapFile } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { expect, it } from 'vitest';
import { keepMap, mirrorMap } from './mapMirror.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

/** A worker in this thread: what goes to it is cloned, as on the way to a real one. */
function keeping() {
  const { open, change, map } = keepMap();
  const calls: string[] = [];
  const keeper = {
    failing: false,
    open: async (next: GuardMap) => {
      calls.push('open');
      open(structuredClone(next));
    },
    change: async (command: Command) => {
      calls.push('change');
      if (keeper.failing) throw new Error('It cannot follow.');
      change(structuredClone(command));
    },
    name: async (id: string) => map().positions.find((position) => position.id === id)?.name,
  };
  return { keeper, calls, map };
}
const renamed = (map: GuardMap, name: string) =>
  applyCommand(map, setFields('position', 'triangle', [{ path: ['name'], value: name }])).document;

it('a copy follows by what has changed, and what an edit leaves alone stays the same object there', async () => {
  const { keeper, calls, map } = keeping();
  expect(() => map()).toThrow('No map is open');
  const ask = mirrorMap(keeper);
  expect(await ask(demo, ({ name }) => name('triangle'))).toBe('Triangle locked');
  const before = map();
  const next = renamed(demo, 'Three');
  expect(await ask(next, ({ name }) => name('triangle'))).toBe('Three');
  expect(map()).toEqual(next);
  expect(map().exchanges).toBe(before.exchanges);
  expect(map().positions.filter((position, i) => position !== before.positions[i])).toHaveLength(1);
  await ask(next, ({ name }) => name('triangle'));
  await ask({ ...demo, id: 'other' }, ({ name }) => name('triangle'));
  expect(calls).toEqual(['open', 'change', 'open']);
  expect(map().id).toBe('other');
});

it('a copy that could not follow is sent the whole map with the next question', async () => {
  const { keeper, calls } = keeping();
  const ask = mirrorMap(keeper);
  await ask(demo, ({ name }) => name('triangle'));
  keeper.failing = true;
  const next = renamed(demo, 'Three');
  await expect(ask(next, ({ name }) => name('triangle'))).rejects.toThrow('It cannot follow.');
  keeper.failing = false;
  expect(await ask(next, ({ name }) => name('triangle'))).toBe('Three');
  expect(calls).toEqual(['open', 'change', 'open']);
});

it('a question that fails leaves the copy as it is', async () => {
  const { keeper, calls } = keeping();
  const ask = mirrorMap(keeper);
  await expect(ask(demo, () => Promise.reject(new RangeError('Too much.')))).rejects.toThrow('Too much.');
  expect(await ask(renamed(demo, 'Three'), ({ name }) => name('triangle'))).toBe('Three');
  expect(calls).toEqual(['open', 'change']);
});
