import { type Block, isDrilled } from '../../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../../model/classPlan.ts';
import { classSeconds } from './blockTime.ts';

type Room = Pick<ClassPlan, 'people' | 'changeOverSeconds'>;

/** What is missed least goes first: more answers to a move that is taught, then movements, then what joins; then the last. */
const CUTS: readonly ((block: Block) => boolean)[] = [
  (block) => block.kind === 'link' && block.resistance === 'guided',
  ...(['move', 'chain', 'fork', 'link', 'setup', 'game', 'rest', 'rounds'] as const).map(
    (kind) => (block: Block) => block.kind === kind,
  ),
];

/** What is proposed where a class is too long: the block that is missed least, and the seconds that brings; never the last drill. */
export function cheapestCut(
  blocks: readonly Block[],
  room: Room,
): { block: Block; seconds: number } | undefined {
  const only = blocks.filter(isDrilled).length === 1;
  for (const isCut of CUTS) {
    const block = blocks.findLast(isCut);
    if (block && !(only && isDrilled(block)))
      return { block, seconds: classSeconds({ ...room, blocks: [block] }) };
  }
  return undefined;
}
