import { expect, it } from 'vitest';
import { readDemo } from '../../../../demo/readDemo.ts';
import { reactionName } from './landingWords.ts';
import { wornWords } from './wornWords.ts';

it('says what is under the cloth where there is none', () => {
  expect(wornWords('Strips the collar grip', 'no-gi')).toBe('Strips the neck grip');
  expect(wornWords('Land with the belt held.', 'no-gi')).toBe('Land with the waist held.');
  expect(wornWords('Grips a trouser leg', 'no-gi')).toBe('Grips an ankle');
  expect(wornWords('Pulls the sleeve hand free', 'no-gi')).toBe('Pulls the held hand free');
  expect(wornWords('Strips the collar with the near hand', 'no-gi')).toBe(
    'Strips the neck grip with the near hand',
  );
  expect(wornWords('Grips both trouser cuffs or ankles', 'no-gi')).toBe('Grips both ankles');
  expect(wornWords('Strips the collar grip', 'gi')).toBe('Strips the collar grip');
});

it('names no reaction of the demo by cloth in no-gi', () => {
  const map = readDemo();
  const names = map.reactions.map(({ id }) => wornWords(reactionName(map, { id }), 'no-gi'));
  expect(names.length).toBeGreaterThan(100);
  expect(names.filter((name) => /collar|sleeve|lapel|belt|trouser|jacket|cuff/i.test(name))).toEqual([]);
});
