import { readFileSync } from 'node:fs';
import { mirror } from '@aftersquall/core/body';
import { parseMapFile } from '@aftersquall/core/formats';
import { describe, expect, it } from 'vitest';
import { lookAt } from './looking.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('a position that is only looked at', () => {
  it('is not another one as long as it is seen as it is', () => {
    for (const position of map.positions)
      expect(lookAt(position, { flipped: false, apparel: 'gi' })).toBeUndefined();
  });

  it('is its mirror image from the other side', () => {
    for (const position of map.positions)
      expect(lookAt(position, { flipped: true, apparel: 'gi' })!.position.holds).toEqual(
        mirror('position', position).holds,
      );
  });

  it('has no cloth in its holds without the jacket', () => {
    for (const position of map.positions) {
      const { holds } = lookAt(position, { flipped: false, apparel: 'no-gi' })!.position;
      for (const { target } of holds)
        expect(['collar', 'sleeve', 'lapel', 'trousers', 'belt']).not.toContain(target.part);
    }
  });
});
