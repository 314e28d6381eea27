import { describe, expect, it } from 'vitest';
import { indexMap } from '../model/indexMap.ts';
import { MoveSchema } from '../model/move.ts';
import { smallMap } from '../test/smallMap.ts';
import { suggestAnswers } from './suggestAnswers.ts';

const grip = (contact: 'handL' | 'footR') => ({
  id: 'g',
  contacts: [contact],
  action: 'grip' as const,
  target: { of: 'top' as const, part: 'ankle' as const, side: 'L' as const },
});
const withMove = (changes: object) => {
  const map = smallMap();
  const move = MoveSchema.parse({
    id: 'ankle',
    position: 'cross',
    look: 'roll',
    name: 'Ankle pick',
    kind: 'sweep',
    ...changes,
  });
  return { ...map, moves: [...map.moves, move] };
};
const ids = (map: ReturnType<typeof smallMap>, reaction: Parameters<typeof suggestAnswers>[2]) =>
  suggestAnswers(map, 'start', reaction).map(({ move }) => move.id);

describe('suggested answers', () => {
  it('are moves of other positions whose needs are met once the reaction has come, with the reason', () => {
    const map = withMove({
      needs: [{ facet: 'top.handL', values: ['posted'] }],
      needsHolds: [{ part: 'sleeve' }],
      steps: [{ id: 's', text: 'Pick it.', take: [grip('footR')] }],
    });
    // A move of quite another position is no answer here, whatever it needs.
    expect(ids(map, { id: 'post-left' })).toEqual([]);
    const { holds, signs } = map.positions.find(({ id }) => id === 'start')!;
    const alike = {
      ...map,
      positions: map.positions.map((one) =>
        one.id === 'cross' ? { ...one, holds: holds.map((hold) => ({ ...hold, keep: false })), signs } : one,
      ),
    };
    expect(ids(alike, 'none')).toEqual([]);
    const [first] = suggestAnswers(alike, 'start', { id: 'post-left' });
    expect(first).toMatchObject({
      move: { id: 'ankle' },
      reasons: ["top's left hand posted", 'the left hand still holds', 'free right foot'],
    });
  });

  it('are none where the limbs are busy, unless the reaction or the move frees them', () => {
    const busy = { steps: [{ id: 's', text: 'Pick it.', take: [grip('handL')] }] };
    expect(ids(withMove(busy), 'none')).toEqual([]);
    const freed = {
      steps: [{ id: 's', text: 'Pick it.', release: ['handL'], take: [grip('handL')] }],
      needsHolds: [{ part: 'collar' }],
    };
    expect(ids(withMove(freed), 'none')).toEqual(['ankle']);
    expect(ids(withMove(freed), { id: 'strip-collar' })).toEqual([]);
  });

  it('are none where an arm is wanted whose hand holds, where top stands otherwise, or where what they rest on is not held', () => {
    const underhook = { ...grip('handL'), contacts: ['armL' as const], action: 'underhook' as const };
    const wanted = {
      needsHolds: [{ part: 'collar' }],
      steps: [{ id: 's', text: 'Scoop.', take: [underhook] }],
    };
    expect(ids(withMove(wanted), 'none')).toEqual([]);
    const fits = withMove({ needsHolds: [{ part: 'sleeve' }] });
    expect(ids(fits, 'none')).toContain('ankle');
    const at = (changes: object) => ({
      ...fits,
      positions: fits.positions.map((position) =>
        position.id === 'cross' ? { ...position, ...changes } : position,
      ),
    });
    expect(ids(at({ signs: { 'top.stance': 'standing' } }), 'none')).not.toContain('ankle');
    expect(ids(at({ holds: [{ ...grip('footR'), keep: true }] }), 'none')).not.toContain('ankle');
  });

  it('come with where they lead from their own position, the likelier first', () => {
    const map = smallMap();
    map.moves[3]!.needsHolds = [{ part: 'sleeve' }];
    const [roll] = suggestAnswers(map, 'start', 'none');
    expect(roll).toMatchObject({ move: { id: 'roll' }, like: { id: 'roll-none', chance: 0.5 } });
  });

  it('never offer what the position has already, and know nothing of what is not in the map', () => {
    const map = smallMap();
    const own = new Set(
      indexMap(map)
        .movesOf('start')
        .map(({ id }) => id),
    );
    expect(ids(map, { id: 'post-left' }).some((id) => own.has(id))).toBe(false);
    expect(suggestAnswers(map, 'moon', 'none')).toEqual([]);
    expect(suggestAnswers(map, 'start', { id: 'moon' })).toEqual([]);
  });
});
