import { describe, expect, it } from 'vitest';
import type { Exchange } from '../model/exchange.ts';
import { StepSchema } from '../model/move.ts';
import { smallMap } from '../test/smallMap.ts';
import { holdScore } from './holdScore.ts';

const small = smallMap();
const steps = ['Pull', 'Turn', 'Sit up'].map((text, i) =>
  StepSchema.parse({ id: `s${i}`, text, seconds: 3 }),
);
const move = { ...small.moves[0]!, steps, variants: [] };
const there = small.positions.find(({ id }) => id !== move.position)!;
const exchange: Exchange = {
  ...small.exchanges.find((one) => one.move === move.id && one.stops === undefined)!,
  otherwise: { position: there.id },
};
const map = {
  ...small,
  moves: small.moves.map((one) => (one.id === move.id ? move : one)),
  exchanges: small.exchanges.map((one) => (one.id === exchange.id ? exchange : one)),
};

describe('the hold score of a chain through a miss', () => {
  it('goes as far as is said, says that it fails, and then holds what the place has where failing leads', () => {
    const whole = holdScore(map, [exchange.id]);
    const failed = holdScore(map, [{ exchange: exchange.id, fails: true, after: 1 }]);
    expect(failed.steps).toEqual(
      whole.steps.slice(0, 1).map((step) => expect.objectContaining({ at: step.at })),
    );
    expect(failed.seconds).toBeLessThan(whole.seconds);
    expect(failed.top.at(-1)).toEqual({ at: failed.seconds, name: `“${move.short ?? move.name}” fails` });
    const bars = failed.lanes.flatMap((lane) => lane.bars);
    for (const bar of bars) expect(bar.to).toBeLessThanOrEqual(failed.seconds);
    const on = holdScore(map, [{ exchange: exchange.id, fails: true, after: 1 }, { waits: there.id }]);
    const held = on.lanes.flatMap(({ contact, bars: all }) =>
      all.some(({ to }) => to === on.seconds) ? [contact] : [],
    );
    expect(new Set(held)).toEqual(new Set(there.holds.flatMap(({ contacts }) => contacts)));
  });

  it('waits as long as an answer takes in a round, and says what waiting leads to', () => {
    const at = map.positions[0]!.id;
    const drifting = {
      ...map,
      positions: map.positions.map((one) =>
        one.id === at ? { ...one, drift: { outcome: 'passed' as const } } : one,
      ),
    };
    const score = holdScore(drifting, [{ waits: at }]);
    expect(score.seconds).toBe(map.settings.roundPace);
    expect(score.top).toEqual([{ at: score.seconds, name: 'guard passed' }]);
    expect(score.steps).toEqual([]);
  });

  it('refuses what is not in the map any more', () => {
    expect(() => holdScore(map, [{ waits: 'gone' }])).toThrow(/no longer in the map/);
    expect(() => holdScore(map, ['gone'])).toThrow(/no longer in the map/);
  });
});
