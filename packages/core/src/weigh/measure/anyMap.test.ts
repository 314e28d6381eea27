import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../../game/seeded.ts';
import type { GuardMap } from '../../model/map.ts';
import { loadedJoints } from '../../rules/loadedJoints.ts';
import { guardMap } from '../../test/arbitraries.ts';
import { cellOf } from '../game/plays.ts';
import { solveMap } from '../game/solveMap.ts';
import { ENDS, outcomeOdds, simulateRounds } from '../play/outcomeOdds.ts';
import { findDilemmas } from './findDilemmas.ts';
import { resolveHoles } from './findHoles.ts';
import { scenarioOptions } from './scenarioOptions.ts';
import { topSheet } from './topSheet.ts';
import { weighMap } from './weighMap.ts';

/** A random map with a place to start from. */
const playable = guardMap.map(
  (map): GuardMap => ({
    ...map,
    positions: map.positions.map((position, i) => (i === 0 ? { ...position, entry: 1 } : position)),
  }),
);
const asked = (map: GuardMap) => scenarioOptions(map, map.scenarios[0]!, []);
const whole = (chances: readonly number[]) => chances.reduce((sum, chance) => sum + chance, 0);

describe('any map under any what-if', () => {
  it('is weighed to its residual, in finite numbers that can be sent anywhere', () => {
    fc.assert(
      fc.property(playable, (map) => {
        const weighing = weighMap(map, asked(map));
        expect(weighing.residual).toBeLessThanOrEqual(1e-9);
        expect(structuredClone(weighing)).toEqual(weighing);
        for (const { value, ifAnswered, visits, looks } of weighing.positions) {
          for (const number of [value, ifAnswered, visits]) expect(Number.isFinite(number)).toBe(true);
          for (const { moves, reactions } of looks) {
            expect(whole(moves.map(({ share }) => share))).toBeCloseTo(1, 7);
            if (reactions.length > 0) expect(whole(reactions.map(({ share }) => share))).toBeCloseTo(1, 7);
          }
        }
        for (const from of weighing.odds.from) expect(whole(Object.values(from))).toBeCloseTo(1, 7);
        for (const slopes of weighing.sensitivity) expect(Number.isFinite(slopes.slope)).toBe(true);
        for (const { leaves, options } of topSheet(weighing))
          expect(options.at(-1)!.leaves).toBeGreaterThanOrEqual(leaves - 1e-9);
        for (const { over } of findDilemmas(weighing)) expect(over).toBeGreaterThan(0);
      }),
    );
  });

  it('is worth what its visits bring: every position’s own reward, as often as it comes up', () => {
    fc.assert(
      fc.property(playable, (map) => {
        const { tendencies: _, trust: __, ...options } = asked(map);
        const solution = solveMap(map, options);
        const { built, plays, positions, entry } = solution;
        const brought = positions.reduce(
          (sum, { visits }, s) =>
            sum +
            visits * plays[s]!.reduce((all, play) => all + play.share * cellOf(built, s, play).payoff, 0),
          0,
        );
        expect(brought).toBeCloseTo(entry, 6);
        // So does a round on average, as its ends and their chances have it.
        const { points, seconds } = outcomeOdds(solution);
        for (const [s, value] of solution.values.entries())
          if (Number.isFinite(seconds[s])) expect(points[s]).toBeCloseTo(value, 6);
      }),
    );
  });

  it('has nothing in its plan that the what-if takes away', () => {
    fc.assert(
      fc.property(playable, (map) => {
        const { forbiddenMoves, forbiddenReactions, sparedJoints } = map.scenarios[0]!;
        const moves = new Map(map.moves.map((move) => [move.id, move]));
        for (const { looks } of solveMap(map, asked(map)).game.states) {
          for (const { moves: shown, reactions } of looks) {
            for (const move of shown) {
              expect(forbiddenMoves).not.toContain(move.id);
              const loads = loadedJoints(map, moves.get(move.id)!);
              for (const joint of sparedJoints) expect(loads[joint]).not.toBe('hard');
            }
            for (const { id } of reactions) expect(forbiddenReactions).not.toContain(id);
          }
        }
      }),
    );
  });

  it('gains from its holes what each is said to cost, and none costs less than nothing', () => {
    fc.assert(
      fc.property(playable, (map) => {
        const solution = solveMap(map, asked(map));
        const holes = resolveHoles(solution);
        for (const { stake, visits, exact } of holes) {
          expect(stake).toBeGreaterThanOrEqual(0);
          if (visits === 0 && !exact) expect(stake).toBe(0);
        }
        const inOrder = holes.filter(({ exact }) => exact).map(({ stake }) => stake);
        expect(inOrder).toEqual([...inOrder].sort((a, b) => b - a));
      }),
      { numRuns: 60 },
    );
  });

  it('ends when it is played as it should, within four standard errors, and exactly where that is certain', () => {
    fc.assert(
      fc.property(playable, fc.integer(), (map, seed) => {
        const solution = solveMap(map, asked(map));
        const { from } = outcomeOdds(solution);
        const { share } = simulateRounds(solution, 0, 400, seeded(seed));
        for (const end of ENDS) {
          const p = Math.min(1, Math.max(0, from[0]![end]));
          // 400 rounds are few for what is rare: the error is that of a count of one at the least.
          const error = Math.sqrt((p * (1 - p)) / 400);
          const certain = p < 1e-12 || p > 1 - 1e-12;
          expect(Math.abs(share[end] - p)).toBeLessThanOrEqual(certain ? 1e-12 : 4 * error + 3 / 400);
        }
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  it('without a place to start is refused with the mend', () => {
    fc.assert(
      fc.property(guardMap, (map) => {
        const positions = map.positions.map(({ entry: _, ...position }) => position);
        expect(() => solveMap({ ...map, positions })).toThrow('rounds can start nowhere');
      }),
      { numRuns: 10 },
    );
  });
});
