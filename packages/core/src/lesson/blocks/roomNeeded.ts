import type { Block } from '../../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../../model/classPlan.ts';
import { blockTime, classSeconds } from './blockTime.ts';

/** What one more block takes of a class. */
export interface RoomNeeded {
  /** Seconds that it takes. */
  seconds: number;
  /** Seconds of them that the class does not have. */
  short: number;
  /** Minutes that the class would have to last, to the next five. */
  minutes: number;
  /** The block that makes room with the least lost, where one by itself does. */
  instead: Block | undefined;
}

/** A second game, the fork, what comes back: a class stays whole without one. Falls and water never make room. */
const SPARED = new Set<Block['kind']>(['game', 'fork', 'flow']);
const FIVE_MINUTES = 300;

/** How much room a block needs in a class, and what would make it. */
export function roomNeeded(
  plan: Pick<ClassPlan, 'blocks' | 'minutes' | 'people' | 'changeOverSeconds'>,
  block: Block,
): RoomNeeded {
  const total = classSeconds(plan);
  const seconds = blockTime(block, plan).total;
  const short = Math.max(0, total + seconds - plan.minutes * 60);
  const minutes = Math.max(plan.minutes, (Math.ceil((total + seconds) / FIVE_MINUTES) * FIVE_MINUTES) / 60);
  const firstGame = plan.blocks.find(({ kind }) => kind === 'game');
  const enough = plan.blocks
    .filter((one) => SPARED.has(one.kind) && one !== firstGame)
    .map((one) => ({ one, takes: blockTime(one, plan).total }))
    .filter(({ takes }) => takes >= short)
    .sort((a, b) => a.takes - b.takes);
  return { seconds, short, minutes, instead: short > 0 ? enough[0]?.one : undefined };
}
