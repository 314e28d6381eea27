import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

import { holdWords, wordContext } from '../body/words.ts';
import { parseMapFile } from '../formats/mapFile.ts';
import { indexMap } from '../model/indexMap.ts';
import { checkSweep } from './checkSweep.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const { position: positions, reaction: reactions } = indexMap(demo);
const sweeps = demo.moves
  .filter(({ kind }) => kind === 'sweep')
  .flatMap((move) => {
    const position = positions.get(move.position)!;
    const look = position.looks.find(({ id }) => id === move.look)!;
    return [undefined, ...look.reactions.map(({ id }) => reactions.get(id)!)].map((reaction) => ({
      position,
      move,
      reaction,
      check: checkSweep(position, move, { reaction }),
    }));
  });

describe('the verdict on a sweep', () => {
  it('begins with whether top is weakest there, and says who can still come down', () => {
    const begun = new Set<string>();
    for (const { move, check } of sweeps) {
      if (move.direction === undefined) {
        expect(check.verdict).toBe('Say which way it sends top. Then the balance can be checked.');
        expect(check.weakest).toBeUndefined();
        continue;
      }
      const free = check.free.length > 0;
      const begins = check.weakest
        ? free
          ? 'Top is weakest there, but '
          : 'Where top is weakest'
        : free
          ? 'Top is weaker elsewhere: '
          : 'Top is weaker elsewhere.';
      expect(check.verdict.startsWith(begins), check.verdict).toBe(true);
      expect(check.verdict.includes('can still come down')).toBe(free);
      begun.add(begins);
    }
    // The demo has sweeps of every kind.
    expect(begun.size).toBe(4);
  });

  it('names each hold that takes a post on that side once, and no other', () => {
    for (const { position, move, check } of sweeps) {
      if (move.direction === undefined) continue;
      for (const { hold } of check.setup.by) {
        const words = holdWords(hold, wordContext(position));
        const named = check.verdict.split(words).length - 1;
        expect(named, check.verdict).toBe(check.held.some((one) => one.hold === hold) ? 1 : 0);
      }
    }
  });
});
