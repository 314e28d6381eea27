import { type Block, blockShape, isPlayed, type PlayedBlock } from '../../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../../model/classPlan.ts';
import { blockTime } from './blockTime.ts';

/** One stretch of the clock. */
export interface Segment {
  block: number;
  /** `together`: all at once, without turns. */
  kind: 'demo' | 'work' | 'together' | 'change' | 'rest';
  seconds: number;
  /** Which turn of the group this is, from 1; 0 outside work. */
  turn: number;
  turns: number;
  side: 'first' | 'other';
  /** Of what is played: which bout this is, from 1, and how many each partner has. */
  bout?: { number: number; of: number };
}

/**
 * A class as the clock runs it: every block shown, then a stretch of work for each turn and side, with
 * change-overs between. The seconds add up to the class's. All turns on one side come before the other side. What is
 * played alternates bout by bout; a movement of two is halved, so that both do it.
 */
export function matRun(plan: Pick<ClassPlan, 'people' | 'changeOverSeconds' | 'blocks'>): Segment[] {
  return plan.blocks.flatMap((block, i) => segmentsOf(block, i, plan));
}

function segmentsOf(
  block: Block,
  number: number,
  plan: Pick<ClassPlan, 'people' | 'changeOverSeconds'>,
): Segment[] {
  const { turns } = blockTime(block, plan);
  const shape = blockShape(block);
  const idle = { block: number, turn: 0, turns, side: 'first' as const };
  const segments: Segment[] = [];
  if (shape.demo > 0) segments.push({ ...idle, kind: 'demo', seconds: shape.demo });
  if (isPlayed(block)) return playedSegments(block, number, plan);
  if (block.kind === 'move' && block.form === 'pair' && plan.people > 1) {
    const half = shape.work / 2;
    const together = { ...idle, kind: 'together' as const, seconds: half, turns: 2 };
    return [...segments, { ...together, turn: 1 }, { ...together, turn: 2 }];
  }
  if (!shape.turns) {
    segments.push({ ...idle, kind: block.kind === 'rest' ? 'rest' : 'together', seconds: shape.work });
    return segments;
  }
  for (let side = 1; side <= shape.sides; side++) {
    for (let turn = 1; turn <= turns; turn++) {
      const place = {
        block: number,
        turn,
        turns,
        side: side === 1 ? ('first' as const) : ('other' as const),
      };
      if (turn + side > 2 && plan.changeOverSeconds > 0)
        segments.push({ ...place, kind: 'change', seconds: plan.changeOverSeconds });
      segments.push({ ...place, kind: 'work', seconds: shape.work });
    }
  }
  return segments;
}

/**
 * Rounds in turns: A, B, A, B. The pauses that the block has are shared out: each change gets a change-over, as far as
 * there is time for it, and what is left comes first, to say what wins.
 */
function playedSegments(
  block: PlayedBlock,
  number: number,
  plan: Pick<ClassPlan, 'people' | 'changeOverSeconds'>,
): Segment[] {
  const { turns, demo, changeOvers } = blockTime(block, plan);
  const { rounds, secondsPerRound } = block;
  const changes = rounds * turns - 1;
  const pauses = demo + changeOvers;
  const change = Math.min(plan.changeOverSeconds, Math.floor(pauses / (changes + 1)));
  const shared = { block: number, turns, side: 'first' as const };
  const first = pauses - changes * change;
  const segments: Segment[] = first > 0 ? [{ ...shared, kind: 'demo', turn: 0, seconds: first }] : [];
  for (let bout = 1; bout <= rounds; bout++) {
    for (let turn = 1; turn <= turns; turn++) {
      const place = { ...shared, turn, bout: { number: bout, of: rounds } };
      if (bout + turn > 2 && change > 0) segments.push({ ...place, kind: 'change', seconds: change });
      segments.push({ ...place, kind: 'work', seconds: secondsPerRound });
    }
  }
  return segments;
}

/** Where the clock stands `elapsed` seconds into the run; undefined once it is over. */
export function segmentAt(
  segments: readonly Segment[],
  elapsed: number,
): { index: number; left: number } | undefined {
  let end = 0;
  for (const [index, segment] of segments.entries()) {
    end += segment.seconds;
    if (elapsed < end) return { index, left: end - elapsed };
  }
  return undefined;
}

/** The second at which a segment begins. */
export function segmentStart(segments: readonly Segment[], index: number): number {
  return segments.slice(0, index).reduce((sum, segment) => sum + segment.seconds, 0);
}
