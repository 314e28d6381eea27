import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { badReferences } from '../../documents/documentIssues.ts';
import { emptyMap } from '../../model/map.ts';
import { parseGuardBook } from './parseGuardBook.ts';
import { pickSystems } from './pickSystems.ts';
import { printGuardBook } from './printGuardBook.ts';
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

  it('bring the mechanics their moves require, and keep what is required of the systems there are', () => {
    const half = pickSystems(book, ['half-guard']);
    const required = (of: typeof book) =>
      of.moves.flatMap(({ requires }) =>
        requires.flatMap((need) => ('mechanic' in need ? need.mechanic : [])),
      );
    const inBook = required({
      ...book,
      moves: book.moves.filter(({ id }) => half.moves.some((m) => m.id === id)),
    });
    expect(inBook).toContain('inversion');
    expect(required(half)).toEqual(inBook);
    expect(half.mechanics.map(({ id }) => id)).toEqual(expect.arrayContaining(inBook));
  });

  it('added one after the other join: what both have is there once, and whole', () => {
    const first = pickSystems(book, ['butterfly']);
    const bare = first.positions.find(({ id }) => id === 'slx')!;
    expect([bare.looks, bare.systems]).toEqual([[], []]);
    expect(takeBook(emptyMap('a', 'A'), first).issues).toEqual([]);
    const map = { ...emptyMap('a', 'A'), ...first };
    const { issues, changes } = takeBook(map, pickSystems(book, ['single-leg-x'], map));
    expect(issues).toEqual([]);
    // The bare position has become a whole one; the whole ones of before are left alone.
    expect(changes).toContainEqual({ kind: 'position', id: 'slx', name: 'Single-leg X', change: 'changed' });
    expect(
      changes.filter(({ kind, change }) => kind === 'position' && change === 'changed').map(({ id }) => id),
    ).not.toContain('butterfly');
  });

  it('leave a shared position in the systems it was in', () => {
    const shared = book.positions.find(({ systems }) => systems.length > 1)!;
    const [one, other] = shared.systems;
    const map = { ...emptyMap('a', 'A'), ...pickSystems(book, [one!]) };
    const then = pickSystems(book, [other!], map).positions.find(({ id }) => id === shared.id)!;
    expect(then.systems).toEqual(shared.systems);
  });

  it('taken out of a map and in again, change nothing', () => {
    const map = { ...emptyMap('a', 'A'), ...book };
    for (const id of ids) {
      const [file] = printGuardBook(pickSystems(map, [id], map), id);
      const again = parseGuardBook([file!]);
      expect(again.errors).toEqual([]);
      const { changes, issues } = takeBook(map, again.book);
      expect([id, changes, issues]).toEqual([id, [], []]);
    }
  });
});
