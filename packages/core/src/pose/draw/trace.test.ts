import { describe, expect, it } from 'vitest';
import { linesBetween, maskPath, outlines, simplify } from './trace.ts';

const mask = (rows: string[]) => {
  const width = rows[0]!.length;
  return { set: Uint8Array.from(rows.join(''), (sign) => Number(sign === '#')), width, height: rows.length };
};

describe('what is traced', () => {
  it('goes once round each region and each hole in it', () => {
    const { set, width, height } = mask(['.....', '.###.', '.#.#.', '.###.', '.....']);
    const loops = outlines(set, width, height);
    // The hole of one pixel has four corners: too short to be drawn.
    expect(loops.map((loop) => loop.length)).toEqual([12]);
    expect(loops[0]).toContainEqual([1, 1]);
    expect(loops[0]).toContainEqual([4, 4]);
  });

  it('becomes a closed path; nothing becomes none', () => {
    const { set, width, height } = mask(['......', '.####.', '.####.', '.####.', '......']);
    expect(maskPath(set, width, height, 1)).toMatch(/^M[\d. L]+Z$/);
    expect(maskPath(new Uint8Array(30), 6, 5, 1)).toBe('');
  });

  it('finds the line between two halves from end to end', () => {
    const halves = (i: number, j: number) => i % 8 < 4 !== j % 8 < 4 && Math.abs(i - j) === 1;
    const [line, ...others] = linesBetween(8, 6, halves);
    expect(others).toEqual([]);
    expect(line).toEqual([
      [4, 0],
      [4, 1],
      [4, 2],
      [4, 3],
      [4, 4],
      [4, 5],
      [4, 6],
    ]);
  });

  it('keeps the corners of a line and leaves out what lies on it', () => {
    expect(
      simplify(
        [
          [0, 0],
          [1, 0],
          [2, 0.1],
          [3, 0],
          [3, 1],
          [3, 2],
        ],
        0.45,
      ),
    ).toEqual([
      [0, 0],
      [3, 0],
      [3, 2],
    ]);
  });
});
