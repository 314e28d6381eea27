import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../formats/mapFile.ts';
import { seeded } from '../game/seeded.ts';
import { guardMap } from '../test/arbitraries.ts';
import { KEEPS_TO_THE_PLAN, type OrdinaryPlay, ordinaryPlay, TOP_LEVELS } from './ordinaryPlay.ts';
import { type MapSolution, solveMap } from './solveMap.ts';

const club = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const solved = solveMap(club);
const level = { bottom: KEEPS_TO_THE_PLAN, top: TOP_LEVELS.club };
/** A map with an entry, so that it can be solved. */
const weighable = guardMap.map((map) => ({
  ...map,
  positions: map.positions.map((position, i) => ({
    ...position,
    entry: i === 0 ? 1 : (position.entry ?? 0),
  })),
}));

describe('what two ordinary players make of a map', () => {
  it('is what it says: shares of choices, no gap, values that satisfy themselves', () => {
    fc.assert(
      fc.property(
        weighable,
        fc.constantFrom(0.02, 0.2, 0.9),
        fc.constantFrom(0.02, 0.9, 10),
        (map, bottom, top) => {
          const play = ordinaryPlay(solveMap(map), { bottom, top });
          for (const shares of play.choice) expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
          expect(play.gap).toBeLessThan(1e-9);
          expect(play.residual).toBeLessThan(1e-9);
          for (const value of play.value) expect(Number.isFinite(value)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('against a weaker opponent a bottom that knows best never fares worse', () => {
    // τb → 0 as far as it is computed: what softness costs is at most τb·ln m a stage, with the choice of a look another
    // τb·ln of all moves, and as much again in every round's pace to come.
    fc.assert(
      fc.property(weighable, fc.constantFrom(0.4, 0.9, 2.5), (map, top) => {
        const solution = solveMap(map);
        const play = ordinaryPlay(solution, { bottom: 0.02, top });
        for (const [s, value] of play.value.entries())
          expect(value).toBeGreaterThanOrEqual(
            solution.values[s]! - (0.02 * 2 * Math.log(map.moves.length + 1)) / (1 - solution.built.discount),
          );
      }),
      { numRuns: 40 },
    );
    const sharp = ordinaryPlay(solved, { bottom: 0.02, top: TOP_LEVELS.club });
    expect(sharp.entry).toBeGreaterThan(solved.entry);
  });

  it('comes to the game between two who know best as both get sharp', () => {
    const sharp = ordinaryPlay(solved, { bottom: 0.02, top: 0.02 });
    expect(Math.abs(sharp.entry - solved.entry)).toBeLessThan(0.15);
    const blunt = ordinaryPlay(solved, { bottom: 0.2, top: 0.9 });
    expect(Math.abs(blunt.entry - solved.entry)).toBeGreaterThan(Math.abs(sharp.entry - solved.entry));
  });

  it('grows with what everything is worth: points and levels times three, the same play, three times the value', () => {
    const tripled = solveMap(club, {
      submissionWorth: 24,
      outcomeWorth: tripledWorths(solved),
      rest: 0,
    });
    const plain = ordinaryPlay(solved, level);
    const grown = ordinaryPlay(tripled, { bottom: level.bottom * 3, top: level.top * 3 });
    expect(grown.entry).toBeCloseTo(plain.entry * 3, 6);
    for (const [s, shares] of plain.choice.entries())
      for (const [l, share] of shares.entries()) expect(grown.choice[s]![l]).toBeCloseTo(share, 6);
  });

  it('sees far more of the map than the game between two who know best', () => {
    const seen = (visits: ReadonlyMap<string, number>) =>
      [...visits.values()].filter((rate) => rate > 0.001).length / club.exchanges.length;
    expect(seen(solved.visits)).toBeLessThan(0.1);
    expect(seen(ordinaryPlay(solved, level).exchanges)).toBeGreaterThan(1 / 3);
  });

  it('is what a simulation of it brings, within four standard errors', () => {
    const play = ordinaryPlay(solved, level);
    const random = seeded(7);
    const start = solved.weights.findIndex((weight) => weight > 0);
    const rounds = Array.from({ length: 4000 }, () => playRound(solved, play, start, random));
    const mean = rounds.reduce((a, b) => a + b, 0) / rounds.length;
    const spread = Math.sqrt(rounds.reduce((sum, won) => sum + (won - mean) ** 2, 0) / rounds.length ** 2);
    expect(Math.abs(mean - play.value[start]!)).toBeLessThanOrEqual(4 * spread);
  });

  it('refuses a level that no human has', () => {
    expect(() => ordinaryPlay(solved, { bottom: 0.01, top: 0.9 })).toThrow('between 0.02 and 10');
  });
});

/** Worths beside the points that make every outcome three times what it was. */
function tripledWorths({ game }: MapSolution) {
  const { submission: _, submitted: __, ...others } = game.points;
  return Object.fromEntries(Object.entries(others).map(([outcome, points]) => [outcome, points * 2]));
}

/** One round by chance: each cell by its share, then on to where it leads, or to the end. */
function playRound(
  { game, built }: MapSolution,
  play: OrdinaryPlay,
  start: number,
  random: () => number,
): number {
  let s = start;
  let won = 0;
  for (;;) {
    const look = draw(play.choice[s]!, random);
    const own = game.states[s]!.looks;
    let next: readonly (readonly [number, number])[];
    if (look === own.length) {
      const { rest, looks } = built.states[s]!;
      if (rest !== undefined) return won + rest;
      won += looks[look]!.payoff[0]![0]!;
      next = looks[look]!.next[0]![0]!;
    } else {
      const stage = play.stages[s]![look]!;
      const r = draw(stage.column, random);
      const m = draw(own[look]!.look.timing === 'seen' ? stage.reply[r]! : stage.row, random);
      won += built.states[s]!.looks[look]!.payoff[m]![r]!;
      next = built.states[s]!.looks[look]!.next[m]![r]!;
    }
    const to = draw([...next.map(([, p]) => p * built.discount), 1], random);
    if (to >= next.length) return won;
    s = next[to]![0];
  }
}

/** A place by its share; the last one takes what the others leave. */
function draw(shares: readonly number[], random: () => number): number {
  let left = random();
  for (const [i, share] of shares.entries()) {
    left -= share;
    if (left < 0) return i;
  }
  return shares.length - 1;
}
