import type { Segment } from '@aftersquall/core/lesson';
import { describe, expect, it } from 'vitest';
import { ringsBetween } from './ringsBetween.ts';

const segment = (kind: Segment['kind'], seconds: number): Segment => ({
  block: 0,
  kind,
  seconds,
  turn: 1,
  turns: 1,
  side: 'first',
});
/** Shown for 20 s, worked for 60, changed over in 10, worked for 60 again. */
const run = [segment('demo', 20), segment('work', 60), segment('change', 10), segment('work', 60)];
/** All that rings when the clock is looked at every so many seconds. */
const heard = (every: number, until = 160) => {
  const rings: string[] = [];
  for (let at = 0; at < until; at += every)
    for (const ring of ringsBetween(run, at, at + every)) rings.push(`${ring} ${at + every}`);
  return rings;
};

describe('the bell', () => {
  it('rings when work begins, ten seconds before it ends, and when it ends', () => {
    expect(heard(1)).toEqual(['start 20', 'warn 70', 'change 80', 'start 90', 'warn 140', 'end 150']);
  });

  it('misses no beginning and no end when the clock is looked at seldom', () => {
    expect(heard(40).map((ring) => ring.split(' ')[0])).toEqual(['start', 'change', 'start', 'end']);
    expect(ringsBetween(run, 0, 1000)).toEqual(['start', 'change', 'start', 'end']);
    expect(ringsBetween(run, -2, 0.1)).toEqual(['start']);
  });

  it('does not warn in short work, nor ring for a clock that stands or is set back', () => {
    const short = [segment('work', 15), segment('rest', 5)];
    expect(ringsBetween(short, 0, 10)).toEqual([]);
    expect(ringsBetween(short, 0, 15)).toEqual(['end']);
    expect(ringsBetween(run, 90, 90)).toEqual([]);
    expect(ringsBetween(run, 100, 20)).toEqual([]);
  });
});
