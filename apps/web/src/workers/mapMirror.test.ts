import { readFileSync } from 'node:fs';
import { applyCommand, type Command, type GuardMap, parseMapFile, setFields } from '@aftersquall/core';
import { expect, it } from 'vitest';
import { bringUpTo, keepMap } from './mapMirror.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);

it('a copy follows by what has changed, and what an edit leaves alone stays the same object there', async () => {
  const { open, change, map } = keepMap();
  let opened = 0;
  const keeper = {
    open: async (next: GuardMap) => {
      opened++;
      open(structuredClone(next));
    },
    change: async (command: Command) => change(structuredClone(command)),
  };
  expect(() => map()).toThrow('No map is open');
  await bringUpTo(keeper, undefined, demo);
  const before = map();
  const next = applyCommand(
    demo,
    setFields('position', 'triangle', [{ path: ['name'], value: 'Three' }]),
  ).document;
  await bringUpTo(keeper, demo, next);
  expect(map()).toEqual(next);
  expect(map().exchanges).toBe(before.exchanges);
  expect(map().positions.filter((position, i) => position !== before.positions[i])).toHaveLength(1);
  await bringUpTo(keeper, next, next);
  await bringUpTo(keeper, next, { ...demo, id: 'other' });
  expect([opened, map().id]).toEqual([2, 'other']);
});
