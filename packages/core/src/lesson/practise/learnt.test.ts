import { describe, expect, it } from 'vitest';
import { smallMap } from '../../test/smallMap.ts';
import { learn, nothingLearnt, returnsOn } from './learnt.ts';
import { practised, retained } from './memory.ts';

const move = (id: string, exchange?: string) => ({ move: id, name: id, exchange });

describe('what is known', () => {
  it('counts the worst of several words on a move of one day, and held where nobody said one', () => {
    const learnt = nothingLearnt();
    learn(learnt, {
      date: '2026-10-01',
      moves: [
        { ...move('gather'), grade: 'sharp' },
        { ...move('gather'), grade: 'patchy' },
        move('tilt-over'),
      ],
    });
    expect(learnt.memories.get('gather')).toEqual(practised(undefined, '2026-10-01', 'patchy'));
    expect(learnt.memories.get('tilt-over')).toEqual(practised(undefined, '2026-10-01', 'held'));
  });

  it('keeps what found no time until it comes, however many classes that takes', () => {
    const learnt = nothingLearnt();
    learn(learnt, { date: '2026-10-01', moves: [], leftOver: ['a', 'b'] });
    learn(learnt, { date: '2026-10-08', moves: [move('gather', 'b')], leftOver: ['a', 'c'] });
    expect([...learnt.carried]).toEqual([
      ['a', '2026-10-01'],
      ['c', '2026-10-08'],
    ]);
  });
});

describe('what comes back', () => {
  const map = smallMap();
  const [first] = map.exchanges;
  const others = map.moves.filter(({ id }) => id !== first!.move);

  it('is what found no time, then what fades; nothing twice, and nothing that is still there', () => {
    const learnt = nothingLearnt();
    learn(learnt, {
      date: '2026-10-01',
      moves: map.moves.map(({ id, name }) => ({ move: id, name })),
      leftOver: [first!.id],
    });
    expect(returnsOn(map, learnt, '2026-10-02')).toEqual([
      { exchange: first!.id, why: 'It was planned before and not reached.' },
    ]);
    const late = returnsOn(map, learnt, '2027-04-01');
    const kept = Math.round(retained(practised(undefined, '2026-10-01'), '2027-04-01') * 100);
    expect(late[0]!.exchange).toBe(first!.id);
    expect(late.slice(1).map(({ why }) => why)).toEqual(
      others
        .filter(({ id }) => map.exchanges.some((exchange) => exchange.move === id))
        .map(() => `It is fading: about ${kept} % still fresh.`),
    );
    expect(late.some(({ exchange }, i) => i > 0 && exchange === first!.id)).toBe(false);
  });

  it('begins with what has faded most', () => {
    const learnt = nothingLearnt();
    const [one, two] = map.moves;
    learn(learnt, { date: '2026-08-01', moves: [{ ...move(two!.id), grade: 'lost' }] });
    learn(learnt, { date: '2026-08-02', moves: [{ ...move(one!.id), grade: 'sharp' }] });
    const moves = returnsOn(map, learnt, '2027-08-01').map(
      ({ exchange }) => map.exchanges.find(({ id }) => id === exchange)!.move,
    );
    expect(moves).toEqual([two!.id, one!.id]);
  });
});
