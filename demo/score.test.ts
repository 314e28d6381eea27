import { exchangeOf, indexMap, isOutcome } from '@aftersquall/core/model';
import { holdScore } from '@aftersquall/core/score';
import { describe, expect, it } from 'vitest';
import { readDemo } from './readDemo.ts';

const map = readDemo();
const index = indexMap(map);

/** Two exchanges in a row wherever one leads on to another, and every chain that is kept. */
const chains = [
  ...map.chains.map(({ exchanges }) => exchanges),
  ...map.exchanges.flatMap(({ id, to }) => {
    const [next] = isOutcome(to)
      ? []
      : index.movesOf(to.position).flatMap((move) => index.exchangesOf(move.id));
    return next ? [[id, next.id]] : [];
  }),
];

describe('the hold score of what the demo teaches', () => {
  it('has no limb on two things at a time, nothing that ends before it begins, and everything inside of its time', () => {
    expect(chains.length).toBeGreaterThan(500);
    for (const chain of chains)
      for (const apparel of ['gi', 'no-gi'] as const) {
        const { lanes, seconds, steps, top } = holdScore(map, chain, apparel);
        for (const { bars } of lanes) {
          const inOrder = [...bars].sort((a, b) => a.from - b.from);
          for (const [i, bar] of inOrder.entries()) {
            expect(bar.to).toBeGreaterThan(bar.from);
            expect(bar.to).toBeLessThanOrEqual(seconds);
            const next = inOrder[i + 1];
            if (next)
              expect(next.from, chain.map((turn) => JSON.stringify(turn)).join(' ')).toBeGreaterThanOrEqual(
                bar.to,
              );
          }
        }
        for (const { at } of [...steps, ...top]) expect(at).toBeLessThanOrEqual(seconds);
      }
  });

  it('takes as long as its exchanges', () => {
    for (const [first] of chains) {
      const exchange = index.exchange.get(exchangeOf(first!)!)!;
      const { seconds, steps } = holdScore(map, [first!]);
      expect(seconds).toBeGreaterThanOrEqual(steps.reduce((sum, step) => sum + step.seconds, 0));
      expect(exchange.stops === undefined || steps.length <= exchange.stops).toBe(true);
    }
  });

  it('warns of nothing that the map’s own findings would not', () => {
    const faulty = chains.filter((chain) => holdScore(map, chain).troubles.length > 0);
    expect(faulty.length / chains.length).toBeLessThan(0.05);
  });

  it('is the same on the other side, with left and right changed', () => {
    const turned = (contact: string) => contact.replace(/[LR]$/, (side) => (side === 'L' ? 'R' : 'L'));
    for (const chain of chains.slice(0, 200)) {
      const plain = holdScore(map, chain);
      const flipped = holdScore(map, chain, 'gi', true);
      const spans = ({ lanes }: typeof plain, of: (contact: string) => string) =>
        lanes
          .flatMap(({ contact, bars }) =>
            bars.map(({ from, to, keep, ends }) => [of(contact), from, to, keep, ends].join(' ')),
          )
          .sort();
      expect(spans(flipped, turned)).toEqual(spans(plain, (contact) => contact));
      expect(flipped.steps).toEqual(plain.steps);
    }
  });

  it('says what is not there any more', () => {
    expect(() => holdScore(map, ['gone'])).toThrow('“gone” is no longer in the map');
  });
});
