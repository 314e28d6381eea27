import { readFileSync } from 'node:fs';
import { holes } from '@aftersquall/core/check';
import { applyCommand } from '@aftersquall/core/documents';
import { parseMapFile, writeAnswer } from '@aftersquall/core/formats';
import { emptyMap, PositionSchema } from '@aftersquall/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answerText, correction, nameAt, proposals, readAnswer } from './answerText.ts';
import { boardOf, cellOf } from './boardModel.ts';
import { placeColumns, pushedUp } from './boardSize.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const board = boardOf(map, () => true, 'grid');
const tables = boardOf(map, () => true);
const rowOf = (id: string) => board.rows.find(({ key }) => key === id)!;
const columns = board.rows[0]!.columns;
const columnOf = (key: string) => columns.find((column) => column.key === key)!;

const idOf = (name: string) => map.positions.find((position) => position.name === name)!.id;

describe('the answer board', () => {
  it('has every position and move, moves that look alike next to each other', () => {
    expect(board.rows).toHaveLength(map.positions.length + map.moves.length);
    const shared = board.rows.flatMap((row) => (row.kind === 'move' && row.sharesAbove ? [row] : []));
    for (const row of shared) {
      const above = board.rows[board.rows.indexOf(row) - 1]!;
      expect(above.kind === 'move' && above.look.id).toBe(row.look.id);
    }
  });

  it('has a column for doing nothing and one for each side of a reaction that is used', () => {
    expect(columns[0]!.key).toBe('none');
    expect(columns.map(({ key }) => key)).toContain('~pull-sleeve');
    expect(new Set(columns.map(({ key }) => key)).size).toBe(columns.length);
  });

  it('has an answer for every exchange and a gap for every hole', () => {
    const cells = board.rows.flatMap((row) => columns.map((column) => cellOf(map, row, column)));
    expect(cells.filter((cell) => cell?.kind === 'answer')).toHaveLength(map.exchanges.length);
    expect(board.holes).toBe(holes(map).length);
    expect(cellOf(map, rowOf('x-tip'), columnOf('widen-base'))).toEqual({ kind: 'hole' });
    expect(cellOf(map, rowOf('x-tip'), columnOf('crossface'))).toEqual({ kind: 'unlisted' });
    expect(cellOf(map, rowOf('x-guard'), columnOf('none'))).toBeUndefined();
  });

  it('has a table a position, with its own reactions across and nothing missing', () => {
    const cells = tables.rows.flatMap((row) => row.columns.map((column) => cellOf(map, row, column)));
    expect(cells.filter((cell) => cell?.kind === 'answer')).toHaveLength(map.exchanges.length);
    expect(tables.holes).toBe(holes(map).length);
    const ofMoves = cells.filter((cell) => cell !== undefined);
    const full = ofMoves.filter(({ kind }) => kind !== 'unlisted').length / ofMoves.length;
    expect(full).toBeGreaterThan(0.7);
    const xGuard = tables.rows.find(({ key }) => key === 'x-guard')!;
    expect(xGuard).toMatchObject({ kind: 'position', holes: 1 });
    expect(xGuard.columns.map(({ key }) => key)).not.toContain('crossface');
  });

  it('gives the columns of a table the room there is', () => {
    expect(placeColumns(3, 1216).map(({ size }) => size)).toEqual([208, 208, 208]);
    const ten = placeColumns(10, 1216);
    expect(ten.at(-1)!.start + ten.at(-1)!.size).toBeLessThanOrEqual(1216);
    expect(placeColumns(8, 600)[0]!.size).toBe(96);
  });

  it('pushes the head that stays at the top away as the next one comes', () => {
    expect([200, 84, 60, 1].map(pushedUp)).toEqual([0, 0, -24, -83]);
  });

  it('shows only what the filters leave', () => {
    const part = boardOf(map, ({ systems }) => systems.includes('butterfly'), 'grid');
    expect(part.rows.filter(({ kind }) => kind === 'position')).toHaveLength(6);
    expect(part.rows[0]!.columns.length).toBeLessThan(columns.length);
  });
});

/** What a typed answer says; throws where it says nothing. */
function said(text: string) {
  const read = readAnswer(map, text);
  if ('trouble' in read) throw new Error(read.trouble);
  return read;
}

