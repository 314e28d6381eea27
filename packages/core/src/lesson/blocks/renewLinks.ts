import type { Block } from '../../model/blocks/blockKinds.ts';
import type { Link } from '../../model/blocks/defineBlock.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { linkOf } from './linkOf.ts';

/** One answer of a class that the map says otherwise today; without `now` it is not in the map any more. */
export interface StaleLink {
  block: string;
  was: Link;
  now: Link | undefined;
}

const same = (a: Link, b: Link): boolean =>
  a.move === b.move && a.meets === b.meets && a.leads === b.leads && a.seconds === b.seconds;

/** What has changed in the map since the class was made, each exchange once a block. */
export const staleLinks = (map: GuardMap, blocks: readonly Block[]): StaleLink[] =>
  blocks.flatMap((block) =>
    'links' in block
      ? block.links.flatMap((was): StaleLink[] => {
          const exchange = indexMap(map).exchange.get(was.exchange);
          const now = exchange && linkOf(map, exchange, was);
          return now && same(was, now) ? [] : [{ block: block.id, was, now }];
        })
      : [],
  );

/**
 * The blocks as the map has them today: words and seconds of their answers are the map's, a rep takes as much longer or
 * shorter; what is not in the map any more stays as it was kept, so that the class can still be run.
 */
export const renewLinks = (map: GuardMap, blocks: readonly Block[]): Block[] =>
  blocks.map((block) => {
    if (!('links' in block)) return block;
    const links = block.links.map((was) => {
      const exchange = indexMap(map).exchange.get(was.exchange);
      return exchange ? linkOf(map, exchange, was) : was;
    });
    const share = block.kind === 'fork' ? links.length : 1;
    const longer = links.reduce((sum, { seconds }, i) => sum + seconds - block.links[i]!.seconds, 0) / share;
    return { ...block, links, secondsPerRep: Math.max(1, Math.round(block.secondsPerRep + longer)) };
  });
