import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import type { GuardMap } from '../../model/map.ts';
import { guardMap } from '../../test/arbitraries.ts';
import { CLUB_SOFTNESS, KNOW_BEST } from '../../weigh/game/softness.ts';
import { solveMap } from '../../weigh/game/solveMap.ts';
import { playMap } from '../../weigh/play/playMap.ts';
import { repertoireOf, repertoireValue } from './repertoire.ts';

const club = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
/** A map of one system, so that nothing stands outside of a lesson. */
const ofOneSystem = (map: GuardMap): GuardMap => ({
  ...map,
  systems: [{ id: 'all', name: 'All' } as GuardMap['systems'][number]],
  positions: map.positions.map((one) => ({ ...one, systems: ['all'] })),
});

describe('what a repertoire is worth', () => {
  it('is what the whole map says with the other moves forbidden, from any root, at any level', () => {
    const map = ofOneSystem(club);
    fc.assert(
      fc.property(
        fc.constantFrom(...map.positions.map(({ id }) => id)),
        fc.subarray(map.moves.map(({ id }) => id)),
        fc.constantFrom(CLUB_SOFTNESS, KNOW_BEST, { bottom: 0.9, top: 0.9 }),
        (root, known, level) => {
          const forbiddenMoves = map.moves.flatMap(({ id }) => (known.includes(id) ? [] : [id]));
          const whole = playMap(solveMap(map, { forbiddenMoves }), level);
          const at = map.positions.findIndex(({ id }) => id === root);
          expect(repertoireValue(map, { root, known, options: { level } })).toBeCloseTo(whole.values[at]!, 6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is a number for every map and root, whatever is known', () => {
    fc.assert(
      fc.property(guardMap, (map) => {
        fc.pre(map.positions.length > 0);
        const root = map.positions[0]!.id;
        for (const outside of ['as mapped', 'unknown'] as const) {
          const repertoire = repertoireOf(map, { root, outside });
          for (const known of [new Set<string>(), new Set(repertoire.moves)])
            expect(Number.isFinite(repertoire.value(known))).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('with nothing known is that of waiting', () => {
    for (const { id, rest } of club.positions) {
      if (rest === undefined) continue;
      expect(repertoireValue(club, { root: id, known: [] })).toBeCloseTo(rest, 9);
    }
  });

  it('has a slope for every exchange that comes up: what a better chance brings while both keep to what they do', () => {
    const root = club.positions.find(({ entry = 0 }) => entry > 0)!.id;
    const repertoire = repertoireOf(club, { root });
    const links = repertoire.links(new Set(repertoire.moves));
    expect(links.length).toBeGreaterThan(5);
    for (const { rate, share } of links) {
      expect(rate).toBeGreaterThan(0);
      expect(share).toBeGreaterThan(0);
      expect(share).toBeLessThanOrEqual(1 + 1e-12);
    }
    // What is never known never comes up.
    const [move] = repertoire.moves;
    const without = repertoire.links(new Set(repertoire.moves.filter((id) => id !== move)));
    expect(without.some((link) => link.move === move)).toBe(false);
  });

  it('knows no root that is not there', () => {
    expect(() => repertoireOf(club, { root: 'nowhere' })).toThrow('there is no position “nowhere”');
  });
});
