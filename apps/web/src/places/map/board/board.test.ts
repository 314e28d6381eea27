import { readFileSync } from 'node:fs';
import { applyCommand, emptyMap, holes, parseMapFile, writeAnswer } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { answerText, nameAt, proposals, readAnswer } from './answerText.ts';
import { boardOf, cellOf } from './boardModel.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);
const board = boardOf(map, () => true);
const rowOf = (id: string) => board.rows.find(({ key }) => key === id)!;
const columnOf = (key: string) => board.columns.find((column) => column.key === key)!;

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
    expect(board.columns[0]!.key).toBe('none');
    expect(board.columns.map(({ key }) => key)).toContain('~pull-sleeve');
    expect(new Set(board.columns.map(({ key }) => key)).size).toBe(board.columns.length);
  });

  it('has an answer for every exchange and a gap for every hole', () => {
    const cells = board.rows.flatMap((row) => board.columns.map((column) => cellOf(map, row, column)));
    expect(cells.filter((cell) => cell?.kind === 'answer')).toHaveLength(map.exchanges.length);
    expect(board.holes).toBe(holes(map).length);
    expect(cellOf(map, rowOf('x-tip'), columnOf('widen-base'))).toEqual({ kind: 'hole' });
    expect(cellOf(map, rowOf('x-tip'), columnOf('crossface'))).toEqual({ kind: 'unlisted' });
    expect(cellOf(map, rowOf('x-guard'), columnOf('none'))).toBeUndefined();
  });

  it('shows only what the filters leave', () => {
    const part = boardOf(map, ({ systems }) => systems.includes('butterfly'));
    expect(part.rows.filter(({ kind }) => kind === 'position')).toHaveLength(6);
    expect(part.columns.length).toBeLessThan(board.columns.length);
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
    expect(nameAt('two', 3)).toEqual({ from: 0, typed: 'two', mirrored: false });
    expect(nameAt('back 40% else ~kne', 18)).toEqual({ from: 14, typed: 'kne', mirrored: true });
    expect(nameAt('two hands 40', 12)).toBeUndefined();
    expect(nameAt('two hands 40%', 13)).toBeUndefined();
  });

  it('proposes by any name, the exact one first, and a new position last', () => {
    expect(proposals(map, 'sankaku')[0]).toMatchObject({ name: 'Triangle locked' });
    expect(proposals(map, 'back')[0]).toMatchObject({ word: 'back', what: 'outcome' });
    expect(proposals(map, 'flatt').at(-1)).toMatchObject({ word: '"flatt"', what: 'new position' });
    expect(proposals(map, 'Triangle locked').some(({ what }) => what === 'new position')).toBe(false);
    expect(proposals(emptyMap('e', 'E'), '')).toHaveLength(12);
  });

  it('means the first proposal where a name is only begun, and exactly what is in quotes', () => {
    expect(said('two hands 70% else knee on the belly 8s').answer).toEqual({
      to: { position: 'two-on-one' },
      chance: 0.7,
      otherwise: { position: idOf('Knee on the belly across the shoulder lock') },
      seconds: 8,
    });
    expect(said('"two hands" 70%').answer.to).toEqual({ newPosition: 'two hands' });
    expect(said('~slx 20%').answer.to).toEqual({ position: 'slx', mirrored: true });
    expect(said('passed').answer).toEqual({ to: { outcome: 'passed' } });
  });

  it('makes a position of a name that nothing has, with one undo', () => {
    const where = { move: 'slx-to-x', reaction: { id: 'crossface' } };
    const command = writeAnswer(map, where, said('Somewhere new 30%').answer);
    const { document: next, inverse } = applyCommand(map, command);
    expect(next.positions.at(-1)!.name).toBe('Somewhere new');
    expect(next.exchanges.at(-1)).toMatchObject({ ...where, chance: 0.3 });
    expect(applyCommand(next, inverse).document).toEqual(map);
    expect(() => said('passed 130%')).toThrow('more than certain');
  });
});
