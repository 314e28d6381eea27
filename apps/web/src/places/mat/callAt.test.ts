import type { Segment } from '@aftersquall/core/lesson';
import type { Block } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { callAt, repAt } from './callAt.ts';

const link = (exchange: string, meets: string) => ({
  exchange,
  move: `Answer ${exchange}`,
  meets,
  seconds: 6,
});
const fork = {
  kind: 'fork',
  id: 'f',
  title: 'Lift or drag',
  links: [link('one', 'Posts'), link('two', 'Drives forward')],
  reps: 20,
  sides: 1,
  secondsPerRep: 6,
  demoSeconds: 0,
  weights: 'even',
  seed: 1,
  shares: [],
} as unknown as Block;
const work: Segment = { block: 0, kind: 'work', seconds: 120, turn: 1, turns: 2, side: 'first' };
const calls = (segment: Segment) =>
  Array.from({ length: 20 }, (_, i) => callAt(fork, segment, i * 6 + 0.1)!.meets);

describe('calls of a fork drill', () => {
  it('come one a rep, each of the forks, never the same four times running', () => {
    const said = calls(work);
    expect(new Set(said)).toEqual(new Set(['Posts', 'Drives forward']));
    for (let i = 3; i < said.length; i++) expect(new Set(said.slice(i - 3, i + 1)).size).toBeGreaterThan(1);
    expect(callAt(fork, work, 6.1)!.number).toBe(1);
    const { exchange, fingers } = callAt(fork, work, 6.1)!;
    expect('links' in fork && fork.links[fingers]!.exchange).toBe(exchange);
  });

  it('are the same when the tablet is opened again, and others for the other partner', () => {
    expect(calls(work)).toEqual(calls({ ...work }));
    expect(calls({ ...work, turn: 2 })).not.toEqual(calls(work));
  });

  it('are of fork drills while there is work, and of nothing else', () => {
    expect(callAt(fork, { ...work, kind: 'change' }, 3)).toBeUndefined();
    expect(
      callAt({ kind: 'rest', id: 'r', title: 'Water', seconds: 60 } as unknown as Block, work, 3),
    ).toBeUndefined();
  });
});

describe('the rep that the clock is at', () => {
  it('is the first one at once, and goes on past those planned where more time was given', () => {
    expect([0, 5.9, 6, 119].map((into) => repAt(fork, work, into))).toEqual([1, 1, 2, 20]);
    expect(repAt(fork, { ...work, seconds: 180 }, 130)).toBe(22);
  });

  it('is none where reps are not the unit, or nobody works', () => {
    expect(
      repAt({ kind: 'rest', id: 'r', title: 'Water', note: '', why: '', seconds: 60 }, work, 3),
    ).toBeUndefined();
    expect(repAt(fork, { ...work, kind: 'change' }, 3)).toBeUndefined();
  });
});
