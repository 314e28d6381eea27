import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import { solveMatrixGame } from '../../game/solveMatrixGame.ts';
import { bigMap } from '../../test/bigMap.ts';
import { KNOW_BEST } from '../game/softness.ts';
import { ENDS } from '../play/outcomeOdds.ts';
import { weighMap } from './weighMap.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('a weighed map', () => {
  it('opens every value down between two who know best: each look is worth its matrix, the best look its position', () => {
    for (const map of [demo, bigMap({ positions: 40, reactions: 12 })]) {
      for (const { position, value, best, looks } of weighMap(map, { level: KNOW_BEST }).positions) {
        for (const { timing, matrix, value: worth, moves, reactions } of looks) {
          const { payoff } = matrix;
          const exact =
            timing === 'hidden'
              ? solveMatrixGame(payoff).value
              : Math.min(...payoff[0]!.map((_, r) => Math.max(...payoff.map((line) => line[r]!))));
          expect(worth, position).toBeCloseTo(exact, 9);
          expect(value, position).toBeGreaterThanOrEqual(worth - 1e-7);
          expect(moves.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 7);
          if (matrix.reactions.length > 0)
            expect(reactions.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 7);
        }
        const chosen = looks.find(({ look }) => look === best);
        if (chosen) expect(chosen.value, position).toBeCloseTo(value, 7);
      }
    }
  });

  it('names the exchange behind each cell, and leaves holes open', () => {
    const exchange = new Map(demo.exchanges.map((each) => [each.id, each]));
    let holes = 0;
    for (const { looks } of weighMap(demo, { apparel: 'gi' }).positions)
      for (const { matrix } of looks)
        for (const [m, line] of matrix.exchanges.entries())
          for (const [r, id] of line.entries()) {
            if (id === undefined) {
              holes++;
              continue;
            }
            const { move, reaction } = exchange.get(id)!;
            expect(move).toBe(matrix.moves[m]);
            expect(reaction).not.toBe('none');
            if (reaction !== 'none') expect(reaction.id).toBe(matrix.reactions[r]!.id);
          }
    expect(holes).toBe(weighMap(demo, { apparel: 'gi' }).holes.length);
  });

  it('says what every exchange is worth, as the cell that it stands in does', () => {
    const { positions, worths } = weighMap(demo, { apparel: 'gi' });
    expect(Object.keys(worths)).toHaveLength(demo.exchanges.length);
    for (const { looks } of positions)
      for (const { matrix } of looks)
        for (const [m, line] of matrix.exchanges.entries())
          for (const [r, id] of line.entries())
            if (id !== undefined) expect(worths[id], id).toBeCloseTo(matrix.worth[m]![r]!, 9);
  });

  it('says how much of it rests on guesses', () => {
    expect(weighMap(demo).guessed).toBe(1);
    const logged = {
      ...demo,
      exchanges: demo.exchanges.map((each) => ({ ...each, basis: 'logged' as const })),
    };
    expect(weighMap(logged).guessed).toBe(0);
    const half = {
      ...demo,
      exchanges: demo.exchanges.map((each, i) => (i % 2 ? { ...each, basis: 'logged' as const } : each)),
    };
    const { guessed, visits } = weighMap(half);
    expect(guessed).toBeGreaterThan(0);
    expect(guessed).toBeLessThan(1);
    const all = Object.values(visits).reduce((sum, rate) => sum + rate, 0);
    const open = half.exchanges
      .filter(({ basis }) => basis !== 'logged')
      .reduce((sum, { id }) => sum + (visits[id] ?? 0), 0);
    expect(guessed).toBeCloseTo(open / all, 12);
  });

  it('is the same from a warm start, and can be sent anywhere as plain data', () => {
    const cold = weighMap(demo);
    const warm = weighMap(demo, {}, cold.values);
    expect(warm.entry).toBeCloseTo(cold.entry, 8);
    for (const [s, value] of cold.values.entries()) expect(warm.values[s]).toBeCloseTo(value, 7);
    expect(structuredClone(cold)).toEqual(cold);
    for (const odds of cold.odds.from)
      expect(ENDS.reduce((sum, end) => sum + odds[end], 0)).toBeCloseTo(1, 9);
  });
});
