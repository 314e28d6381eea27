import type { Block, ClassPlan } from '../model/classPlan.ts';

export interface BlockTime {
  /** How many take a turn as bottom in the largest group. */
  turns: number;
  /** Seconds shown, worked, changed over, and all together. */
  demo: number;
  work: number;
  changeOvers: number;
  total: number;
}

/** Pairs, and a trio when the number is odd; a person alone works alone. */
export function largestGroup(people: number): number {
  if (people < 2) return 1;
  return people % 2 === 0 ? 2 : 3;
}

type Room = Pick<ClassPlan, 'people' | 'changeOverSeconds'>;

/** Time of one block: largest group × sides × reps × seconds per rep, the change-overs between, and the demonstration. */
export function blockTime(block: Block, { people, changeOverSeconds }: Room): BlockTime {
  if (block.kind === 'rest')
    return { turns: 0, demo: 0, work: block.seconds, changeOvers: 0, total: block.seconds };
  const turns = largestGroup(people);
  const shifts = turns * block.sides;
  const work = shifts * block.reps * block.secondsPerRep;
  const changeOvers = (shifts - 1) * changeOverSeconds;
  return { turns, demo: block.demoSeconds, work, changeOvers, total: block.demoSeconds + work + changeOvers };
}

/** Seconds that an odd number of people costs: in the trio three take a turn, and everybody waits for them. */
export function trioSeconds(plan: Room & Pick<ClassPlan, 'blocks'>): number {
  if (largestGroup(plan.people) !== 3) return 0;
  return classSeconds(plan) - classSeconds({ ...plan, people: plan.people - 1 });
}

/** Seconds of a whole class. */
export function classSeconds(plan: Room & Pick<ClassPlan, 'blocks'>): number {
  return plan.blocks.reduce((sum, block) => sum + blockTime(block, plan).total, 0);
}
