import { expect, it } from 'vitest';
import type { Practice } from '../model/practice.ts';
import { usualPeople } from './usualPeople.ts';

const session = (people: number, ...aliases: string[]) =>
  ({ people, athletes: aliases.map((alias) => ({ id: alias, alias })) }) as Practice['sessions'][number];

it('takes the middle of the last six classes and leaves out those nobody was counted in', () => {
  const counts = [40, 40, 10, 11, 12, 0, 30, 12, 13];
  expect(usualPeople(counts.map((people) => session(people)))).toEqual({ count: 12, aliases: [] });
});

it('names whoever came to half of them', () => {
  const sessions = [session(3, 'Teal', 'Gull'), session(3, 'Teal'), session(2, 'Reed', 'Gull'), session(2)];
  expect(usualPeople(sessions)?.aliases).toEqual(['Teal', 'Gull']);
});

it('says nothing where nobody was ever counted', () => {
  expect(usualPeople([session(0)])).toBeUndefined();
});
