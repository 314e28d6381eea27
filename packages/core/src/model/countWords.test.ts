import { describe, expect, it } from 'vitest';
import { roundsWords, timesInTen } from './countWords.ts';

describe('chances as a coach counts', () => {
  it.each([
    [1, 'nearly always'],
    [0.9, '9 times in 10'],
    [0.42, '4 times in 10'],
    [0.1, '1 time in 10'],
    [0.04, 'once in 25 times'],
    [0, '0 times in 10'],
  ])('says %d as “%s”', (chance, words) => {
    expect(timesInTen(chance)).toBe(words);
  });
});

describe('how often something comes up', () => {
  it.each([
    [2.2, '2 times a round'],
    [1, 'once a round'],
    [0.31, '3 rounds in 10'],
    [0.125, 'once in 8 rounds'],
    [0.043, 'once in 25 rounds'],
    [0.004, 'once in 250 rounds'],
    [0.001, 'hardly ever'],
    [0, 'in no round'],
  ])('says %d a round as “%s”', (rate, words) => {
    expect(roundsWords(rate)).toBe(words);
  });
});
