import { trustOffered } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { type Entry, sharesOf, type Unit } from './sharesOf.ts';

const read = (unit: Unit, ...texts: string[]) =>
  sharesOf(
    texts.map((text, i): Entry => ({ ref: { id: `r${i}`, ...(i === 1 && { mirrored: true }) }, text })),
    unit,
  );
const tendency = (seen: number | undefined) => ({
  position: 'p',
  look: 'l',
  reactions: [],
  ...(seen && { seen }),
});
const numbers = (shares: { share: number }[] | undefined) => shares?.map(({ share }) => share);

describe('what is typed about an opponent', () => {
  it('counts are shares of all that was seen', () => {
    expect(numbers(read('counts', '3', '1', '').shares)).toEqual([0.75, 0.25, 0]);
    // Counts stay counts: 2 of 10 is not 20 of 100.
    expect(read('counts', '2', '8')).toMatchObject({ seen: 10 });
    expect(read('per cent', '20', '80').seen).toBeUndefined();
    expect(trustOffered([tendency(10), tendency(100)])).toBe(0.5);
    expect(trustOffered([tendency(100)])).toBeCloseTo(0.909, 3);
    expect(trustOffered([tendency(undefined)])).toBeUndefined();
    expect(read('counts', '3', '1').shares![1]).toEqual({ id: 'r1', mirrored: true, share: 0.25 });
  });

  it('per cents have to add up, roundings aside; else the sentence says by how much', () => {
    expect(numbers(read('per cent', '70', '30').shares)).toEqual([0.7, 0.3]);
    expect(read('per cent', '33.3', '33.3', '33.3').trouble).toBeUndefined();
    const short = read('per cent', '60', '30');
    expect(short.trouble).toBe('These add up to 90 %: 10 % too little.');
    expect(short.shares).toBeUndefined();
    expect(numbers(short.scaled)).toEqual([2 / 3, 1 / 3]);
    expect(read('per cent', '80', '30').trouble).toContain('10 % too much');
  });

  it('nothing is nothing to keep, and what is no number says so', () => {
    expect(read('counts', '', '')).toEqual({});
    expect(read('per cent', '-5', '105').trouble).toBe('Give numbers from 0 up.');
    expect(read('per cent', 'x', '100').trouble).toBe('Give numbers from 0 up.');
  });
});
