import type { Block, DrilledBlock } from '../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../model/classPlan.ts';
import { classSeconds } from './blockTime.ts';
import { LEAST_REPS, SETUPS } from './practices.ts';

type Room = Pick<ClassPlan, 'people' | 'changeOverSeconds'>;
/** So many reps on a side are enough of anything. */
const MOST_REPS = 40;
/** A step is one rep or one block: no class needs more of them. */
const MOST_STEPS = 2000;

/**
 * Blocks within a time. Where they are too long, reps are taken where there are most, down to the least, then blocks,
 * those first that are missed least; where there is time left, reps are given where there are fewest.
 * @param budget seconds
 */
export function fitBlocks(blocks: readonly Block[], budget: number, room: Room): Block[] {
  let fitted = [...blocks];
  const fits = (list: readonly Block[]) => classSeconds({ ...room, blocks: [...list] }) <= budget;
  for (let step = 0; step < MOST_STEPS && !fits(fitted); step++) {
    const next = withFewerReps(fitted) ?? withoutOne(fitted);
    if (!next) break;
    fitted = next;
  }
  fitted = inProportion(fitted);
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = withMoreReps(fitted).find(fits);
    if (!next) return fitted;
    fitted = next;
  }
  return fitted;
}

const isDrilled = (block: Block): block is DrilledBlock => 'reps' in block;

/** Fewer reps on a side are not worth having: eight a person of a move, three set-ups to each. */
function leastOf({ kind, sides, resistance }: DrilledBlock): number {
  if (kind === 'setup') return Math.ceil(LEAST_REPS / sides) * SETUPS;
  if (kind !== 'link') return 2;
  return Math.ceil(LEAST_REPS / (resistance === 'guided' ? 2 : 1) / sides);
}

function withFewerReps(blocks: readonly Block[]): Block[] | undefined {
  let most: { i: number; block: DrilledBlock } | undefined;
  for (const [i, block] of blocks.entries())
    if (isDrilled(block) && block.reps > leastOf(block) && !(most && most.block.reps >= block.reps))
      most = { i, block };
  return most && blocks.toSpliced(most.i, 1, { ...most.block, reps: most.block.reps - 1 });
}

/** What is proposed where a class is too long: the block that is missed least, and the seconds that brings. */
export function cheapestCut(
  blocks: readonly Block[],
  room: Room,
): { block: Block; seconds: number } | undefined {
  const without = withoutOne(blocks);
  const block = without && blocks.find((one) => !without.includes(one));
  return block && { block, seconds: classSeconds({ ...room, blocks: [block] }) };
}

/** What is missed least goes first: more answers to a move that is taught, then movements, then what joins; then the last. */
const CUTS: readonly ((block: Block) => boolean)[] = [
  (block) => block.kind === 'link' && block.resistance === 'guided',
  ...(['move', 'chain', 'fork', 'link', 'setup', 'game', 'rest', 'rounds'] as const).map(
    (kind) => (block: Block) => block.kind === kind,
  ),
];

/** Without the block that is missed least; the last thing to drill stays. */
function withoutOne(blocks: readonly Block[]): Block[] | undefined {
  const only = blocks.filter(isDrilled).length === 1;
  for (const isCut of CUTS) {
    const at = blocks.findLastIndex(isCut);
    if (at >= 0 && !(only && isDrilled(blocks[at]!))) return blocks.toSpliced(at, 1);
  }
  return undefined;
}

/** The fewest set-ups of a class; none to keep to where there are no set-ups. */
const fewestSetups = (blocks: readonly Block[]): number =>
  Math.min(
    ...blocks.flatMap((block) => (block.kind === 'setup' ? [block.reps] : [Number.POSITIVE_INFINITY])),
  );

/** Answers have no more reps than a third of the set-ups, and no fewer than their least. */
function inProportion(blocks: readonly Block[]): Block[] {
  const most = Math.floor(fewestSetups(blocks) / SETUPS);
  return blocks.map((block) =>
    block.kind === 'link' ? { ...block, reps: Math.max(leastOf(block), Math.min(block.reps, most)) } : block,
  );
}

/** The blocks with one rep more of something, the scantest first. */
function withMoreReps(blocks: readonly Block[]): Block[][] {
  const share = ({ kind }: DrilledBlock) =>
    kind === 'setup' ? SETUPS : kind === 'chain' ? 0.5 : kind === 'flow' ? 0.25 : 1;
  const most = fewestSetups(blocks) / SETUPS;
  return blocks
    .flatMap((block, i) =>
      isDrilled(block) && block.reps < MOST_REPS && !(block.kind === 'link' && block.reps + 1 > most)
        ? [{ i, block }]
        : [],
    )
    .sort((a, b) => a.block.reps / share(a.block) - b.block.reps / share(b.block) || a.i - b.i)
    .map(({ i, block }) => blocks.toSpliced(i, 1, { ...block, reps: block.reps + 1 }));
}
