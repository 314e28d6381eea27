import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../formats/mapFile.ts';
import { indexMap } from '../model/indexMap.ts';
import { reactionKey } from '../model/reaction.ts';
import { recallCards } from './recall.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const index = indexMap(map);
const ask = (changes: Partial<Parameters<typeof recallCards>[1]> = {}) =>
  recallCards(map, { date: '2026-11-26', count: 10, history: [], taught: new Set(), seed: 1, ...changes });

describe('the quiz', () => {
  it('asks ten different things, each with a right answer among up to four of the position’s moves', () => {
    const cards = ask();
    expect(new Set(cards.map(({ exchange }) => exchange)).size).toBe(10);
    for (const { exchange, position, choices } of cards) {
      const { move, reaction } = index.exchange.get(exchange)!;
      expect(index.move.get(move)!.position).toBe(position);
      expect(choices.length).toBeLessThanOrEqual(4);
      const best = Math.max(
        ...index
          .movesOf(position)
          .flatMap(({ id }) => index.exchangesOf(id))
          .filter((one) => reactionKey(one.reaction) === reactionKey(reaction))
          .map(({ chance }) => chance),
      );
      expect(choices.some(({ right }) => right)).toBe(true);
      expect(choices.some(({ right }) => !right)).toBe(true);
      for (const choice of choices) {
        const chances = index
          .exchangesOf(choice.move)
          .filter((one) => reactionKey(one.reaction) === reactionKey(reaction))
          .map(({ chance }) => chance);
        expect(choice.right).toBe(chances.some((chance) => chance >= best - 0.05));
      }
    }
  });

  it('offers the answer it means, calls nothing twice and says why of each that is right', () => {
    for (const { exchange, choices } of ask({ count: 1000 })) {
      const { move } = index.exchange.get(exchange)!;
      expect(choices.some((choice) => choice.move === move && choice.right)).toBe(true);
      expect(new Set(choices.map(({ name }) => name)).size).toBe(choices.length);
      for (const { name, right, why } of choices)
        if (right) expect(why.startsWith(`${name}: `), `${name} | ${why}`).toBe(true);
    }
  });

  it('asks nothing that hardly ever works', () => {
    const rare = { ...map, exchanges: map.exchanges.map((one) => ({ ...one, chance: 0.2 })) };
    expect(
      recallCards(rare, { date: '2026-11-26', count: 9, history: [], taught: new Set(), seed: 1 }),
    ).toEqual([]);
  });

  it('says why in sentences, what is had when it fails among them', () => {
    const noted = {
      ...map,
      exchanges: map.exchanges.map((one) => ({ ...one, note: 'hips first else: grips torn' })),
    };
    const [card] = recallCards(noted, {
      date: '2026-11-26',
      count: 1,
      history: [],
      taught: new Set(),
      seed: 1,
    });
    const right = card!.choices.find((choice) => choice.right)!;
    expect(right.why).toMatch(/^.+: .+\. Works \d+ times in 10 \(.+\)\. Hips first\. If not: grips torn\.$/);
  });

  it('is the same for the same seed, and asks what was taught where something was', () => {
    expect(ask()).toEqual(ask());
    expect(ask({ seed: 2 })).not.toEqual(ask());
    const [one] = ask();
    expect(ask({ taught: new Set([one!.exchange]) }).map(({ exchange }) => exchange)).toEqual([
      one!.exchange,
    ]);
  });

  it('asks first what was answered wrong, last what was answered right a while ago', () => {
    const [first, second] = ask({ count: 2 });
    const answered = (exchange: string, right: number) => ({ exchange, date: '2026-11-25', right, asked: 1 });
    const everything = ask({ count: 1000 }).length;
    const order = ask({
      count: everything,
      history: [answered(first!.exchange, 1), answered(second!.exchange, 0)],
      date: '2026-12-05',
    }).map(({ exchange }) => exchange);
    expect(order.indexOf(second!.exchange)).toBe(0);
    expect(order.indexOf(first!.exchange)).toBe(everything - 1);
  });
});
