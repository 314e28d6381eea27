import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import { seeded } from '../../game/seeded.ts';
import type { HoldPattern } from '../../model/hold.ts';
import { SHIPPED_PROFILES } from '../../rules/shippedProfiles.ts';
import { twoByTwo } from '../../test/twoByTwo.ts';
import { outcomePoints } from '../game/outcomePoints.ts';
import { KNOW_BEST } from '../game/softness.ts';
import { solveMap, stageOf } from '../game/solveMap.ts';
import { bestChains } from '../play/bestChains.ts';
import { ENDS, outcomeOdds, simulateRounds } from '../play/outcomeOdds.ts';
import { sensitivity } from '../play/sensitivity.ts';
import { findHoles } from './findHoles.ts';
import { holdDependence } from './holdDependence.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('what outcomes are worth', () => {
  it('follows the profile: a sweep 2, and 4 more in mount; top in their guard only where it scores', () => {
    // Common practice, no published source; points from the IBJJF rule book, from memory.
    const gi = SHIPPED_PROFILES.find(({ id }) => id === 'intermediate-gi')!;
    const points = outcomePoints({ rules: gi, submissionWorth: 8 });
    expect([points['top-side'], points['top-mount'], points.back, points.passed]).toEqual([2, 6, 4, -3]);
    expect([points.submission, points.submitted]).toEqual([8, -8]);
    const only = outcomePoints({
      rules: { ...gi, points: { ...gi.points, 'top-guard': 0 } },
      submissionWorth: 8,
      outcomeWorth: { 'top-guard': 0.5 },
    });
    expect(only['top-guard']).toBe(0.5);
  });
});

