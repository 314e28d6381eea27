import { type Block, blockShape } from '../../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../../model/classPlan.ts';

export interface BlockTime {
  /** How many take a turn as bottom in the largest group. */
  turns: number;
  /** Seconds shown, worked, changed over, and all together. */
  demo: number;
  work: number;
  changeOvers: number;
  total: number;
}

/** Pairs; of three people each takes a turn. In a larger odd number one pair has a third who shares its turns: the others do not wait. */
export function largestGroup(people: number): number {
  if (people < 2) return 1;
  return people === 3 ? 3 : 2;
}

type Room = Pick<ClassPlan, 'people' | 'changeOverSeconds'>;

/** Time of one block: largest group × sides × seconds of a shift, the change-overs between, and the demonstration. */
export function blockTime(block: Block, { people, changeOverSeconds }: Room): BlockTime {
  const { demo, work: shift, turns: taken, sides } = blockShape(block);
  const turns = taken ? largestGroup(people) : 0;
  const shifts = taken ? turns * sides : 1;
  const work = shifts * shift;
  const changeOvers = (shifts - 1) * changeOverSeconds;
  return { turns, demo, work, changeOvers, total: demo + work + changeOvers };
}

/** Seconds that a third person costs: each of the three takes a turn. */
export function trioSeconds(plan: Room & Pick<ClassPlan, 'blocks'>): number {
  if (largestGroup(plan.people) !== 3) return 0;
  return classSeconds(plan) - classSeconds({ ...plan, people: plan.people - 1 });
}

/** Seconds of a whole class. */
export function classSeconds(plan: Room & Pick<ClassPlan, 'blocks'>): number {
  return plan.blocks.reduce((sum, block) => sum + blockTime(block, plan).total, 0);
}

/** Every block with when it begins and how long it takes, seconds from the beginning of the class. */
export function timetable(
  plan: Room & Pick<ClassPlan, 'blocks'>,
): { block: Block; start: number; total: number }[] {
  let at = 0;
  return plan.blocks.map((block) => {
    const { total } = blockTime(block, plan);
    const start = at;
    at += total;
    return { block, start, total };
  });
}
