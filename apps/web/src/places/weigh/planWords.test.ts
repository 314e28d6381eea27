import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { timesInTen } from '@aftersquall/core/model';
import { pointsText, solveMap, weighMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { mixWords, planWords, reasonWords } from './planWords.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('a plan in words', () => {
  it('says small whole odds where they fit, and percentages where they do not', () => {
    expect(mixWords(['A', 'B'], [0.5, 0.5])).toBe('equally often');
    expect(mixWords(['A', 'B'], [0.66, 0.34])).toBe('“A” twice, “B” once');
    expect(mixWords(['A', 'B'], [0.97, 0.03])).toBe('“A” 97 %, “B” 3 %');
    expect(mixWords(['A'], [1])).toBe('');
  });

  it('names the moves, what top does about them and what that leaves', () => {
    const { positions } = solveMap(map);
    const plan = positions.find(({ position }) => position === 'x-guard')!.looks[0]!;
    const words = planWords(map, plan);
    expect(words).toContain(
      'Show “Stretch, come up with the leg” and “Pull the sleeve, tip over the near side”',
    );
    expect(words).toContain('Top does best when top');
    expect(words).toContain(`That brings ${pointsText(plan.value)} points.`);
  });

  it('says what two who do not know best do mostly, and leaves out what they do now and then', () => {
    const { positions } = weighMap(map);
    const plan = positions.find(({ position }) => position === 'x-guard')!.looks[0]!;
    const words = planWords(map, plan, true);
    expect(words).toContain('Mostly top');
    const name = (id: string) => map.moves.find((move) => move.id === id)!.name;
    for (const { what, share } of plan.moves) expect(words.includes(`“${name(what)}”`)).toBe(share >= 0.12);
  });

  it('says why a position is worth what it is, down to the exchange that makes it', () => {
    const exchange = map.exchanges.find(({ reaction, otherwise }) => reaction !== 'none' && !otherwise)!;
    const { move, reaction, id } = exchange;
    const words = reasonWords(map, { move, reaction, exchange: id, payoff: -2.45 });
    expect(words).toContain(`It works ${timesInTen(exchange.chance)}: `);
    expect(words).toContain('If it fails: you are still here. That is −2.45 points.');
    expect(reasonWords(map, { move, reaction, exchange: undefined, payoff: 0 })).toContain('no answer yet');
  });

  it('speaks of habits where they are known', () => {
    const { tendencies } = map.opponents[0]!;
    const { positions } = solveMap(map, { tendencies, trust: 0.6 });
    const { looks } = positions.find(({ position }) => position === 'collar-sleeve-standing')!;
    const habit = looks.find(({ look }) => look === 'push-pull')!;
    expect(planWords(map, habit)).toContain(
      `With their habits that is worth ${pointsText(habit.value)} points.`,
    );
    const other = positions.find(({ position }) => position === 'x-guard')!.looks[0]!;
    expect(planWords(map, other)).toContain('That brings');
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
