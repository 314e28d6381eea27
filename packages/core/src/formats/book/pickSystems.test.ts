import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { badReferences } from '../../documents/documentIssues.ts';
import { emptyMap } from '../../model/map.ts';
import { parseGuardBook } from './parseGuardBook.ts';
import { pickSystems } from './pickSystems.ts';
import { takeBook } from './takeBook.ts';

const folder = new URL('../../../../../demo/book/', import.meta.url);
const { book } = parseGuardBook(
  readdirSync(folder).map((name) => ({ name, text: readFileSync(new URL(name, folder), 'utf8') })),
);
const ids = book.systems.map(({ id }) => id);

describe('systems picked from a book', () => {
  it('are whole in themselves, whichever they are', () => {
    fc.assert(
      fc.property(fc.subarray(ids, { minLength: 1 }), (some) => {
        const picked = pickSystems(book, some);
        expect(badReferences({ ...emptyMap('a', 'A'), ...picked })).toEqual([]);
        expect(picked.systems.map(({ id }) => id).sort()).toEqual([...some].sort());
        const home = book.positions.filter(({ systems }) => systems.some((id) => some.includes(id)));
        for (const { id } of home) {
          const moves = (of: typeof picked) => of.moves.filter(({ position }) => position === id).length;
          expect(moves(picked)).toBe(moves(book));
        }
      }),
      { numRuns: 30 },
    );
  });

  it('added one after the other join: what both have is there once, and whole', () => {
    const first = takeBook(emptyMap('a', 'A'), pickSystems(book, ['butterfly']));
    const bare = pickSystems(book, ['butterfly']).positions.find(({ id }) => id === 'slx')!;
    expect([bare.looks, bare.systems]).toEqual([[], []]);
    expect(first.issues).toEqual([]);
    const map = { ...emptyMap('a', 'A'), ...pickSystems(book, ['butterfly']) };
    const known = new Set(map.positions.filter(({ looks }) => looks.length > 0).map(({ id }) => id));
    const second = pickSystems(book, ['single-leg-x'], known);
    const { issues, changes } = takeBook(map, second);
    expect(issues).toEqual([]);
    // The bare position has become a whole one; the whole ones of before are left alone.
    expect(changes).toContainEqual({ kind: 'position', id: 'slx', name: 'Single-leg X', change: 'changed' });
    expect(
      changes.filter(({ kind, change }) => kind === 'position' && change === 'changed').map(({ id }) => id),
    ).not.toContain('butterfly');
  });
});
