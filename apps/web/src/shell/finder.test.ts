import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { describe, expect, it } from 'vitest';
import { addressIn, find } from './Finder.tsx';

const map = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
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

  it.each([
    'strip collar',
    'collar strip',
    'STRIP the coll',
  ])('finds words in any order, by their starts: %s', (typed) => {
    expect(names(typed)).toContain('Strips the collar grip');
  });

  it('goes where one is: a position or a reaction found in Read opens there', () => {
    const [triangle] = find(map, 'triangle locked');
    expect(addressIn('read', map, triangle!)).toBe('/map/kelpwick/read?at=triangle');
    expect(addressIn('weigh', map, triangle!)).toBe('/map/kelpwick?sel=position.triangle');
  });

  it('puts a thing’s own name first, knows where each is, and finds nothing in nothing', () => {
    expect(names('single-leg x')[0]).toBe('Single-leg X');
    expect(find(map, 'scissor sweep')[0]).toMatchObject({ address: '?sel=move.scissor' });
    expect(find(map, ' ')).toEqual([]);
    expect(names('xyzzy')).toEqual([]);
  });
});
