import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { mirror } from '../../body/mirror.ts';
import { parseMapFile } from '../../formats/mapFile.ts';
import { seeded } from '../../game/seeded.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Tendency } from '../../model/opponent.ts';
import { OUTCOMES } from '../../model/outcome.ts';
import { SHIPPED_PROFILES } from '../../rules/shippedProfiles.ts';
import { bigMap } from '../../test/bigMap.ts';
import type { WeighOptions } from '../game/mapGame.ts';
import { tradeCurve } from '../game/solveForTrusts.ts';
import { solveMap } from '../game/solveMap.ts';
import { outcomeOdds, roundChain } from '../play/outcomeOdds.ts';
import { resolveHoles } from './findHoles.ts';
import { weighMap } from './weighMap.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const SEEDS = [1, 2, 3, 4, 5, 6];
const crowd = (seed: number) => bigMap({ positions: 24 + 6 * seed, reactions: 8 + seed, seed });
const maps = [demo, ...SEEDS.map(crowd)];
/** A scale on which nothing scores. */
const ZERO = { sweep: 0, 'top-guard': 0, 'knee-on-belly': 0, mount: 0, back: 0, pass: 0, takedown: 0 };
/** Values agree to what the residual promises. */
const CLOSE = 1e-7;

/** A random habit for about half of the looks. */
function habits(map: GuardMap, seed: number): Tendency[] {
  const random = seeded(seed);
  return map.positions.flatMap(({ id: position, looks }) =>
    looks.flatMap(({ id: look, reactions }) => {
      if (reactions.length === 0 || random() < 0.5) return [];
      const parts = reactions.map(() => random() + 0.05);
      const sum = parts.reduce((a, b) => a + b, 0);
      return [{ position, look, reactions: reactions.map((ref, i) => ({ ...ref, share: parts[i]! / sum })) }];
    }),
  );
}

