import { readFileSync } from 'node:fs';
import { holes } from '@aftersquall/core/check';
import { parseMapFile } from '@aftersquall/core/formats';
import { indexMap } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { positionOf, selectedThing } from './selection.ts';
import { type Filters, shownBy } from './useView.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const ALL: Filters = {
  system: '',
  wear: '',
  level: '',
  holes: false,
  folded: undefined,
  failingFaded: false,
};
const shown = (filters: Partial<Filters>) => demo.positions.filter(shownBy(demo, { ...ALL, ...filters }));

describe('which positions are shown', () => {
  it('is all of them without a filter, and each in its systems', () => {
    expect(shown({})).toEqual(demo.positions);
    for (const { id } of demo.systems) {
      const inside = shown({ system: id });
      expect(inside.length).toBeGreaterThan(0);
      expect(inside.every(({ systems }) => systems.includes(id))).toBe(true);
    }
    expect(shown({ system: 'nowhere' })).toEqual([]);
  });

  it('leaves out what cannot be played, is above the level, or has its answers', () => {
    expect(shown({ wear: 'no-gi' }).every(({ apparel }) => apparel !== 'gi')).toBe(true);
    const counts = (['novice', 'intermediate', 'expert'] as const).map((level) => shown({ level }).length);
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    expect(counts[2]).toBe(demo.positions.length);
    const open = new Set(holes(demo).map(({ position }) => position.id));
    expect(new Set(shown({ holes: true }).map(({ id }) => id))).toEqual(open);
  });

  it('joins its filters', () => {
    const both = shown({ system: 'cross-sleeve', holes: true });
    expect(both.every((position) => shown({ system: 'cross-sleeve' }).includes(position))).toBe(true);
    expect(both.every((position) => shown({ holes: true }).includes(position))).toBe(true);
    expect(both.length).toBeGreaterThan(0);
  });
});

describe('the position a selection is about', () => {
  it('is its own, its move’s, its exchange’s; a reaction has none', () => {
    const [exchange] = demo.exchanges;
    const move = indexMap(demo).move.get(exchange!.move)!;
    expect(positionOf(demo, { kind: 'position', id: move.position })).toBe(move.position);
    expect(positionOf(demo, { kind: 'move', id: move.id })).toBe(move.position);
    expect(positionOf(demo, { kind: 'exchange', id: exchange!.id })).toBe(move.position);
    expect(positionOf(demo, { kind: 'reaction', id: demo.reactions[0]!.id })).toBeUndefined();
    expect(positionOf(demo, { kind: 'exchange', id: 'gone' })).toBeUndefined();
    expect(positionOf(demo, undefined)).toBeUndefined();
  });

  it('is gone once the thing is', () => {
    expect(selectedThing(demo, 'move', demo.moves[0]!.id)).toBe(demo.moves[0]);
    expect(selectedThing(demo, 'move', 'gone')).toBeUndefined();
  });
});
