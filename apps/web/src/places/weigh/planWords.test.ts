import { readFileSync } from 'node:fs';
import { parseMapFile, pointsText, solveMap } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { oddsWords, planWords } from './planWords.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('a plan in words', () => {
  it('says small whole odds where they fit, and percentages where they do not', () => {
    expect(oddsWords([0.5, 0.5])).toBe('evenly');
    expect(oddsWords([0.66, 0.34])).toBe('two to one');
    expect(oddsWords([0.97, 0.03])).toBe('97 % to 3 %');
    expect(oddsWords([1])).toBe('');
  });

  it('names the moves, what top does about them and what that leaves', () => {
    const { positions } = solveMap(map);
    const plan = positions.find(({ position }) => position === 'x-guard')!.looks[0]!;
    const words = planWords(map, plan);
    expect(words).toContain(
      'Show “Stretch, come up with the leg” and “Pull the sleeve, tip over the near side”',
    );
    expect(words).toContain('Top does best when top');
    expect(words).toContain(`That leaves ${pointsText(plan.value)} points.`);
  });

  it('speaks of habits where they are known', () => {
    const { tendencies } = map.opponents[0]!;
    const { positions } = solveMap(map, { tendencies, trust: 0.6 });
    const { looks } = positions.find(({ position }) => position === 'collar-sleeve-standing')!;
    const habit = looks.find(({ look }) => look === 'push-pull')!;
    expect(planWords(map, habit)).toContain(
      `As far as the habits are trusted that is worth ${pointsText(habit.value)} points.`,
    );
    const other = positions.find(({ position }) => position === 'x-guard')!.looks[0]!;
    expect(planWords(map, other)).toContain('That leaves');
  });

  it('says to feel first only where that changes what to do', () => {
    const seen = solveMap(map)
      .positions.flatMap(({ looks }) => looks)
      .filter(({ timing }) => timing === 'seen');
    const differs = seen.filter(({ replies }) => new Set(replies.map(({ move }) => move)).size > 1);
    expect(differs.length).toBeGreaterThan(0);
    for (const plan of seen) {
      const words = planWords(map, plan);
      if (differs.includes(plan)) expect(words).toContain('Feel first, then');
      else expect(words).toContain('whatever top does');
    }
  });
});
