import { describe, expect, it } from 'vitest';
import { answerTo } from './answerTo.ts';
import { type Exchange, ExchangeSchema } from './exchange.ts';

const exchange = (id: string, variant?: string, met = 'post', mirrored = false): Exchange =>
  ExchangeSchema.parse({
    id,
    move: 'm',
    reaction: met === 'none' ? 'none' : { id: met, ...(mirrored && { mirrored }) },
    ...(variant && { variant }),
    to: { outcome: 'back' },
    chance: 0.5,
  });
const post = { id: 'post' };
const all = [
  exchange('lift', 'lift'),
  exchange('tuck', 'tuck'),
  exchange('plain'),
  exchange('late', undefined, 'none'),
];

describe('the exchange that answers a reaction', () => {
  it('is the house variant’s, else the plain one, else the first that is written', () => {
    expect(answerTo({ houseVariant: 'tuck' }, all, post)!.id).toBe('tuck');
    expect(answerTo({ houseVariant: 'other' }, all, post)!.id).toBe('plain');
    expect(answerTo({}, all, post)!.id).toBe('plain');
    expect(answerTo({}, all.slice(0, 2), post)!.id).toBe('lift');
    expect(answerTo({}, all, 'none')!.id).toBe('late');
  });

  it('is on the side asked for, and can be played', () => {
    expect(answerTo({}, [exchange('other', undefined, 'post', true)], post)).toBeUndefined();
    expect(answerTo({ houseVariant: 'tuck' }, all, post, ({ id }) => id !== 'tuck')!.id).toBe('plain');
    expect(answerTo({}, all, { id: 'stand' })).toBeUndefined();
  });
});
