import { type Pair } from '../bodies/pair.ts';
import { UNKNOWNS } from '../bodies/skeleton.ts';
import { dampedStep } from './dampedStep.ts';
import { ALL_UNKNOWNS, NormalEquations } from './normalEquations.ts';

/** The longest step, radians or metres of any one unknown. */
const LONGEST = 0.35;
/** So many steps in a row that gain next to nothing are the end. */
const STALLED = 3;
const NEXT_TO_NOTHING = 1e-4;

/** Sums up the residuals of a pose. */
export type Energy = (equations: NormalEquations) => void;

/** A minimiser of one pair: two sets of normal equations take turns, so that every pose is looked at once. */
export function createMinimiser(bodies: Pair, energy: Energy) {
  let now = new NormalEquations(bodies);
  let next = new NormalEquations(bodies);
  const look = (equations: NormalEquations) => {
    equations.clear();
    energy(equations);
  };

  /**
   * Levenberg and Marquardt's method from where the bodies are; they are left at the best pose that was found.
   * @returns its energy
   */
  function minimise(iterations: number, startDamping: number): number {
    let damping = startDamping;
    look(now);
    let stalled = 0;
    for (let i = 0; i < iterations && damping < 1e5; i++) {
      const move = dampedStep(now.matrix, now.right, damping);
      if (!move) {
        damping *= 10;
        continue;
      }
      let longest = 0;
      for (let k = 0; k < ALL_UNKNOWNS; k++) longest = Math.max(longest, Math.abs(move[k]!));
      const part = longest > LONGEST ? LONGEST / longest : 1;
      const before = bodies.map((body) => body.save());
      for (const [who, body] of bodies.entries()) body.move(move, who * UNKNOWNS, part);
      look(next);
      if (next.energy < now.energy) {
        const gain = (now.energy - next.energy) / now.energy;
        damping = Math.max(damping * 0.4, 1e-5);
        [now, next] = [next, now];
        stalled = gain < NEXT_TO_NOTHING ? stalled + 1 : 0;
        if (stalled > STALLED) break;
      } else {
        for (const [who, body] of bodies.entries()) body.load(before[who]!);
        damping *= 4;
      }
    }
    return now.energy;
  }
  return { minimise };
}
