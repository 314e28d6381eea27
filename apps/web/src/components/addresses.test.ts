import { expect, it } from 'vitest';
import { newAddress } from './addresses.ts';

it('addresses of before lead to where their place is now', () => {
  expect(newAddress('/kelpwick/map')).toBe('/map/kelpwick');
  expect(newAddress('/kelpwick/weigh')).toBe('/map/kelpwick/weigh');
  expect(newAddress('/kelpwick/drills')).toBe('/club/classes');
  expect(newAddress('/kelpwick/drills/tuesday')).toBe('/club/classes/tuesday');
  expect(newAddress('/kelpwick/mat/tuesday')).toBe('/club/mat/tuesday');
  for (const other of ['/', '/kelpwick', '/kelpwick/nowhere', '/kelpwick/toString', '/a/b/c/d'])
    expect(newAddress(other)).toBeUndefined();
});
