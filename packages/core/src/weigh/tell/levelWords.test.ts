import { expect, it } from 'vitest';
import { levelWords } from './levelWords.ts';

it('a level is said in words', () => {
  expect(levelWords({ top: 'club', bottom: 'keeps to the plan' })).toBe(
    'you at your plan and them at club level',
  );
  expect(levelWords({ top: 'new', bottom: 'like the opponent' })).toBe('them new to it and you no better');
  expect(levelWords({ top: 'knows best', bottom: 'like the opponent' })).toBe('both knowing best');
});
