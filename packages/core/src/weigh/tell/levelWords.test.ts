import { expect, it } from 'vitest';
import { levelWords } from './levelWords.ts';

it('says between whom a round is, to follow “with”', () => {
  expect(levelWords({ top: 'club', bottom: 'keeps to the plan' })).toBe('your plan against a club-level top');
  expect(levelWords({ top: 'new', bottom: 'like the opponent' })).toBe('both new to it');
  expect(levelWords({ top: 'knows best', bottom: 'like the opponent' })).toBe('perfect play on both sides');
});
