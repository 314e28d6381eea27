import type { Block } from '../../model/blocks/blockKinds.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import { AGAIN_REPS, type AgainTime } from '../blocks/againTime.ts';
import { blockTime } from '../blocks/blockTime.ts';
import { clip } from '../blocks/lessonWords.ts';
import { linkOf } from '../blocks/linkOf.ts';
import { roleWords } from '../blocks/roleWords.ts';

/** An exchange that comes back in a class, with the reason in words. */
export interface ReturnOf {
  exchange: string;
  why: string;
}

interface Returning extends ReturnOf {
  written: Exchange;
  move: Move;
}

/** So many answers are still one flow that people keep in mind. */
const MAX_FLOW_ANSWERS = 4;

/**
 * What comes back first in a class, as one flow: each answer in turn, twice over, as many of those given as the time holds.
 * What may not be done in this class does not.
 */
export function returnBlocks(
  map: GuardMap,
  returns: readonly ReturnOf[],
  { sides, budget, room, may }: AgainTime,
): { blocks: Block[]; returned: ReturnOf[]; seconds: number } {
  const index = indexMap(map);
  let flow: Returning[] = [];
  for (const one of returns) {
    const written = index.exchange.get(one.exchange);
    const move = written && index.move.get(written.move);
    if (!written || !move || !may(written) || flow.some((other) => other.move === move)) continue;
    const longer = [...flow, { ...one, written, move }];
    if (longer.length > MAX_FLOW_ANSWERS || blockTime(flowOf(map, longer, sides), room).total > budget)
      continue;
    flow = longer;
  }
  if (flow.length === 0) return { blocks: [], returned: [], seconds: 0 };
  const block = flowOf(map, flow, sides);
  return {
    blocks: [block],
    returned: flow.map(({ exchange, why }) => ({ exchange, why })),
    seconds: blockTime(block, room).total,
  };
}

function flowOf(map: GuardMap, flow: readonly Returning[], sides: 1 | 2): Block {
  const exchanges = flow.map(({ written }) => written);
  const links = exchanges.map((exchange) => linkOf(map, exchange));
  const reset = map.settings.resetSeconds;
  return {
    kind: 'flow',
    id: `again-${exchanges[0]!.id}`.slice(0, 70),
    title: clip(`Again: ${flow.map(({ move }) => move.short ?? move.name).join(' · ')}`),
    why: [...new Set(flow.map(({ why }) => why))].join(' ').slice(0, 400),
    links,
    reps: AGAIN_REPS,
    sides,
    secondsPerRep: links.reduce((sum, { seconds }) => sum + seconds + reset, 0),
    demoSeconds: 0,
    resistance: 'guided',
    note: '',
    ...roleWords(map, exchanges),
  };
}
