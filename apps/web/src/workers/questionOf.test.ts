import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { weighMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { optionsKey } from './optionsKey.ts';
import { questionOf } from './questionOf.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('a question about a map', () => {
  it('is what a scenario says, and weighed so', () => {
    const { options } = questionOf(demo, { apparel: 'no-gi', submissionWorth: 3 });
    expect(weighMap(demo, options).entry).toBeCloseTo(
      weighMap(demo, { apparel: 'no-gi', submissionWorth: 3 }).entry,
      9,
    );
  });

  it('that cannot be asked says why', () => {
    expect(questionOf(demo, { opponent: 'nobody' })).toEqual({
      trouble: 'the opponent of this what-if is gone: choose another one',
    });
  });

  it('is known again by its key, another chance or trust is another question', () => {
    const key = (changes: object) => optionsKey(questionOf(demo, changes).options!);
    const chances = (chance: number) => ({ chances: [{ exchange: demo.exchanges[0]!.id, chance }] });
    expect(key(chances(0.4))).toBe(key(chances(0.4)));
    const keys = [key({}), key(chances(0.4)), key(chances(0.5)), key({ opponent: 'marten', trust: 0.5 })];
    expect(new Set([...keys, key({ opponent: 'marten', trust: 0.6 })]).size).toBe(5);
  });
});
