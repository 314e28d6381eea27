import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import { solveLook } from '../../game/solveLook.ts';
import { twoByTwo } from '../../test/twoByTwo.ts';
import { findDilemmas, partingOf } from './findDilemmas.ts';
import { weighMap } from './weighMap.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('dilemmas', () => {
  it('are moves of one look that no one reaction answers, with their mix', () => {
    const [dilemma, ...others] = findDilemmas(weighMap(twoByTwo()));
    expect(others).toEqual([]);
    expect(dilemma).toMatchObject({ position: 'p', look: 'l', planned: true });
    expect(dilemma!.moves.map(({ what, share }) => [what, share])).toEqual([
      ['choke', expect.closeTo(0.5, 9)],
      ['sweep', expect.closeTo(0.5, 9)],
    ]);
    expect(dilemma!.over).toBeCloseTo(0.92 * 4 * (0.45 - 0.1), 9);
  });

  it('are none where one move is better whatever top does', () => {
    const map = twoByTwo((input) => {
      for (const exchange of input.exchanges!) exchange.chance = exchange.move === 'choke' ? 0.8 : 0.1;
    });
    expect(findDilemmas(weighMap(map))).toEqual([]);
  });

  it('of three are worth more than each two of them', () => {
    // Each of three moves beats one reaction and loses to another, as rock, paper, scissors.
    const map = twoByTwo((input) => {
      input.reactions!.push({ id: 'back', name: 'back', group: 'posting & base' });
      input.positions![0]!.looks![0]!.reactions!.push({ id: 'back' });
      input.moves!.push({ ...input.moves![1]!, id: 'lift', name: 'lift' });
      const ids = ['left', 'right', 'back'];
      input.exchanges = ['choke', 'sweep', 'lift'].flatMap((move, m) =>
        ids.map((id, r) => ({
          id: `${move}-${id}`,
          move,
          reaction: { id },
          to: { outcome: 'back' as const },
          otherwise: { outcome: 'neutral' as const },
          chance: [0.5, 0.1, 0.9][(m + 2 * r) % 3]!,
        })),
      );
    });
    const weighing = weighMap(map);
    const found = findDilemmas(weighing);
    const triple = found.find(({ moves }) => moves.length === 3)!;
    expect(triple.moves.map(({ share }) => share)).toEqual(triple.moves.map(() => expect.closeTo(1 / 3, 6)));
    for (const { moves, value } of found) if (moves.length === 2) expect(value).toBeLessThan(triple.value);
  });

  it('of the demo are worth what their part of the matrix is', () => {
    const weighing = weighMap(demo);
    const found = findDilemmas(weighing);
    expect(found.length).toBeGreaterThan(5);
    for (const { position, look, moves, value, over, timing } of found) {
      const { matrix } = weighing.positions
        .find((one) => one.position === position)!
        .looks.find((one) => one.look === look)!;
      const part = moves.map(({ what }) => matrix.payoff[matrix.moves.indexOf(what)]!);
      const solved = solveLook(part, { timing });
      expect(value).toBeCloseTo(solved.value, 9);
      expect(over).toBeCloseTo(value - solved.single, 9);
      expect(moves.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    }
  });

  it('say how long the moves look the same, and where they part', () => {
    const map = twoByTwo((input) => {
      const step = (id: string, text: string) => ({ id, text });
      input.moves![0]!.steps = [step('a', 'Pull the sleeve'), step('b', 'Hand to the collar')];
      input.moves![1]!.steps = [step('a', 'Pull the sleeve'), step('b', 'Shin across'), step('c', 'Tip')];
    });
    expect(partingOf(map, ['choke', 'sweep'])).toEqual({
      same: ['Pull the sleeve'],
      parts: [
        { move: 'choke', step: 'Hand to the collar' },
        { move: 'sweep', step: 'Shin across' },
      ],
    });
    expect(partingOf(twoByTwo(), ['choke', 'sweep'])).toEqual({
      same: [],
      parts: [{ move: 'choke' }, { move: 'sweep' }],
    });
  });
});
