import { faultsOf } from '@aftersquall/core/log';
import { type Block, type ClassPlan, type GuardMap, indexMap, type SeenFault } from '@aftersquall/core/model';

type Link = Extract<Block, { links: unknown }>['links'][number];
/** As many as have room on the wall. */
const MAX_COUNTABLE = 6;

/** What can be tried in a block: what it drills; where it is played, what the class teaches. Each exchange once. */
export function triedIn(plan: ClassPlan, block: Block): Link[] {
  const taught = 'rounds' in block ? plan.blocks.filter(({ kind }) => TAUGHT.includes(kind)) : [block];
  const links = taught.flatMap((one) => ('links' in one ? one.links.filter(({ fails }) => !fails) : []));
  return [...new Map(links.map((link) => [link.exchange, link])).values()];
}
/** Blocks of what is new in a class; what comes back first is not what its rounds are about. */
const TAUGHT: readonly Block['kind'][] = ['setup', 'link', 'chain', 'fork'];

/** The faults and false positives of what is tried in a block, of where it begins, and of the movement that it is. */
export function faultsIn(map: GuardMap | undefined, plan: ClassPlan, block: Block): SeenFault[] {
  if (!map) return [];
  const index = indexMap(map);
  const moves = [
    ...new Set(triedIn(plan, block).flatMap(({ exchange }) => index.exchange.get(exchange)?.move ?? [])),
  ];
  const positions = [...new Set(moves.map((id) => index.move.get(id)!.position))];
  const mechanics = block.kind === 'move' && block.mechanic ? [block.mechanic] : [];
  return faultsOf(map, { moves, positions, mechanics }).slice(0, MAX_COUNTABLE);
}
