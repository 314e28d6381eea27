import { describe, expect, it } from 'vitest';
import { OUTCOMES } from '../model/outcome.ts';
import { smallMap } from '../test/smallMap.ts';
import { landingWords, OUTCOME_GOOD, OUTCOME_WORDS, reactionName } from './landingWords.ts';

const map = smallMap();
const [position] = map.positions;
const [reaction] = map.reactions;

describe('where a landing is, in words', () => {
  it('is an ending by its words, each of its own and good for somebody or nobody', () => {
    expect(landingWords(map, { outcome: 'top-mount' })).toBe('on top in mount');
    expect(new Set(OUTCOMES.map((outcome) => OUTCOME_WORDS[outcome])).size).toBe(OUTCOMES.length);
    expect(OUTCOMES.filter((outcome) => OUTCOME_GOOD[outcome] === 'top')).toEqual([
      'passed',
      'swept-back',
      'submitted',
    ]);
  });

  it('is a position by its name and side, or by its id once it is gone', () => {
    expect(landingWords(map, { position: position!.id })).toBe(position!.name);
    expect(landingWords(map, { position: position!.id, mirrored: true })).toBe(
      `${position!.name}, on the other side`,
    );
    const from = (leadSide: 'L' | 'R') =>
      landingWords(map, { position: position!.id, mirrored: true }, { leadSide });
    expect(from(position!.leadSide)).toBe(`${position!.name}, on the far side`);
    expect(from(position!.leadSide === 'L' ? 'R' : 'L')).toBe(`${position!.name}, on the near side`);
    expect(landingWords(map, { position: 'gone' })).toBe('gone');
  });
});

describe('a reaction by its name', () => {
  it('says the side where it is the other one, and its id once it is gone', () => {
    expect(reactionName(map, { id: reaction!.id })).toBe(reaction!.name);
    expect(reactionName(map, { id: reaction!.id, mirrored: true })).not.toBe(reaction!.name);
    expect(reactionName(map, { id: 'gone' })).toBe('gone');
  });
});
