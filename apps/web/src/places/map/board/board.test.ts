import { readFileSync } from 'node:fs';
import { applyCommand, emptyMap, holes, parseMapFile } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { answerText, nameAt, proposals, readAnswer, writtenOut } from './answerText.ts';
import { boardOf, cellOf } from './boardModel.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);
const board = boardOf(map, () => true);
const rowOf = (id: string) => board.rows.find(({ key }) => key === id)!;
const columnOf = (key: string) => board.columns.find((column) => column.key === key)!;

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

describe('an answer as it is typed', () => {
  it('is what is written in the cell, for every exchange of the demo', () => {
    for (const exchange of map.exchanges) {
      const move = map.moves.find(({ id }) => id === exchange.move)!;
      const { errors, changes } = readAnswer(
        map,
        { position: move.position, move: move.id, reaction: exchange.reaction, variant: exchange.variant },
        answerText(map, exchange),
      );
      expect([exchange.id, errors, changes]).toEqual([exchange.id, [], []]);
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
    expect(writtenOut(map, 'two hands 70% else knee on the belly 8s')).toBe(
      'Two hands on one sleeve 70% else Knee on the belly across the shoulder lock 8s',
    );
    expect(writtenOut(map, '"two hands" 70%')).toBe('"two hands" 70%');
    expect(writtenOut(map, '~slx 20%')).toBe('~Single-leg X 20%');
    expect(writtenOut(map, 'passed')).toBe('passed');
  });

  it('makes a position of a name that nothing has, with one undo', () => {
    const where = { position: 'slx', move: 'slx-to-x', reaction: { id: 'crossface' } };
    const { command, changes } = readAnswer(map, where, 'Somewhere new 30%');
    expect(changes.map(({ kind, change }) => `${change} ${kind}`)).toEqual(['new position', 'new exchange']);
    const { map: next, inverse } = applyCommand(map, command);
    expect(next.positions.at(-1)!.name).toBe('Somewhere new');
    expect(applyCommand(next, inverse).map).toEqual(map);
    expect(readAnswer(map, where, 'passed 130%').errors[0]!.message).toContain('more than certain');
  });
});
