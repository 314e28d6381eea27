import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { find } from './Finder.tsx';

const map = parseMapFile(
  readFileSync(new URL('../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);
const names = (typed: string) => find(map, typed).map(({ name }) => name);

describe('the finder', () => {
  it.each([
    ['omoplata', 'Shoulder lock, top bent over'],
    ['sankaku', 'Triangle locked'],
    ['balao', 'Overhead sweep'],
    ['fifty-fifty', 'Mutual entanglement'],
    ['whizzer', 'Overhooks the underhooking arm'],
    ['borboleta', 'Butterfly'],
    ['inversion', 'Turn under to the back'],
  ])('finds %s, with or without its accents', (typed, name) => {
    expect(names(typed)).toContain(name);
  });

  it('puts a thing’s own name first, knows where each is, and finds nothing in nothing', () => {
    expect(names('single-leg x')[0]).toBe('Single-leg X');
    expect(find(map, 'scissor sweep')[0]).toMatchObject({ address: '?sel=move.scissor' });
    expect(find(map, ' ')).toEqual([]);
    expect(names('xyzzy')).toEqual([]);
  });
});