describe('an answer as it is typed', () => {
  it('is what is written in the cell, for every exchange of the demo', () => {
    for (const exchange of map.exchanges) {
      const { answer } = said(answerText(map, exchange));
      expect([exchange.id, writeAnswer(map, exchange, answer).commands]).toEqual([exchange.id, []]);
    }
  });

  it('knows which name is being typed', () => {
    expect(nameAt('two', 3)).toMatchObject({ from: 0, typed: 'two', mirrored: false, fresh: false });
    expect(nameAt('back 40% else ~kne', 18)).toMatchObject({ from: 14, typed: 'kne', mirrored: true });
    expect(nameAt('back else new "Kimu', 19)).toMatchObject({ from: 10, typed: 'Kimu', fresh: true });
    expect(nameAt('two hands 40', 12)).toBeUndefined();
    expect(nameAt('two hands 40%', 13)).toBeUndefined();
  });

  const proposed = (typed: string, where = map) => proposals(where, { typed, fresh: false });

  it('proposes by any name, the exact one first, and a new position last', () => {
    expect(proposed('sankaku')[0]).toMatchObject({ name: 'Triangle locked' });
    expect(proposed('back')[0]).toMatchObject({ word: 'back', what: 'outcome' });
    expect(proposed('flatt').at(-1)).toMatchObject({ word: 'new flatt', what: 'new position' });
    expect(proposed('Triangle locked').some(({ what }) => what === 'new position')).toBe(false);
    expect(proposed('', emptyMap('e', 'E'))).toHaveLength(12);
  });

  it('means what a name begins, and exactly what is in quotes', () => {
    expect(said('two hands 70% else knee on the belly 8s')).toEqual({
      answer: {
        to: { position: 'two-on-one' },
        chance: 0.7,
        otherwise: { position: idOf('Knee on the belly across the shoulder lock') },
        seconds: 8,
      },
      to: 'Two hands on one sleeve',
      otherwise: 'Knee on the belly across the shoulder lock',
    });
    expect(() => said('"two hands" 70%')).toThrow('Nothing is called “two hands”');
    expect(said('~slx 20%').answer.to).toEqual({ position: 'slx', mirrored: true });
    expect(said('passed').answer).toEqual({ to: { outcome: 'passed' } });
  });

  const withNames = (...names: string[]) => ({
    ...map,
    positions: names.map((name, i) => PositionSchema.parse({ id: `p${i}`, name })),
    moves: [],
    exchanges: [],
  });
  const meantIn = (where: typeof map, text: string) => {
    const read = readAnswer(where, text);
    return 'trouble' in read ? read.trouble : read.to;
  };

  it('never takes an outcome for a position, nor a longer name for the one that was typed', () => {
    const here = withNames(
      'Top standing',
      'Kimura grip 55',
      'Kimura grip',
      'Clamp: arm across',
      'new ground',
    );
    expect(meantIn(here, 'Standing 40%')).toBe('Top standing');
    expect(meantIn(here, 'Top st 40%')).toBe('Top standing');
    expect(meantIn(here, 'Kimura grip 40%')).toBe('Kimura grip');
    expect(meantIn(here, 'Kimura grip 55 40%')).toBe('Kimura grip 55');
    expect(meantIn(here, 'kim 40%')).toBe('Kimura grip');
    expect(meantIn(here, 'clamp: arm across 40%')).toBe('Clamp: arm across');
    expect(meantIn(here, 'new ground 40%')).toBe('new ground');
    expect(meantIn(here, 'mount 40%')).toBe('on top in mount');
    expect(meantIn(here, 'Guard 30%')).toBe(
      '“Guard” could be guard passed or guard recovered or on top in their guard: choose one with the arrows.',
    );
    expect(meantIn(here, 'anding 30%')).toMatch(/^Nothing is called “anding”/);
  });

  it('makes something new only behind the word new, and knows a chance without its sign', () => {
    const here = withNames('Kimura grip 55');
    expect(meantIn(here, 'new Kimura grip 40%')).toBe('new position Kimura grip');
    expect(meantIn(here, 'new ~"Sit: up" 40%')).toBe('new position Sit: up');
    expect(meantIn(here, 'new Kimura grip 55')).toMatch(/There is a position “Kimura grip 55” already/);
    expect(meantIn(here, 'Arm drag 55')).toBe(
      'Nothing is called “Arm drag 55”. For a new position write new Arm drag 55. For a chance write Arm drag 55%.',
    );
    expect(meantIn(here, '"" 40%')).toBe('A result is missing between the quotation marks.');
  });

  it('reads any text whatever without falling over', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...'"\\~%:|->@ new else 4s1Ta'), maxLength: 30 }),
        (text) => {
          expect(meantIn(map, text)).toBeTypeOf('string');
          nameAt(text, text.length);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('makes a position of a name that nothing has, with one undo', () => {
    const where = { move: 'slx-to-x', reaction: { id: 'crossface' } };
    const command = writeAnswer(map, where, said('new Somewhere 30%').answer);
    const { document: next, inverse } = applyCommand(map, command);
    expect(next.positions.at(-1)!.name).toBe('Somewhere');
    expect(next.exchanges.at(-1)).toMatchObject({ ...where, chance: 0.3 });
    expect(applyCommand(next, inverse).document).toEqual(map);
    expect(() => said('passed 130%')).toThrow('more than certain');
  });
});

describe('figures typed over an answer', () => {
  const exchange = map.exchanges.find(({ otherwise }) => otherwise !== undefined)!;

  it('are the same answer with another chance or time', () => {
    const written = (text: string) => {
      const read = readAnswer(map, correction(map, exchange, text));
      return 'answer' in read ? read.answer : read.trouble;
    };
    const { to, otherwise } = exchange;
    expect(written('65%')).toMatchObject({ to, otherwise, chance: 0.65 });
    expect(written(' 62,5 % 8s')).toMatchObject({ to, chance: 0.625, seconds: 8 });
    expect(written('8s')).toMatchObject({ to, chance: exchange.chance, seconds: 8 });
    expect(written('200%')).toMatch(/more than certain/);
  });

  it('are not taken for figures where they are part of more', () => {
    for (const text of ['passed 20%', '', '50', 'new 50% guard'])
      expect(correction(map, exchange, text)).toBe(text);
  });
});

describe('an end that is shortened', () => {
  const meant = (text: string) => {
    const read = readAnswer(map, text);
    return 'answer' in read ? read.answer.to : read.trouble;
  };

  it('comes before a position whose name begins so', () => {
    const begun = PositionSchema.parse({ id: 'pass-begun', name: 'Pass begun' });
    const known = { ...map, positions: [...map.positions, begun] };
    const read = readAnswer(known, 'pass 20%');
    expect('answer' in read && read.answer.to).toEqual({ outcome: 'passed' });
    expect(meant('subm 20%')).toEqual({ outcome: 'submission' });
  });
});