describe('the value of a map', () => {
  it('of a dilemma is that of its matrix game, and the mix is worth more than either attack', () => {
    const { positions, entry } = solveMap(twoByTwo());
    const [plan] = positions[0]!.looks;
    // Symmetric: both half the time, (0.8 + 0.1)/2 of the back's 4 points, continued over 8 s at 0.92.
    expect(entry).toBeCloseTo(0.92 * 0.45 * 4, 9);
    expect(plan!.moves.map(({ share }) => share)).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.5, 9)]);
    expect(plan!.overSingle).toBeCloseTo(0.92 * 4 * (0.45 - 0.1), 9);
    expect(positions[0]!.visits).toBeCloseTo(1, 9);
  });

  it('of looks that are worth the same plays the one with the first id, wherever it stands', () => {
    const twice = twoByTwo((map) => {
      const [position] = map.positions!;
      position!.looks!.push({ ...position!.looks![0]!, id: 'a', name: 'Another' });
      for (const move of [...map.moves!]) map.moves!.push({ ...move, id: `${move.id}-a`, look: 'a' });
      for (const exchange of [...map.exchanges!])
        map.exchanges!.push({ ...exchange, id: `${exchange.id}-a`, move: `${exchange.move}-a` });
    });
    const { positions, entry } = solveMap(twice);
    expect(positions[0]!.best).toBe('a');
    expect(positions[0]!.looks.map(({ value }) => value)).toEqual([
      expect.closeTo(entry, 12),
      expect.closeTo(entry, 12),
    ]);
  });

  it('is higher where bottom feels the reaction first', () => {
    const seen = twoByTwo((map) => {
      map.positions![0]!.looks![0]!.timing = 'seen';
    });
    expect(solveMap(seen).entry).toBeCloseTo(0.92 * 0.8 * 4, 9);
    expect(solveMap(seen).positions[0]!.looks[0]!.replies).toEqual([
      { reaction: { id: 'left' }, move: 'choke' },
      { reaction: { id: 'right' }, move: 'sweep' },
    ]);
  });

  it('shows a hole twice: as nothing gained, and as good as the rest of its row', () => {
    const holed = twoByTwo((map) => {
      map.exchanges!.splice(1, 1);
    });
    const { positions } = solveMap(holed);
    expect(positions[0]!.value).toBeLessThan(positions[0]!.ifAnswered);
    const full = solveMap(twoByTwo()).positions[0]!;
    expect(full.value).toBeCloseTo(full.ifAnswered, 9);
    const [stake] = findHoles(solveMap(holed));
    expect(stake).toMatchObject({ move: 'choke', reaction: { id: 'right' } });
    expect(stake!.stake).toBeGreaterThan(0);
    expect(findHoles(solveMap(twoByTwo()))).toEqual([]);
  });

  it.each([
    ['nothing is said of waiting', {}, 0],
    ['waiting costs', { rest: -1 }, -1],
    ['waiting is the best there is, so that staying is less', { rest: 3 }, 0.92 * 3],
    ['waiting drifts to the back, so that staying is less', { drift: { outcome: 'back' } }, 0.92 ** 2 * 4],
    ['waiting drifts to a pass', { drift: { outcome: 'passed' } }, 0.92 * -3],
  ] as const)('takes a hole for the lesser of waiting and staying: %s', (_, waiting, worth) => {
    const holed = twoByTwo((map) => {
      map.exchanges!.splice(1, 1);
      Object.assign(map.positions![0]!, waiting);
    });
    const solution = solveMap(holed);
    expect(stageOf(solution.built, solution.values, 0, 0)[0]![1]).toBeCloseTo(worth, 9);
    const { points, from } = outcomeOdds(solution);
    expect(points[0]).toBeCloseTo(solution.entry, 9);
    expect(Object.values(from[0]!).reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
  });

  it('pays a wait that leads back to where it is over the time of a wait, not of the move', () => {
    const round = twoByTwo((map) => {
      map.exchanges!.splice(1, 1);
      Object.assign(map.positions![0]!, { drift: { position: 'p' } });
      for (const move of map.moves!) Object.assign(move, { seconds: 4 });
    });
    const solution = solveMap(round);
    expect(stageOf(solution.built, solution.values, 0, 0)[0]![1]).toBeCloseTo(0.92 * solution.entry, 9);
    // The hole is in the mix, so that rounds go through it.
    expect(solution.plays[0]!.some(({ m, r }) => m === 0 && r === 1)).toBe(true);
    expect(outcomeOdds(solution).points[0]).toBeCloseTo(solution.entry, 9);
  });

  it('does not change when one exchange is written as four short ones with the same seconds', () => {
    const one = twoByTwo((map) => {
      map.moves = [map.moves![0]!];
      map.exchanges = [{ ...map.exchanges![0]!, chance: 1, seconds: 8 }];
      map.positions![0]!.looks![0]!.reactions = [{ id: 'left' }];
    });
    const four = twoByTwo((map) => {
      const [position] = map.positions!;
      const [move] = map.moves!;
      const ids = ['p', 'q', 'r', 's'];
      map.positions = ids.map((id) => ({
        ...position!,
        id,
        entry: id === 'p' ? 1 : 0,
        looks: [{ id: 'l', name: 'L', reactions: [{ id: 'left' }] }],
      }));
      map.moves = ids.map((id) => ({ ...move!, id: `m-${id}`, position: id }));
      map.exchanges = ids.map((id, i) => ({
        id: `e-${id}`,
        move: `m-${id}`,
        reaction: { id: 'left' },
        to: ids[i + 1] ? { position: ids[i + 1]! } : { outcome: 'back' as const },
        chance: 1,
        seconds: 2,
      }));
    });
    expect(solveMap(four).entry).toBeCloseTo(solveMap(one).entry, 9);
  });

  it('takes barred moves out, and calls what is left without moves a dead end', () => {
    const map = twoByTwo();
    const barred = { ...SHIPPED_PROFILES[0]!, barred: ['strangle' as const] };
    const without = solveMap(map, { rules: barred });
    expect(without.positions[0]!.looks[0]!.moves.map(({ what }) => what)).toEqual(['sweep']);
    expect(without.entry).toBeCloseTo(0.92 * 0.1 * 4, 9);
    const nothing = solveMap(map, { forbiddenMoves: ['choke', 'sweep'] });
    expect(nothing.positions[0]).toMatchObject({ value: 0, looks: [] });
    expect(nothing.positions[0]!.best).toBeUndefined();
  });

  it('never falls with a better chance, and says which chances move it most', () => {
    const before = solveMap(demo);
    const [steepest] = sensitivity(before);
    const exchange = demo.exchanges.find(({ id }) => id === steepest!.exchange)!;
    const step = steepest!.slope > 0 ? 1e-4 : -1e-4;
    const after = solveMap(
      demo,
      { chances: new Map([[exchange.id, exchange.chance + step]]) },
      before.values,
    );
    // The slope is the derivative of the value at the entries.
    expect((after.entry - before.entry) / step).toBeCloseTo(steepest!.slope, 2);
    expect(after.entry).toBeGreaterThan(before.entry);
  });

  it('solves the demo to its residual, with visits that add up', () => {
    const solution = solveMap(demo);
    expect(solution.residual).toBeLessThanOrEqual(1e-9);
    for (const { value, ifAnswered } of solution.positions)
      expect(ifAnswered).toBeGreaterThanOrEqual(value - 1e-7);
    expect(solution.positions.reduce((sum, { visits }) => sum + visits, 0)).toBeGreaterThan(1);
    expect(() => solveMap({ ...demo, positions: demo.positions.map((p) => ({ ...p, entry: 0 })) })).toThrow(
      'rounds can start nowhere',
    );
    expect(() => solveMap(demo, { continuation: 1 })).toThrow('between 0 and 1');
  });

  it('knows near from far by the side that each position goes by', () => {
    // Its one hold is on the right wrist: near where the near side is the right, far where it is the left.
    for (const [leadSide, side] of [
      ['R', 'near'],
      ['L', 'far'],
    ] as const) {
      const map = twoByTwo(({ positions }) => Object.assign(positions![0]!, { leadSide }));
      const other = side === 'near' ? 'far' : 'near';
      expect(holdDependence(map, { part: 'wrist', side }).without).toBe(0);
      expect(holdDependence(map, { part: 'wrist', side: other }).difference).toBe(0);
    }
  });

  it('counts holds as they are worn: without a jacket a sleeve grip is one on the wrist', () => {
    const map = twoByTwo(({ positions }) => {
      Object.assign(positions![0]!.holds![0]!, {
        target: { of: 'top', part: 'sleeve', side: 'R', at: 'cuff' },
      });
    });
    const without = (part: 'sleeve' | 'wrist', apparel: 'gi' | 'no-gi') =>
      holdDependence(map, { part }, { apparel, level: KNOW_BEST }).without;
    expect([without('sleeve', 'gi'), without('wrist', 'no-gi')]).toEqual([0, 0]);
    expect(without('wrist', 'gi')).toBeCloseTo(0.92 * 0.45 * 4, 9);
    expect(without('sleeve', 'no-gi')).toBeCloseTo(0.92 * 0.45 * 4, 9);
  });

  it('takes out a move that needs a hold of the class, and none that may be done with another', () => {
    const needing = (need: HoldPattern) =>
      twoByTwo(({ moves }) => {
        moves![0]!.needsHolds = [need];
      });
    const without = (need: HoldPattern) =>
      solveMap(needing(need), { forbiddenHolds: [{ action: 'grip', part: 'collar', side: 'near' }] }).entry;
    expect(without({ action: 'grip', part: 'collar', side: 'R' })).toBeCloseTo(0.92 * 0.1 * 4, 9);
    for (const need of [
      { part: 'collar', side: 'R' },
      { action: 'grip', part: 'collar' },
    ] as const)
      expect(without(need)).toBeCloseTo(0.92 * 0.45 * 4, 9);
  });

  it('depends on its holds: nothing is left of a game whose only hold is gone', () => {
    expect(holdDependence(twoByTwo(), { part: 'wrist' })).toMatchObject({ without: 0, left: 0 });
    const sleeve = holdDependence(demo, { part: 'sleeve' });
    expect(sleeve.difference).toBeCloseTo(sleeve.whole - sleeve.without, 12);
    expect(holdDependence(demo, { part: 'toes' }).difference).toBeCloseTo(0, 9);
  });
});

