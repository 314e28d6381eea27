import { expect, it } from 'vitest';
import { usualAction } from './limbActions.ts';

it.each([
  ['footL', 'hip', 'place'],
  ['footR', 'upper-arm', 'place'],
  ['footL', 'thigh', 'hook'],
  ['footL', 'knee-crook', 'hook'],
  ['handR', 'sleeve', 'grip'],
  ['handR', 'wrist', 'grip'],
  ['handL', 'hip', 'frame'],
  ['handL', 'ankle', 'cup'],
  ['handL', 'mat', 'post'],
  ['legR', 'chest', 'shield'],
] as const)('%s on the %s is usually a %s', (limb, part, action) => {
  expect(usualAction(limb, part)).toBe(action);
});
