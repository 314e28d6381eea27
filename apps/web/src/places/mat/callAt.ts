import { type Block, forkCalls, type Segment } from '@aftersquall/core';

/** What the partner gives now, in a fork drill. */
export interface Call {
  /** Which of the calls of this stretch, from 0. */
  number: number;
  meets: string;
  /** What answers it: for the coach, in small. */
  move: string;
}

/** The call of a moment of a stretch of work; nothing in other blocks. @param into seconds into the stretch */
export function callAt(block: Block, segment: Segment, into: number): Call | undefined {
  if (block.kind !== 'fork' || segment.kind !== 'work') return undefined;
  const number = Math.floor(Math.max(0, into) / block.secondsPerRep);
  // Every turn and side has calls of its own.
  const stretch = segment.turn + (segment.side === 'other' ? 10 : 0);
  const places = forkCalls({ ...block, seed: block.seed + stretch }, number + 1);
  const link = block.links[places[number]!];
  return link && { number, meets: link.meets || 'Nothing: be late', move: link.move };
}
