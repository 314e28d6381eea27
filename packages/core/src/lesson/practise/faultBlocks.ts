import type { Block } from '../../model/blocks/blockKinds.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { SeenFault } from '../../model/notes.ts';
import { AGAIN_REPS, type AgainTime } from '../blocks/againTime.ts';
import { blockTime } from '../blocks/blockTime.ts';
import { linkOf } from '../blocks/linkOf.ts';
import { careWords, roleWords, sentences } from '../blocks/roleWords.ts';
import { likeliest } from './learnt.ts';

const SHOWN = 60;

/**
 * The faults that were seen lately as the first block that is drilled: one exchange for each of them, with what goes wrong
 * and what mends it. As many as the time holds, in the order given; those of what is not in the map any more, or may not
 * be done in this class, are left out.
 */
export function faultBlocks(
  map: GuardMap,
  faults: readonly SeenFault[],
  { sides, budget, room, may }: AgainTime,
): { blocks: Block[]; taken: SeenFault[]; seconds: number } {
  const seen = faults.flatMap((fault) => {
    const exchange = whereSeen(map, fault, may);
    return exchange ? [{ fault, exchange }] : [];
  });
  for (let many = seen.length; many > 0; many--) {
    const some = seen.slice(0, many);
    const block = blockOf(
      map,
      some.map(({ fault }) => fault),
      [...new Set(some.map(({ exchange }) => exchange))],
      sides,
    );
    const { total } = blockTime(block, room);
    if (total <= budget) return { blocks: [block], taken: some.map(({ fault }) => fault), seconds: total };
  }
  return { blocks: [], taken: [], seconds: 0 };
}

function blockOf(map: GuardMap, faults: readonly SeenFault[], exchanges: Exchange[], sides: 1 | 2): Block {
  const links = exchanges.map((exchange) => linkOf(map, exchange));
  const words = roleWords(map, exchanges);
  return {
    kind: 'flow',
    id: 'faults',
    title: 'First: what went wrong',
    why: 'What was counted most in the last classes.',
    links,
    reps: AGAIN_REPS,
    sides,
    secondsPerRep: links.reduce((sum, { seconds }) => sum + seconds, 0) + map.settings.resetSeconds,
    demoSeconds: SHOWN,
    resistance: 'cooperative',
    note: faults.map((fault) => mendWords(map, fault)).join('\n'),
    ...words,
    // What mends it is what bottom has to think of now.
    bottom: careWords(words.hazards).attacking,
  };
}

/** What it is of, in the map of today. */
function bearerOf(map: GuardMap, { of, id }: SeenFault) {
  const { move, position } = indexMap(map);
  if (of === 'move') return move.get(id);
  if (of === 'position') return position.get(id);
  return map.mechanics.find((mechanic) => mechanic.id === id);
}

/** Where it shows: in the move, in the first move of the position, or in the first that is made of the movement. */
function whereSeen(map: GuardMap, fault: SeenFault, may: AgainTime['may']): Exchange | undefined {
  const { movesOf, exchangesOf } = indexMap(map);
  const moves =
    fault.of === 'move'
      ? [fault.id]
      : fault.of === 'position'
        ? movesOf(fault.id).map(({ id }) => id)
        : map.moves.flatMap(({ id, mechanics }) => (mechanics.includes(fault.id) ? [id] : []));
  if (!bearerOf(map, fault)) return undefined;
  // Unopposed where that is known: it is mended before it is tested.
  for (const move of moves) {
    const open = exchangesOf(move).filter(may);
    const exchange = open.find(({ reaction }) => reaction === 'none') ?? likeliest(open);
    if (exchange) return exchange;
  }
  return undefined;
}

/** "Hips flat. Instead: turn to a side first." */
function mendWords(map: GuardMap, fault: SeenFault): string {
  const bearer = bearerOf(map, fault);
  if (fault.falsePositive) {
    const known =
      bearer && 'falsePositives' in bearer
        ? bearer.falsePositives.find(({ text }) => text === fault.fault)
        : undefined;
    return sentences(`Only seems to work: ${fault.fault}`, known && `Test: ${known.test}`);
  }
  const mend = bearer?.faults.find(({ text }) => text === fault.fault)?.mend;
  return sentences(`${fault.name}: ${fault.fault}`, mend && `Instead: ${mend}`);
}
