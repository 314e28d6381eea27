import fc from 'fast-check';
import { expect, it } from 'vitest';
import { placeNumbers } from './listOrder.ts';

const ids = fc.uniqueArray(fc.integer({ min: 0, max: 30 }).map(String), { maxLength: 12 });

it('numbers any list in its order, whatever was known of it', () => {
  fc.assert(
    fc.property(
      ids,
      fc.dictionary(fc.integer({ min: 0, max: 30 }).map(String), fc.integer({ min: -5, max: 20 })),
      (list, known) => {
        const before = new Map(Object.entries(known));
        const written = placeNumbers(list, before);
        const numbers = list.map((id) => written.get(id) ?? before.get(id)!);
        for (let i = 1; i < numbers.length; i++) expect(numbers[i]!).toBeGreaterThan(numbers[i - 1]!);
      },
    ),
  );
});

it('writes one number for one thing that comes, wherever it comes, and for one that moves to an end', () => {
  const known = new Map([
    ['a', 0],
    ['b', 1],
    ['c', 2],
    ['d', 3],
  ]);
  expect(placeNumbers(['a', 'b', 'c', 'd', 'x'], known)).toEqual(new Map([['x', 4]]));
  expect(placeNumbers(['x', 'a', 'b', 'c', 'd'], known)).toEqual(new Map([['x', -1]]));
  expect(placeNumbers(['a', 'x', 'b', 'c', 'd'], known)).toEqual(new Map([['x', 0.5]]));
  expect([...placeNumbers(['b', 'c', 'd', 'a'], known).keys()]).toEqual(['a']);
  expect([...placeNumbers(['d', 'a', 'b', 'c'], known).keys()]).toEqual(['d']);
});

it('numbers the whole list anew once there is no room between neighbours', () => {
  const known = new Map([
    ['a', 0],
    ['b', 1e-7],
  ]);
  expect(placeNumbers(['a', 'x', 'b'], known)).toEqual(
    new Map([
      ['a', 0],
      ['x', 1],
      ['b', 2],
    ]),
  );
});
