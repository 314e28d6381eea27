import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { turnWords } from '../body/turnWords.ts';
import { guardMap } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { readTurn, turnIn, turnText } from './chainTurn.ts';

describe('a turn of a chain', () => {
  it('is the same when it is written into an address and read again', () => {
    fc.assert(
      fc.property(guardMap, ({ chains }) => {
        for (const { exchanges } of chains)
          for (const turn of exchanges) expect(readTurn(turnText(turn))).toEqual(turn);
      }),
      { numRuns: 40 },
    );
    for (const text of ['', '!', 'a!b', '!!a', 'a 2']) expect(readTurn(text)).toBeUndefined();
  });

  it('leads where the answer leads, where failing leads, or where waiting leads', () => {
    const small = smallMap();
    const exchange = { ...small.exchanges[0]!, otherwise: { position: small.positions[1]!.id } };
    const map = { ...small, exchanges: [exchange] };
    const { position: at, name } = map.moves.find(({ id }) => id === exchange.move)!;
    expect(turnIn(map, exchange.id)).toEqual({ at, to: exchange.to });
    expect(turnIn(map, { exchange: exchange.id, fails: true })).toEqual({ at, to: exchange.otherwise });
    const stays = { ...map, exchanges: [{ ...exchange, otherwise: undefined }] };
    expect(turnIn(stays, { exchange: exchange.id, fails: true })).toEqual({ at, to: { position: at } });
    const drifting = {
      ...map,
      positions: map.positions.map((one) => ({ ...one, drift: { outcome: 'passed' as const } })),
    };
    expect(turnIn(drifting, { waits: at })).toEqual({ at, to: { outcome: 'passed' } });
    expect(turnWords(drifting, { waits: at })).toEqual({ does: 'You wait', leads: 'guard passed' });
    expect(turnWords(map, { exchange: exchange.id, fails: true, after: 2 })?.does).toBe(
      `${name} fails after step 2`,
    );
    expect(turnIn(map, 'gone')).toBeUndefined();
  });
});
