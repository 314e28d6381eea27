import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { weighMap } from '../weigh/measure/weighMap.ts';
import { parseMapFile } from './mapFile.ts';
import { printWeighingSheet } from './weighingSheet.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const read = (text: string) => {
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true });
  expect(errors).toEqual([]);
  return data;
};

describe('a sheet of a weighed map', () => {
  const weighing = weighMap(demo);

  it('has every position with its value, read back', () => {
    const rows = read(printWeighingSheet(demo, weighing, 'values'));
    expect(rows.map(({ position }) => position)).toEqual(demo.positions.map(({ name }) => name));
    for (const [s, row] of rows.entries())
      expect(Number(row.value)).toBeCloseTo(weighing.positions[s]!.value, 3);
    const mixed = rows.find(({ moves }) => moves!.includes('%'))!;
    const shares = [...mixed.moves!.matchAll(/(\d+) %/g)].map(([, share]) => Number(share));
    expect(shares.reduce((a, b) => a + b, 0)).toBeGreaterThan(97);
  });

  it('carries the cautions of what it plans', () => {
    const rows = read(printWeighingSheet(demo, weighing, 'values'));
    const triangle = rows.find(({ position }) => position === 'Triangle locked')!;
    expect(triangle.cautions).toContain('strangle');
    expect(rows.find(({ position }) => position === 'Seated, hand fighting')!.cautions).toBe('');
  });

  it('has every hole, and every look for top', () => {
    expect(read(printWeighingSheet(demo, weighing, 'holes'))).toHaveLength(weighing.holes.length);
    for (const row of read(printWeighingSheet(demo, weighing, 'top')))
      expect(Number(row['worst leaves'])).toBeGreaterThanOrEqual(Number(row.leaves) - 0.001);
  });

  it('keeps commas, quotes, lines and what looks like a formula in a name', () => {
    const named = {
      ...demo,
      positions: demo.positions.map((position, i) =>
        i < 2 ? { ...position, name: ['=1+1, "quoted"', 'two\nlines'][i]! } : position,
      ),
    };
    const rows = read(printWeighingSheet(named, weighMap(named), 'values'));
    expect(rows[0]!.position).toBe('\'=1+1, "quoted"');
    expect(rows[1]!.position).toBe('two\nlines');
  });
});
