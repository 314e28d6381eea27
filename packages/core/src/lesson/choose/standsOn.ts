import type { Block } from '../../model/blocks/blockKinds.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';

/**
 * What a block of a class stands on that nobody has been taught by then: what its moves require and neither an earlier
 * block nor what is known gives, by name.
 * @param known moves, by id
 */
export function standsOn(
  map: GuardMap,
  blocks: readonly Block[],
  at: number,
  known: readonly string[],
): string[] {
  const index = indexMap(map);
  const movesIn = (block: Block) =>
    'links' in block ? block.links.flatMap(({ exchange }) => index.exchange.get(exchange)?.move ?? []) : [];
  const before = blocks.slice(0, at);
  const moves = new Set([...known, ...before.flatMap(movesIn)]);
  const mechanics = new Set(
    before.flatMap((block) => (block.kind === 'move' && block.mechanic ? [block.mechanic] : [])),
  );
  const missing = (blocks[at] ? movesIn(blocks[at]) : []).flatMap((id) =>
    (index.move.get(id)?.requires ?? []).flatMap((need): string[] => {
      if ('move' in need) return moves.has(need.move) ? [] : [index.move.get(need.move)?.name ?? need.move];
      if ('mechanic' in need)
        return mechanics.has(need.mechanic) ? [] : [index.mechanic.get(need.mechanic)?.name ?? need.mechanic];
      return [];
    }),
  );
  return [...new Set(missing)];
}
