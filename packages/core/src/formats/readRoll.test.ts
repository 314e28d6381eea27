import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyCommand } from '../documents/applyCommand.ts';
import { guardMap } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { printLines } from './printLines.ts';
import { readRoll } from './readRoll.ts';

const map = smallMap();
const tried = (text: string) => readRoll(map, text).tries.map(({ exchange, worked }) => [exchange, worked]);
const wrong = (text: string) => readRoll(map, text).errors.map(({ line, message }) => [line, message]);

describe('a roll in lines', () => {
  it('worked where it led to what the map says, and did not where it led to what else happens', () => {
    expect(
      tried(`Collar and far sleeve: Gather the sleeve with both hands | Strips the collar grip -> Two on one
Collar and far sleeve: Collar choke -> submission
Collar and far sleeve: Tilt to the side -> Collar and far sleeve`),
    ).toEqual([
      ['gather-strip', true],
      ['choke-none', true],
      ['tilt-none', false],
    ]);
  });

  it('worked without a result, unless it is said that it failed', () => {
    expect(
      tried(`Collar and far sleeve: Collar choke
Collar and far sleeve: Collar choke failed
Collar and far sleeve: Collar choke -> submission failed
# a word between
Collar and far sleeve: Tilt to the side | none worked`),
    ).toEqual([
      ['choke-none', true],
      ['choke-none', false],
      ['choke-none', false],
      ['tilt-none', true],
    ]);
  });

  it('changes nothing that the map has', () => {
    const {
      changes,
      command,
      map: after,
    } = readRoll(map, 'Collar and far sleeve: Collar choke -> submission 90% else top-side 3s failed');
    expect(changes).toEqual([]);
    expect(command.commands).toEqual([]);
    expect(after).toBe(map);
  });

  it('adds what the map does not have, once, and tries it', () => {
    const read = readRoll(
      map,
      `Collar and far sleeve: Lift with the hip foot | Posts the left hand -> top-mount
Collar and far sleeve: Lift with the hip foot | Posts the left hand failed`,
    );
    expect(read.errors).toEqual([]);
    expect(read.changes.map(({ kind, change }) => [kind, change])).toEqual([
      ['move', 'new'],
      ['exchange', 'new'],
    ]);
    expect(read.tries.map(({ worked }) => worked)).toEqual([true, false]);
    expect(new Set(read.tries.map(({ exchange }) => exchange)).size).toBe(1);
    const after = applyCommand(map, read.command).document;
    expect(after).toEqual(read.map);
    expect(after.exchanges.find(({ id }) => id === read.tries[0]!.exchange)?.to).toEqual({
      outcome: 'top-mount',
    });
    expect(after.exchanges.slice(0, map.exchanges.length)).toEqual(map.exchanges);
  });

  it('says of each line what stops it, and lets the others count', () => {
    expect(
      wrong(`Collar and far sleeve: Collar choke -> top-back
no colon here
Collar and far sleeve: Never heard of
Collar and far sleeve: Collar choke`),
    ).toEqual([
      [1, expect.stringMatching(/^on the map it leads to .*, else to .*: write one of them/)],
      [2, expect.stringContaining('colon')],
      [3, 'the map has no such answer yet: say where it led, as in "-> top-side"'],
    ]);
    expect(tried('no colon here\nCollar and far sleeve: Collar choke')).toEqual([['choke-none', true]]);
  });

  it('reads back whatever a map prints as what worked, and adds nothing', () => {
    fc.assert(
      fc.property(guardMap, (any) => {
        const lines = printLines(
          any,
          any.positions.map(({ id }) => id),
        );
        const { errors, tries, changes } = readRoll(any, lines);
        expect(errors).toEqual([]);
        expect(changes).toEqual([]);
        expect(tries.every(({ worked }) => worked)).toBe(true);
        expect(new Set(tries.map(({ exchange }) => exchange)).size).toBe(any.exchanges.length);
      }),
      { numRuns: 60 },
    );
  });
});
