import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { playMap, solveMap, tellRound, weighMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { hundredOf } from './hundredOf.ts';
import { hurtWords, livesOnWords, roundSentences, stepWords, wayWords } from './storyWords.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const solution = solveMap(map);
const story = tellRound(map, {}, solution, playMap(solution));

describe('the words of a round', () => {
  it('name the place with every move and reaction', () => {
    expect(livesOnWords(map, story.livesOn[0]!)).toMatch(/^“.+” from “.+”: without it/);
    expect(hurtWords(map, story.hurts[0]!)).toMatch(/^Top [a-z].+ in “.+”, .+\.$/);
    expect(wayWords({ ...story.way!, chance: 0.31, countered: 0.08, to: 'top-mount' })).toContain(
      'If you keep to it, 31 in a hundred end on top in mount; 8 in a hundred are passed',
    );
    const step = stepWords(map, story.way!.steps[0]!.exchange);
    expect(step.position.id).toBe(story.way!.from);
  });

  it('make a hundred rounds of the chances, no more and no fewer', () => {
    const parts = hundredOf(story.ends);
    expect(parts.reduce((sum, { rounds }) => sum + rounds, 0)).toBe(100);
    for (const { end, rounds } of parts) expect(Math.abs(rounds - story.ends[end] * 100)).toBeLessThan(1);
    const thirds = hundredOf({ ...zero(), submission: 1 / 3, passed: 1 / 3, time: 1 / 3 });
    expect(thirds.map(({ end, rounds }) => [end, rounds])).toEqual([
      ['submission', 34],
      ['time', 33],
      ['passed', 33],
    ]);
  });
});

const zero = () => Object.fromEntries(Object.keys(story.ends).map((end) => [end, 0])) as typeof story.ends;

describe('a round in five sentences', () => {
  const { drills, guessed } = weighMap(map);

  it('says what carries it, what hurts it, the hole, the drill and what the figures are', () => {
    const sentences = roundSentences(map, story, { drills, guessed }).map(({ words }) => words);
    expect(sentences).toHaveLength(5);
    for (const sentence of sentences) {
      expect(sentence).toMatch(/^[A-Z“].*\.$/);
      expect(sentence).not.toMatch(/ {2}|\.\.|undefined|NaN/);
    }
    expect(sentences[4]).toBe('So far every figure is your guess. Count tries on the Mat to check them.');
    expect(roundSentences(map, story, { drills, guessed: 0.42 }).at(-1)!.words).toContain('About 4 in 10');
  });

  it('says what there is not', () => {
    const none = { livesOn: [], hurts: [], hole: undefined };
    const words = roundSentences(map, none, { drills: [], guessed: 1 }).map((one) => one.words);
    expect(words.slice(0, 4).every((one) => /^No|^Nothing/.test(one))).toBe(true);
  });
});