describe('how rounds end', () => {
  it('adds up to one from everywhere, and a simulation agrees within four standard errors', () => {
    const solution = solveMap(demo);
    const odds = outcomeOdds(solution);
    for (const chances of odds.from)
      expect(ENDS.reduce((sum, end) => sum + chances[end], 0)).toBeCloseTo(1, 9);
    const from = demo.positions.findIndex(({ id }) => id === 'seated');
    const rounds = 20_000;
    const { share } = simulateRounds(solution, from, rounds, seeded(5));
    for (const end of ENDS) {
      const exact = odds.from[from]![end];
      const error = Math.sqrt((exact * (1 - exact)) / rounds);
      expect(Math.abs(share[end] - exact), end).toBeLessThanOrEqual(4 * error + 1e-12);
    }
    expect(odds.exchanges[from]).toBeGreaterThan(1);
  });

  it('finds the most probable chains, with the chance of being countered on the way', () => {
    const map = twoByTwo((input) => {
      input.exchanges![0]!.otherwise = { outcome: 'passed' };
    });
    const chains = bestChains(solveMap(map), { from: 'p', to: { outcome: 'back' }, count: 4 });
    expect(chains.map(({ exchanges }) => exchanges[0])).toEqual(
      expect.arrayContaining(['choke-left', 'sweep-right', 'choke-right', 'sweep-left']),
    );
    const best = chains.find(({ exchanges }) => exchanges[0] === 'choke-left')!;
    expect(best.countered / best.chance).toBeCloseTo(0.2 / 0.8, 9);
    for (let i = 1; i < chains.length; i++)
      expect(chains[i]!.chance).toBeLessThanOrEqual(chains[i - 1]!.chance + 1e-12);
  });
});
