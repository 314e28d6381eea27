import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import { isOutcome } from '../../model/outcome.ts';
import { twoByTwo } from '../../test/twoByTwo.ts';
import type { WeighOptions } from '../game/mapGame.ts';
import { solveMap } from '../game/solveMap.ts';
import { resolveHoles } from '../measure/findHoles.ts';
import { playMap } from '../play/playMap.ts';
import { tellRound } from './tellRound.ts';

const club = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const tell = (options: WeighOptions = {}, system?: string) => {
  const solution = solveMap(club, options);
  const play = playMap(solution, options.level);
  return { play, solution, story: tellRound(club, options, solution, play, system) };
};

describe('the story of a round', () => {
  it('of the whole map begins where rounds begin, and all of them end', () => {
    const { play, solution, story } = tell();
    expect(story.entry).toBeCloseTo(play.entry, 12);
    expect(story.knowsBest).toBeCloseTo(solution.entry, 12);
    expect(Object.values(story.ends).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  });

  it('lives on what costs most to lose: the round solved again without it', () => {
    const { play, story } = tell();
    expect(story.livesOn.length).toBeGreaterThan(0);
    for (const { move, loss } of story.livesOn) {
      const without = tell({ forbiddenMoves: [move] }).play.entry;
      expect(loss).toBeCloseTo(play.entry - without, 9);
    }
    const losses = story.livesOn.map(({ loss }) => loss);
    expect(losses).toEqual([...losses].sort((a, b) => b - a));
  });

  it('has a way that leads from a start, exchange by exchange, to something good', () => {
    const { way } = tell().story;
    expect(way!.points).toBeGreaterThan(0);
    let at = way!.from;
    let chance = 1;
    for (const [i, step] of way!.steps.entries()) {
      const exchange = club.exchanges.find((one) => one.id === step.exchange)!;
      expect(exchange.move).toBe(step.move);
      expect(club.moves.find((move) => move.id === step.move)!.position).toBe(at);
      chance *= step.chance;
      if (i < way!.steps.length - 1 && !isOutcome(exchange.to)) at = exchange.to.position;
      else expect(exchange.to).toEqual({ outcome: way!.to });
    }
    expect(way!.chance).toBeCloseTo(chance, 12);
    expect(way!.chance + way!.countered).toBeLessThanOrEqual(1 + 1e-12);
  });

  it('takes a move’s chance from all that top does about it', () => {
    const map = twoByTwo();
    const solution = solveMap(map);
    const play = playMap(solution);
    const { way } = tellRound(map, {}, solution, play);
    // Choke works with 0.8 against the one and 0.1 against the other reaction: as often as top does either.
    const y = play.ordinary!.stages[0]![0]!.expected;
    expect(way!.steps).toHaveLength(1);
    expect(way!.chance).toBeCloseTo(Math.max(0.8 * y[0]! + 0.1 * y[1]!, 0.1 * y[0]! + 0.8 * y[1]!), 12);
  });

  it('is hurt most by what top does that takes most from its look', () => {
    const { hurts } = tell().story;
    expect(hurts).toHaveLength(3);
    for (const { rate, cost } of hurts) {
      expect(rate).toBeGreaterThan(0);
      expect(cost).toBeGreaterThan(0);
    }
    expect(hurts.map(({ cost }) => cost)).toEqual([...hurts.map(({ cost }) => cost)].sort((a, b) => b - a));
  });

  it('says of the hole to close first what the list of holes says', () => {
    const holed = { ...club, exchanges: club.exchanges.filter((_, i) => i % 9 !== 4) };
    const solution = solveMap(holed);
    const play = playMap(solution);
    const { hole } = tellRound(holed, {}, solution, play);
    const [dearest] = resolveHoles(solution, play);
    expect(dearest!.stake).toBeGreaterThan(0);
    expect(hole).toEqual(dearest);
  });

  it('of a system stays inside of it', () => {
    for (const { id } of club.systems) {
      const { story } = tell({}, id);
      const own = new Set(club.positions.flatMap((one) => (one.systems.includes(id) ? [one.id] : [])));
      for (const { position } of story.hurts) expect(own.has(position)).toBe(true);
      if (story.hole) expect(own.has(story.hole.position)).toBe(true);
      if (story.way) expect(own.has(story.way.from)).toBe(true);
      for (const { move } of story.livesOn)
        expect(own.has(club.moves.find((one) => one.id === move)!.position)).toBe(true);
    }
  });
});
