import { seeded } from '../../game/seeded.ts';
import type { Block } from '../../model/blocks/blockKinds.ts';

type Fork = Extract<Block, { kind: 'fork' }>;

/** Nobody gives the same more often than this in a row. */
const MOST_RUNNING = 3;
/** Of the two of a fork drill each reaction is called at least so often, however rare it is. */
const LEAST_SHARE = 0.05;

/**
 * What the partner gives, call by call, by the places of the fork's links: drawn by its seed and weights, the same for
 * the same seed, never the same more than three times running.
 */
export function forkCalls({ links, shares, weights, seed }: Fork, count: number): number[] {
  const given = links.map((_, i) => {
    if (weights === 'even' || shares.length !== links.length) return 1;
    const share = Math.max(LEAST_SHARE, shares[i]!);
    return weights === 'where we are weak' ? 1 / share : share;
  });
  const random = seeded(seed);
  const calls: number[] = [];
  for (let call = 0; call < count; call++) {
    const last = calls.at(-1);
    const running =
      last !== undefined && calls.slice(-MOST_RUNNING).filter((one) => one === last).length === MOST_RUNNING;
    const open = given.map((weight, i) => (running && i === last && links.length > 1 ? 0 : weight));
    let left = random() * open.reduce((sum, weight) => sum + weight, 0);
    let drawn = open.findLastIndex((weight) => weight > 0);
    for (const [i, weight] of open.entries()) {
      left -= weight;
      if (left < 0) {
        drawn = i;
        break;
      }
    }
    calls.push(drawn);
  }
  return calls;
}
