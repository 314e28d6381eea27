import { describe, expect, it } from 'vitest';
import { type Ending, EndingSchema } from '../model/ending.ts';
import type { GuardMap } from '../model/map.ts';
import { smallMap } from '../test/smallMap.ts';
import { endingOf, landingScene, momentAfter } from './endingOf.ts';
import { mirror } from './mirror.ts';

const ending = (id: string, more: object): Ending =>
  EndingSchema.parse({
    id,
    name: id,
    outcome: 'top-side',
    holds: [
      { id: 'chest', contacts: ['chest'], action: 'press', target: { of: 'top', part: 'chest' } },
      { id: 'arm', contacts: ['armL'], action: 'wrap', target: { of: 'top', part: 'elbow', side: 'R' } },
    ],
    ...more,
  });
const side = ending('side', {});
const own = ending('own', { moves: ['choke'] });
const standing = ending('standing', { signs: { 'own.torso': 'standing' } });
const withEndings = (...endings: Ending[]): GuardMap => ({ ...smallMap(), endings });
const held = (part: 'sleeve' | 'knee', of: 'L' | 'R') => ({
  holds: [
    {
      id: 's',
      contacts: ['handR' as const],
      action: 'grip' as const,
      target: { of: 'top' as const, part, side: of },
    },
  ],
  topHolds: [],
  signs: {},
});

describe('the ending of an outcome', () => {
  it('lies on the side of the arm that is held', () => {
    const map = withEndings(side);
    expect(endingOf(map, 'top-side', held('sleeve', 'R'))!.holds).toEqual(side.holds);
    expect(endingOf(map, 'top-side', held('sleeve', 'L'))!.holds).toEqual(mirror('ending', side).holds);
    // A leg says nothing of it.
    expect(endingOf(map, 'top-side', held('knee', 'L'))!.holds).toEqual(side.holds);
  });

  it('is the move’s own where there is one, and nobody else’s', () => {
    const map = withEndings(side, own);
    expect(endingOf(map, 'top-side', held('sleeve', 'R'), 'choke')!.id).toBe('own');
    expect(endingOf(map, 'top-side', held('sleeve', 'R'), 'roll')!.id).toBe('side');
    expect(endingOf(withEndings(own), 'top-side', held('sleeve', 'R'), 'roll')).toBeUndefined();
    expect(endingOf(map, 'back', held('sleeve', 'R'))).toBeUndefined();
  });

  it('is the one whose signs are seen last', () => {
    const map = withEndings(side, standing);
    expect(endingOf(map, 'top-side', held('knee', 'R'))!.id).toBe('side');
    const up = { ...held('knee', 'R'), signs: { 'own.torso': 'standing' as const } };
    expect(endingOf(map, 'top-side', up)!.id).toBe('standing');
  });

  it('is what an exchange leads to, on either side; positions are as before', () => {
    const map = withEndings(ending('any', { outcome: 'submission' }));
    const exchange = map.exchanges.find(({ to }) => 'outcome' in to && to.outcome === 'submission')!;
    const scene = landingScene(map, exchange)!;
    expect(scene.id).toBe('any');
    expect(landingScene(map, exchange, { mirrored: true })).toEqual(mirror('position', scene));
    const stays = map.exchanges.find(({ to }) => 'position' in to)!;
    expect(landingScene(map, stays)!.id).toBe('position' in stays.to && stays.to.position);
    expect(momentAfter({ ...map, moves: [] }, exchange)).toBeUndefined();
  });
});
