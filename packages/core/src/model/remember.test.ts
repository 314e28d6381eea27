import { expect, it } from 'vitest';
import { remember } from './remember.ts';

it('works out once what was asked about the same things, in the same order', () => {
  let asked = 0;
  const sum = remember((a: { n: number }, b: { n: number }) => {
    asked++;
    return a.n + b.n;
  });
  const [one, two] = [{ n: 1 }, { n: 2 }];
  expect([sum(one, two), sum(one, two), sum(two, one), sum(one, { n: 2 })]).toEqual([3, 3, 3, 3]);
  expect(asked).toBe(3);
});

it('remembers that there was nothing, too', () => {
  let asked = 0;
  const nothing = remember((_: object): undefined => {
    asked++;
  });
  const thing = {};
  nothing(thing);
  nothing(thing);
  expect(asked).toBe(1);
});
