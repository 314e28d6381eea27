import { describe, expect, it } from 'vitest';
import { BlockSchema } from '../../model/blocks/blockKinds.ts';
import { MechanicSchema } from '../../model/mechanic.ts';
import { smallMap } from '../../test/smallMap.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { standsOn } from '../choose/standsOn.ts';
import { singleBlock, type Wanted } from './singleBlock.ts';

const map = smallMap();
const root = map.moves[0]!.position;
const request: LessonRequest = {
  map,
  root,
  minutes: 60,
  people: 12,
  apparel: 'gi',
  level: 'expert',
  method: 'mixed',
};
const block = (wanted: Wanted, changes: Partial<LessonRequest> = {}) =>
  BlockSchema.parse(singleBlock({ ...request, ...changes }, wanted));

describe('a block put in by hand', () => {
  it('drills an answer against the reaction it was picked for', () => {
    const answer = map.exchanges.find(({ reaction }) => reaction !== 'none')!;
    const drilled = block({ kind: 'exchange', id: answer.id });
    if (!('links' in drilled)) throw new Error(`a drill was expected, not a ${drilled.kind}`);
    expect(drilled.links.map(({ exchange }) => exchange)).toContain(answer.id);
    expect(drilled.rungs?.some(({ exchange }) => exchange === answer.id)).toBe(true);
    expect(drilled.start).not.toBe('');
  });

  it('is a drill of any move, a game from any place, rounds or a question', () => {
    for (const { id, position } of map.moves) {
      expect(block({ kind: 'move', id })).toMatchObject({ links: expect.anything() });
      const game = block({ kind: 'position', id: position });
      expect(game).toMatchObject({ kind: 'game', rounds: 2 });
      if (game.kind === 'game') expect(game.bottom && game.top && game.limit).toBeTruthy();
    }
    expect(block({ kind: 'rounds' })).toMatchObject({ kind: 'rounds', rounds: 3 });
    expect(block({ kind: 'talk' })).toMatchObject({ kind: 'talk', title: 'Question' });
  });

  it('is a movement with its dose', () => {
    const bump = MechanicSchema.parse({
      id: 'bump',
      name: 'Hips through',
      form: 'pair',
      dose: '10',
      how: 'up',
    });
    const made = block({ kind: 'mechanic', id: 'bump' }, { map: { ...map, mechanics: [bump] } });
    expect(made).toMatchObject({ kind: 'move', mechanic: 'bump', title: 'Hips through', dose: '10, swap' });
  });

  it('says why it cannot be', () => {
    expect(() => block({ kind: 'move', id: 'gone' })).toThrow(/not in the map any more/);
    expect(() => block({ kind: 'exchange', id: 'gone' })).toThrow(/not in the map any more/);
    const { id, name } = map.moves[0]!;
    expect(() => block({ kind: 'move', id }, { out: [id] })).toThrow(`“${name}” is not for this class`);
  });

  it('stands on what its moves require, until it was taught or is known', () => {
    const [first, second] = map.moves;
    const needs = { ...second!, requires: [{ move: first!.id }] };
    const other = { ...map, moves: map.moves.map((one) => (one.id === needs.id ? needs : one)) };
    const blocks = [block({ kind: 'move', id: first!.id }), block({ kind: 'move', id: needs.id })];
    expect(standsOn(other, [blocks[1]!], 0, [])).toEqual([first!.name]);
    expect(standsOn(other, [blocks[1]!], 0, [first!.id])).toEqual([]);
    expect(standsOn(other, blocks, 1, [])).toEqual([]);
  });
});
