import { describe, expect, it } from 'vitest';
import { mirror } from '../body/mirror.ts';
import { SHIPPED_PROFILES } from '../rules/shippedProfiles.ts';
import { smallMap } from '../test/smallMap.ts';
import { orderWords, readReaction, UnknownError } from './readReaction.ts';

const map = smallMap();
const strip = { id: 'strip-collar' };

describe('reading a reaction', () => {
  it('ranks what is ready above what is missing something, and says what', () => {
    const { options, broken, moment } = readReaction(map, { position: 'start', reaction: strip });
    expect(broken.map(({ id }) => id)).toEqual(['collar']);
    expect(moment.holds.map(({ id }) => id)).toEqual(['sleeve', 'hip']);
    expect(options.map(({ move, rank }) => [move.id, rank])).toEqual([
      ['gather', 'ready'],
      ['choke', 'one-change'],
      ['tilt', 'not-written'],
    ]);
    expect(options[0]).toMatchObject({ chance: 0.7, holdChanges: 1, exchange: { id: 'gather-strip' } });
    // The second hand comes to the sleeve that the first one holds: nothing is let go.
    expect(options[0]!.joined.map(({ id }) => id)).toEqual(['both']);
    expect([options[0]!.takes, options[0]!.releases]).toEqual([[], []]);
    // An arm whose hand holds is not free.
    expect(options[0]!.free).toContain('footR');
    expect(options[0]!.free).not.toContain('armL');
    expect(options[1]).toMatchObject({
      missing: ['a grip on the collar'],
      met: ["top's stance kneeling"],
      hazards: ['strangle'],
    });
  });

  it('knows no chance where the map has no answer', () => {
    const { options } = readReaction(map, { position: 'start', reaction: strip });
    expect(options[2]).toMatchObject({ move: { id: 'tilt' }, rank: 'not-written', missing: [] });
    expect(options[2]!.chance).toBeUndefined();
    expect(options[2]!.exchange).toBeUndefined();
  });

  it('inside a rank goes by what answers are worth, once that is known', () => {
    // Two ready answers to nothing at all, the less likely one worth more.
    const two = {
      ...map,
      exchanges: [
        ...map.exchanges.filter(({ move, reaction }) => move !== 'tilt' || reaction !== 'none'),
        {
          id: 'tilt-strip',
          move: 'tilt',
          reaction: strip,
          to: { outcome: 'top-mount' as const },
          chance: 0.2,
        },
      ],
    };
    const asked = { position: 'start', reaction: strip };
    const ready = (worths?: Record<string, number>) =>
      readReaction(two, { ...asked, worths }).options.filter(({ rank }) => rank === 'ready');
    expect(ready().map(({ move }) => move.id)).toEqual(['gather', 'tilt']);
    const weighed = ready({ 'gather-strip': 0.4, 'tilt-strip': 1.2 });
    expect(weighed.map(({ move, worth }) => [move.id, worth])).toEqual([
      ['tilt', 1.2],
      ['gather', 0.4],
    ]);
    expect(orderWords(weighed[0]!)).toContain('worth 1.20 points');
    expect(ready({ 'gather-strip': -0.4 })[0]!.move.id).toBe('gather');
  });

  it('tests needs after the reaction', () => {
    const { options } = readReaction(map, { position: 'start', reaction: { id: 'post-left' } });
    expect(options.find(({ move }) => move.id === 'tilt')).toMatchObject({
      rank: 'one-change',
      missing: ["top's left hand free or gripping"],
    });
  });

  it('gives the mirrored answer to the mirrored moment', () => {
    const straight = readReaction(map, { position: 'start', reaction: strip });
    const other = readReaction(map, {
      position: 'start',
      mirrored: true,
      reaction: { ...strip, mirrored: true },
    });
    expect(other.moment.holds).toEqual(straight.moment.holds.map((hold) => mirror('hold', hold)));
    expect(other.options.map(({ move, rank, chance }) => [move.id, rank, chance])).toEqual(
      straight.options.map(({ move, rank, chance }) => [move.id, rank, chance]),
    );
    expect(other.options[0]!.takes).toEqual(straight.options[0]!.takes.map((hold) => mirror('hold', hold)));
  });

  it('plays on the wrist where there is no sleeve', () => {
    const { options, apparel } = readReaction(map, { position: 'start', reaction: strip, apparel: 'no-gi' });
    expect(apparel!.changed).toHaveLength(2);
    const gather = options.find(({ move }) => move.id === 'gather')!;
    expect(gather).toMatchObject({ rank: 'ready', met: ['a hold on the far wrist'] });
    expect(gather.joined[0]!.target.part).toBe('wrist');
  });

  it('puts what the rules bar last, with the reason', () => {
    const rules = { ...SHIPPED_PROFILES[0]!, name: 'No chokes', barred: ['strangle' as const] };
    const { options } = readReaction(map, { position: 'start', rules });
    expect(options.at(-1)).toMatchObject({
      move: { id: 'choke' },
      legal: false,
      legalWhy: 'strangle is barred under No chokes',
    });
    expect(readReaction(map, { position: 'start' }).options[0]!.legal).toBe(true);
  });

  it('refuses what the map does not have', () => {
    expect(() => readReaction(map, { position: 'moon' })).toThrow(UnknownError);
    expect(() => readReaction(map, { position: 'start', reaction: { id: 'moon' } })).toThrow(
      /no reaction "moon"/,
    );
  });
});
