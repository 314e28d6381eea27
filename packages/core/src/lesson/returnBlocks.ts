import { reactionName } from '../body/landingWords.ts';
import type { Block } from '../model/blocks/blockKinds.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { AGAIN_REPS, type AgainTime } from './againTime.ts';
import { blockTime } from './blockTime.ts';
import { clip, lower } from './lessonWords.ts';
import { linkOf } from './linkOf.ts';
import { roleWords } from './roleWords.ts';

/** An exchange that comes back in a class, with the reason in words. */
export interface ReturnOf {
  exchange: string;
  why: string;
}

/**
 * What comes back first in a class: a block each, two reps on a side, in the order given, as many as the time holds. What may
 * not be done in this class does not.
 */
export function returnBlocks(
  map: GuardMap,
  returns: readonly ReturnOf[],
  { sides, budget, room, may }: AgainTime,
): { blocks: Block[]; returned: ReturnOf[]; seconds: number } {
  const index = indexMap(map);
  const blocks: Block[] = [];
  const returned: ReturnOf[] = [];
  let seconds = 0;
  for (const one of returns) {
    const exchange = index.exchange.get(one.exchange);
    const move = exchange && index.move.get(exchange.move);
    if (!exchange || !move || !may(exchange)) continue;
    const link = linkOf(map, exchange);
    const met =
      exchange.reaction === 'none' ? '' : `, when top ${lower(reactionName(map, exchange.reaction))}`;
    const block: Block = {
      kind: 'flow',
      id: `again-${exchange.id}`.slice(0, 70),
      title: clip(`Again: ${move.name}${met}`),
      why: one.why,
      links: [link],
      reps: AGAIN_REPS,
      sides,
      secondsPerRep: link.seconds + map.settings.resetSeconds,
      demoSeconds: 0,
      resistance: 'guided',
      note: '',
      ...roleWords(map, [exchange]),
    };
    const { total } = blockTime(block, room);
    if (seconds + total > budget) continue;
    seconds += total;
    blocks.push(block);
    returned.push(one);
  }
  return { blocks, returned, seconds };
}
