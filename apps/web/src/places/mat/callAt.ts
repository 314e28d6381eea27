import { forkCalls, type Segment } from '@aftersquall/core/lesson';
import { type Block, isDrilled } from '@aftersquall/core/model';

/** What the partner gives now, in a fork drill. */
export interface Call {
  /** Which of the calls of this stretch, from 0. */
  number: number;
  meets: string;
  /** The answer that is called for. */
  exchange: string;
  /** What answers it: for the coach, in small. */
  move: string;
  /** What the coach shows the partner behind the other's back: a fist (0) for the first answer, fingers for the others. */
  fingers: number;
}

/**
 * Which rep the clock is at in a stretch of work, from 1; undefined where reps are not the unit. In a stretch that was
 * given more time it goes on past those that were planned. @param into seconds into the stretch
 */
export function repAt(block: Block, segment: Segment, into: number): number | undefined {
  if (!isDrilled(block) || segment.kind !== 'work') return undefined;
  return Math.floor(Math.max(0, into) / block.secondsPerRep) + 1;
}

/** The call of a moment of a stretch of work; nothing in other blocks. @param into seconds into the stretch */
export function callAt(block: Block, segment: Segment, into: number): Call | undefined {
  if (block.kind !== 'fork' || segment.kind !== 'work') return undefined;
  const number = repAt(block, segment, into)! - 1;
  // Every turn and side has calls of its own.
  const stretch = segment.turn + (segment.side === 'other' ? 10 : 0);
  const places = forkCalls({ ...block, seed: block.seed + stretch }, number + 1);
  const place = places[number]!;
  const link = block.links[place];
  if (!link) return undefined;
  const { meets, exchange, move } = link;
  return { number, meets: meets || 'Do nothing', exchange, move, fingers: place };
}
