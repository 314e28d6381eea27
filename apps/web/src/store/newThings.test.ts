import { validateMap } from '@aftersquall/core/check';
import { applyCommand, batch, put } from '@aftersquall/core/documents';
import { emptyMap, freshId, reactionKey } from '@aftersquall/core/model';
import { expect, it } from 'vitest';
import { landingOf, landingValue, reactionOf } from '../components/fields/landingChoices.ts';
import { newExchange, newMove, newPosition, newReaction } from './newThings.ts';

it('makes ids of names, never the same twice', () => {
  expect(freshId('Knee cut', [])).toBe('knee-cut');
  expect(freshId('Knee cut', ['knee-cut', 'knee-cut-2'])).toBe('knee-cut-3');
  expect(freshId('  Balão  ', [])).toBe('balao');
  expect(freshId('半分', [])).toBe('item');
});

it('builds a map from nothing by commands that are all accepted', () => {
  let map = emptyMap('mine', 'Mine');
  const position = newPosition(map, 'Knee shield');
  expect(position.entry).toBe(1);
  map = applyCommand(map, put('position', position)).document;
  const reaction = newReaction(map, 'Crossface');
  map = applyCommand(map, put('reaction', reaction)).document;
  const { commands, move } = newMove(map, position);
  map = applyCommand(map, batch(commands)).document;
  const exchange = newExchange(map, move, { id: reaction.id });
  map = applyCommand(map, put('exchange', exchange)).document;
  expect(map.positions[0]!.looks).toHaveLength(1);
  expect(exchange).toMatchObject({ move: move.id, reaction: { id: 'crossface' }, basis: 'coach' });
  expect(validateMap(map).filter(({ severity }) => severity === 'error')).toEqual([]);
  expect(newPosition(map, 'Knee shield')).toMatchObject({ id: 'knee-shield-2' });
});

it('reads landings and reactions back from what a select holds', () => {
  for (const landing of [
    { outcome: 'back' as const },
    { position: 'p' },
    { position: 'p', mirrored: true },
  ]) {
    expect(landingOf(landingValue(landing))).toEqual(landing);
  }
  expect(landingOf('')).toBeUndefined();
  for (const reaction of ['none' as const, { id: 'r' }, { id: 'r', mirrored: true }]) {
    expect(reactionOf(reactionKey(reaction))).toEqual(reaction);
  }
});
