import { expect, it } from 'vitest';
import { searchLoosely, searchNames } from './searchNames.ts';

const names = ['Triangle locked', 'Collar and sleeve, top standing', 'Strips the collar grip', 'Turtle'];
const exact = (typed: string) => searchNames(names, typed, (name) => [name]);
const loose = (typed: string) => searchLoosely(names, typed, (name) => [name]);

it('finds what has all the words, in any order, by their beginnings', () => {
  expect(exact('sleeve coll')).toEqual(['Collar and sleeve, top standing']);
  expect(loose('sleeve coll')).toEqual(['Collar and sleeve, top standing']);
  expect(exact('triangle choke')).toEqual([]);
});

it('finds what has most of the words where nothing has all of them', () => {
  expect(loose('triangle choke')).toEqual(['Triangle locked']);
  expect(loose('stands collar sleeve')).toEqual(['Collar and sleeve, top standing']);
  expect(loose('collar somewhere').sort()).toEqual([
    'Collar and sleeve, top standing',
    'Strips the collar grip',
  ]);
  expect(loose('lapel')).toEqual([]);
  expect(loose('  ')).toEqual([]);
});
