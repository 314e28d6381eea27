import { expect, it } from 'vitest';
import { lowerFirst, upperFirst } from './letterCase.ts';

it.each([
  ['Drives forward', 'drives forward'],
  ['X, leg on the forearm', 'X, leg on the forearm'],
  ['ACL', 'ACL'],
  ['', ''],
])('puts “%s” inside a sentence as “%s”', (text, inside) => {
  expect(lowerFirst(text)).toBe(inside);
});

it('begins a sentence with a capital', () => {
  expect(upperFirst('drives forward')).toBe('Drives forward');
  expect(upperFirst('')).toBe('');
});
