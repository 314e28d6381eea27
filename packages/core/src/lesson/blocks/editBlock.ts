import {
  type Block,
  blockShape,
  type DrilledBlock,
  isDrilled,
  isPlayed,
} from '../../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../../model/classPlan.ts';
import { freshId } from '../../model/freshId.ts';
import { largestGroup } from './blockTime.ts';
import { withReps } from './ladder.ts';

type Room = Pick<ClassPlan, 'people' | 'changeOverSeconds'>;

/** What has only a length is set in steps of so many seconds. */
const STEP = 15;

/** A block made as long as it comes nearest to some seconds: by its reps, its rounds or its length; never less than one. */
export function resizeBlock(block: Block, seconds: number, { people, changeOverSeconds }: Room): Block {
  const { demo, turns, sides } = blockShape(block);
  if (!turns) return { ...block, seconds: Math.max(STEP, Math.round(seconds / STEP) * STEP) } as Block;
  const shifts = largestGroup(people) * sides;
  const work = Math.max(0, seconds - demo - (shifts - 1) * changeOverSeconds) / shifts;
  if (isDrilled(block))
    return withReps(block, Math.min(500, Math.max(1, Math.round(work / block.secondsPerRep))));
  if (isPlayed(block))
    return { ...block, rounds: Math.min(60, Math.max(1, Math.round(work / block.secondsPerRound))) };
  return block;
}

/** Whether there is enough of a block to make two of it. */
export const canSplit = (block: Block): boolean =>
  isDrilled(block)
    ? block.reps > 1
    : isPlayed(block)
      ? block.rounds > 1
      : 'seconds' in block && block.seconds >= 2 * STEP;

/** A block in two, one after the other, with as much to do as before; the second is not shown again. */
export function splitBlock(block: Block, taken: readonly string[]): [Block, Block] {
  const id = freshId(block.id, taken);
  if (isDrilled(block)) {
    const reps = Math.ceil(block.reps / 2);
    return [withReps(block, reps), { ...withReps(block, block.reps - reps), id, demoSeconds: 0 }];
  }
  if (isPlayed(block)) {
    const rounds = Math.ceil(block.rounds / 2);
    return [
      { ...block, rounds },
      { ...block, id, rounds: block.rounds - rounds, demoSeconds: 0 },
    ];
  }
  const seconds = Math.ceil(block.seconds / 2 / STEP) * STEP;
  return [
    { ...block, seconds },
    { ...block, id, seconds: Math.max(STEP, block.seconds - seconds) },
  ];
}

/** The same block once more. */
export const duplicateBlock = (block: Block, taken: readonly string[]): Block => ({
  ...block,
  id: freshId(block.id, taken),
});

/** The block begun on the other side; done twice it is what it was. */
export const turnBlock = (block: DrilledBlock): DrilledBlock => ({
  ...block,
  links: block.links.map(({ mirrored, ...link }) => (mirrored ? link : { ...link, mirrored: true })),
});