describe('whatever the map', () => {
  it('a move taken away never helps bottom, a reaction taken away never hurts', () => {
    for (const [i, map] of maps.entries()) {
      const random = seeded(50 + i);
      const whole = solveMap(map);
      // Where a reaction is all that is known about a look, nothing would be known: that is another question.
      const reactions = map.reactions.filter(({ id }) => !aloneSomewhere(map, id));
      const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
      for (let trial = 0; trial < 4; trial++) {
        const [move, reaction] = [pick(map.moves).id, pick(reactions).id];
        const without = solveMap(map, { forbiddenMoves: [move] }, whole.values);
        const silent = solveMap(map, { forbiddenReactions: [reaction] }, whole.values);
        for (const [s, value] of whole.values.entries()) {
          expect(without.values[s], move).toBeLessThanOrEqual(value + CLOSE);
          expect(silent.values[s], reaction).toBeGreaterThanOrEqual(value - CLOSE);
        }
      }
    }
  });

  it('a hole that is answered never costs, and the stake of one is never below nought', () => {
    for (const map of maps) {
      const solution = solveMap(map);
      for (const { value, ifAnswered } of solution.positions)
        expect(ifAnswered).toBeGreaterThanOrEqual(value - CLOSE);
      for (const { stake } of resolveHoles(solution)) expect(stake).toBeGreaterThanOrEqual(0);
    }
  });

  it('the other side of it is worth the same', () => {
    for (const map of maps.slice(0, 3)) {
      const turned: GuardMap = {
        ...map,
        positions: map.positions.map((position) => mirror('position', position)),
        moves: map.moves.map((move) => mirror('move', move)),
        exchanges: map.exchanges.map((exchange) => mirror('exchange', exchange)),
      };
      // Near stays near, and far stays far.
      for (const forbiddenHolds of [
        [],
        [{ part: 'sleeve', side: 'near' }],
        [{ action: 'hook', side: 'far' }],
        [{ action: 'grip', side: 'near' }],
      ] as const) {
        const [here, there] = [solveMap(map, { forbiddenHolds }), solveMap(turned, { forbiddenHolds })];
        for (const [s, value] of here.values.entries()) expect(there.values[s]).toBeCloseTo(value, 6);
      }
    }
  });

  it('an ending or a wait that is worth more never makes a position worth less', () => {
    for (const map of maps.slice(0, 4)) {
      const whole = solveMap(map);
      const better: WeighOptions[] = [
        ...OUTCOMES.map((outcome) => ({ outcomeWorth: { [outcome]: 0.75 } })),
        { rest: 0.4 },
        { rest: 1.5 },
      ];
      for (const options of better) {
        const { values } = solveMap(map, options, whole.values);
        for (const [s, value] of whole.values.entries())
          expect(values[s], JSON.stringify(options)).toBeGreaterThanOrEqual(value - CLOSE);
      }
    }
  });

  it('where only the back counts, more time brings no less of it', () => {
    for (const map of maps.slice(0, 3)) {
      // With nothing but a reward for the back, more time can only bring more of it.
      const only = Object.fromEntries(OUTCOMES.map((outcome) => [outcome, outcome === 'back' ? 1 : 0]));
      const rules = { ...SHIPPED_PROFILES[0]!, points: ZERO };
      const worth = (continuation: number) =>
        solveMap(map, { rules, submissionWorth: 0, outcomeWorth: only, continuation, apparel: 'gi' });
      const [short, long] = [worth(0.85), worth(0.95)];
      for (const [s, value] of short.values.entries()) {
        expect(long.values[s]).toBeGreaterThanOrEqual(value - CLOSE);
        expect(value).toBeGreaterThanOrEqual(0);
        expect(value).toBeLessThanOrEqual(1 + CLOSE);
      }
    }
  });

  it('no position is worth more than the best ending, or less than the worst', () => {
    const rules = SHIPPED_PROFILES.find(({ id }) => id === 'expert-no-gi')!;
    for (const map of maps) {
      for (const options of [{}, { rules, apparel: 'no-gi' as const }, { outcomeWorth: { neutral: 3 } }]) {
        const { values, game } = solveMap(map, options);
        const ends = [...Object.values(game.points), game.rest];
        for (const value of values) {
          expect(value).toBeLessThanOrEqual(Math.max(...ends) + CLOSE);
          expect(value).toBeGreaterThanOrEqual(Math.min(...ends, 0) - CLOSE);
        }
      }
    }
  });

  it('a round brings on average what it is worth, and its chances are whole', () => {
    for (const map of maps) {
      const solution = solveMap(map);
      for (const branches of roundChain(solution).slice(0, map.positions.length))
        expect(branches.reduce((sum, [, p]) => sum + p, 0)).toBeCloseTo(1, 9);
      const { points } = outcomeOdds(solution);
      for (const [s, value] of solution.values.entries()) expect(points[s]).toBeCloseTo(value, 6);
    }
  });

  it('what is seen of an opponent’s round is a mix of gain and worst case', () => {
    for (const [i, map] of maps.entries()) {
      for (const trust of [0.3, 1]) {
        const options: WeighOptions = { tendencies: habits(map, i + 1), trust };
        const solution = solveMap(map, options);
        const { points } = outcomeOdds(solution);
        const brought = solution.weights.reduce((sum, weight, s) => sum + weight * points[s]!, 0);
        expect(solution.gain).toBeGreaterThanOrEqual(solution.worst - CLOSE);
        // Top is expected to do neither worse for bottom than its best, nor, at full trust, other than its habits.
        expect(brought).toBeGreaterThanOrEqual(solution.worst - CLOSE);
        if (trust === 1) expect(brought).toBeCloseTo(solution.gain, 6);
      }
    }
  });

  it('more trust in an opponent never gains less and never risks less', () => {
    for (const [i, map] of maps.entries()) {
      const { trades } = weighMap(map, { tendencies: habits(map, 20 + i), trust: 0.5 });
      const curve = tradeCurve(trades);
      expect(curve[0]!.worst).toBeCloseTo(solveMap(map).entry, 6);
      for (let k = 1; k < curve.length; k++) {
        expect(curve[k]!.gain).toBeGreaterThanOrEqual(curve[k - 1]!.gain - CLOSE);
        expect(curve[k]!.worst).toBeLessThanOrEqual(curve[k - 1]!.worst + CLOSE);
      }
    }
  });
});

/** Whether a reaction is the only one of some look. */
const aloneSomewhere = (map: GuardMap, reaction: string): boolean =>
  map.positions.some(({ looks }) =>
    looks.some(({ reactions }) => reactions.length > 0 && reactions.every(({ id }) => id === reaction)),
  );
