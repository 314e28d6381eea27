import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import { seeded } from '../../game/seeded.ts';
import { exchangeSeconds } from '../../model/seconds.ts';
import { guardMap } from '../../test/arbitraries.ts';
import { twoByTwo } from '../../test/twoByTwo.ts';
import { cellOf } from '../game/plays.ts';
import { CLUB_SOFTNESS, KNOW_BEST, softnessOf } from '../game/softness.ts';
import { type MapSolution, solveMap } from '../game/solveMap.ts';
import { findHoles, resolveHoles } from '../measure/findHoles.ts';
import { weighMap } from '../measure/weighMap.ts';
import { type OrdinaryPlay, ordinaryPlay } from './ordinaryPlay.ts';
import { outcomeOdds } from './outcomeOdds.ts';

const club = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const solved = solveMap(club);
const level = CLUB_SOFTNESS;
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
          for (const value of play.values) expect(Number.isFinite(value)).toBe(true);
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
        for (const [s, value] of play.values.entries())
          expect(value).toBeGreaterThanOrEqual(
            solution.values[s]! - (0.02 * 2 * Math.log(map.moves.length + 1)) / (1 - solution.built.discount),
          );
      }),
      { numRuns: 40 },
    );
    const sharp = ordinaryPlay(solved, { bottom: 0.02, top: level.top });
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
    expect(seen(ordinaryPlay(solved, level).visits)).toBeGreaterThan(1 / 3);
  });

  it('is what a simulation of it brings, within four standard errors', () => {
    const play = ordinaryPlay(solved, level);
    const random = seeded(7);
    const start = solved.weights.findIndex((weight) => weight > 0);
    const rounds = Array.from({ length: 4000 }, () => playRound(play, start, random));
    const mean = rounds.reduce((a, b) => a + b, 0) / rounds.length;
    const spread = Math.sqrt(rounds.reduce((sum, won) => sum + (won - mean) ** 2, 0) / rounds.length ** 2);
    expect(Math.abs(mean - play.values[start]!)).toBeLessThanOrEqual(4 * spread);
  });

  it('ends rounds as its values say', () => {
    fc.assert(
      fc.property(weighable, (map) => {
        const play = ordinaryPlay(solveMap(map), level);
        const { points, seconds, from } = outcomeOdds(play);
        for (const [s, value] of play.values.entries()) {
          if (Number.isFinite(seconds[s])) expect(points[s]).toBeCloseTo(value, 6);
          expect(Object.values(from[s]!).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('brings what it visits: every position’s own points, as often as it comes up', () => {
    fc.assert(
      fc.property(weighable, (map) => {
        const play = ordinaryPlay(solveMap(map), level);
        const brought = play.plays.reduce(
          (sum, own, s) =>
            sum +
            play.positionVisits[s]! *
              own.reduce((all, one) => all + one.share * cellOf(play.built, s, one).payoff, 0),
          0,
        );
        expect(brought).toBeCloseTo(play.entry, 7);
      }),
      { numRuns: 40 },
    );
  });

  it('is worth no more where top turns out to know best, and never more than best play', () => {
    fc.assert(
      fc.property(weighable, fc.constantFrom(0.02, 0.2, 2), (map, bottom) => {
        const solution = solveMap(map);
        const play = ordinaryPlay(solution, { bottom, top: 0.9 });
        expect(play.worst).toBeLessThanOrEqual(play.entry + 1e-9);
        expect(play.worst).toBeLessThanOrEqual(solution.entry + 1e-9);
        expect(play.gain).toBeCloseTo(play.entry, 9);
      }),
      { numRuns: 40 },
    );
  });

  it('expects the habits that are trusted, and answers those', () => {
    const map = twoByTwo();
    const look = map.positions[0]!.looks[0]!.id;
    const met = map.positions[0]!.looks[0]!.reactions.map(({ id }) => id);
    const habit = [
      {
        position: map.positions[0]!.id,
        look,
        reactions: met.map((id, i) => ({ id, share: i === 0 ? 0.9 : 0.1 })),
      },
    ];
    const trusting = ordinaryPlay(solveMap(map, { tendencies: habit, trust: 1 }), level);
    const wary = ordinaryPlay(solveMap(map, { tendencies: habit, trust: 0 }), level);
    expect(trusting.stages[0]![0]!.expected[0]).toBeCloseTo(0.9, 12);
    const without = ordinaryPlay(solveMap(map), level);
    expect(wary.stages[0]![0]!.expected).toEqual(without.stages[0]![0]!.column);
    expect(trusting.gain).toBeGreaterThan(wary.gain);
    expect(trusting.gain).toBeGreaterThan(trusting.worst);
  });

  it('refuses a level that no human has', () => {
    expect(() => ordinaryPlay(solved, { bottom: 0.01, top: 0.9 })).toThrow('from 0.02 to 10');
    expect(() => ordinaryPlay(solved, { bottom: 0, top: 0.9 })).toThrow('from 0.02 to 10');
  });
});

/** Worths beside the points that make every outcome three times what it was. */
function tripledWorths({ game }: MapSolution) {
  const { submission: _, submitted: __, ...others } = game.points;
  return Object.fromEntries(Object.entries(others).map(([outcome, points]) => [outcome, points * 2]));
}

/** One round by chance: each play by its share, then on to where it leads, or to the end. */
function playRound({ built, plays }: OrdinaryPlay, start: number, random: () => number): number {
  let s = start;
  let won = 0;
  for (;;) {
    const play = draw(
      plays[s]!.map(({ share }) => share),
      random,
    );
    const { payoff, next } = cellOf(built, s, plays[s]![play]!);
    won += payoff;
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

describe('a hole between two ordinary players', () => {
  it('brings what the map is worth with it answered as well as its row, at the entries and on the spot', () => {
    const holed = twoByTwo((map) => {
      map.exchanges!.splice(1, 1);
    });
    const solution = solveMap(holed);
    const play = ordinaryPlay(solution, level);
    const played = { level, values: play.values, positionVisits: play.positionVisits };
    const [hole] = resolveHoles(solution, played);
    expect(hole).toMatchObject({ move: 'choke', reaction: { id: 'right' }, exact: true });
    // The only answered cell of its row is a back taken with 0.8.
    const mended = twoByTwo((map) => {
      map.exchanges![1]!.chance = 0.8;
    });
    const after = ordinaryPlay(solveMap(mended), level);
    expect(hole!.stake).toBeCloseTo(after.entry - play.entry, 9);
    expect(hole!.spot).toBeCloseTo(after.values[0]! - play.values[0]!, 9);
    // With one position all the rates are told by it alone: the rough stake is not far.
    const [rough] = findHoles(solution, played);
    expect(rough!.exact).toBe(false);
    expect(rough!.stake).toBeGreaterThan(0);
  });
});

describe('a weighing of a level', () => {
  it('at knows best is the solution itself', () => {
    const weighing = weighMap(club, { level: KNOW_BEST });
    expect(weighing.entry).toBe(solved.entry);
    expect(weighing.entryIfAnswered).toBe(solved.entryIfAnswered);
    expect(weighing.positions.map(({ value }) => value)).toEqual(solved.values);
    expect(weighing.visits).toEqual(Object.fromEntries(solved.visits));
    expect(weighing.worst).toBe(solved.worst);
  });

  it('shows the play of its level, and beside it what it would be between two who know best', () => {
    const weighing = weighMap(club);
    const play = ordinaryPlay(solved, level);
    expect(weighing.level).toEqual(CLUB_SOFTNESS);
    expect(weighing.entry).toBe(play.entry);
    expect(weighing.knowsBest.entry).toBe(solved.entry);
    for (const position of weighing.positions) {
      const s = weighing.positions.indexOf(position);
      expect(position.knowsBest).toBe(solved.values[s]);
      expect(position.waitsAtBest).toBe(solved.positions[s]!.best === undefined);
      // What the looks bring as often as they are shown, and the rest by waiting, is what the position is worth.
      const shown = position.looks.reduce((sum, { share }) => sum + share, 0);
      const brought = position.looks.reduce((sum, { share, value }) => sum + share * value, 0);
      const wait = cellOf(solved.built, s, { look: -1, m: 0, r: 0, share: 1 });
      const waits = wait.next.reduce(
        (sum, [to, p]) => sum + solved.built.discount * p * play.values[to]!,
        wait.payoff,
      );
      expect(brought + (1 - shown) * waits).toBeCloseTo(position.value, 9);
    }
  });

  it('drills what is practised worst paid for, at most three exchanges a move', () => {
    const { drills, sensitivity } = weighMap(club);
    expect(drills.length).toBeGreaterThan(10);
    const slope = new Map(sensitivity.map((one) => [one.exchange, one.slope]));
    const moves = new Map<string, number>();
    for (const { exchange: id, worth } of drills) {
      const exchange = club.exchanges.find((one) => one.id === id)!;
      moves.set(exchange.move, (moves.get(exchange.move) ?? 0) + 1);
      expect(worth).toBeGreaterThan(0);
      if (slope.has(id)) expect(slope.get(id)).toBeGreaterThan(0);
    }
    expect(Math.max(...moves.values())).toBeLessThanOrEqual(3);
    // The definition, by hand for one exchange: reps of a minute × slope·c(1 − c)·0.6/12.
    const [first] = drills;
    const exchange = club.exchanges.find(({ id }) => id === first!.exchange)!;
    const move = club.moves.find(({ id }) => id === exchange.move)!;
    const reps = 60 / (exchangeSeconds(move, exchange) + club.settings.resetSeconds);
    const expected =
      (reps * slope.get(first!.exchange)! * exchange.chance * (1 - exchange.chance) * 0.6) / 12;
    expect(first!.worth).toBeCloseTo(expected, 12);
  });

  it('is said in points: a better answer at club level three times as often, by the plan twelve times for half a point', () => {
    const { top, bottom } = softnessOf({ top: 'club', bottom: 'keeps to the plan' });
    expect(Math.exp(1 / top)).toBeCloseTo(3, 0);
    expect(Math.exp(0.5 / bottom)).toBeCloseTo(12, 0);
    expect(softnessOf({ top: 'new', bottom: 'like the opponent' })).toEqual({ top: 2.5, bottom: 2.5 });
    expect(softnessOf({ top: 'knows best', bottom: 'keeps to the plan' })).toEqual(KNOW_BEST);
  });
});
