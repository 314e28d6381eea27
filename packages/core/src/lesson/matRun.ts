import { type Block, blockShape } from '../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../model/classPlan.ts';
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
}

/**
 * A class as the clock runs it: every block shown, then a stretch of work for each turn and side, with
 * change-overs between. The seconds add up to the class's. All turns on one side come before the other side.
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
