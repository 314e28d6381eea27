import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { readDemo } from '../demo/readDemo.ts';
import type { PairState } from '../packages/core/src/pose/bodies/pair.ts';
import { AVERAGE_BUILD, UNKNOWNS } from '../packages/core/src/pose/bodies/skeleton.ts';
import { poseStart, solvePose } from '../packages/core/src/pose/draw/poseRecord.ts';
import { createMinimiser } from '../packages/core/src/pose/solve/levenbergMarquardt.ts';
import {
  ALL_UNKNOWNS,
  type Lever,
  NormalEquations,
} from '../packages/core/src/pose/solve/normalEquations.ts';
import { poseProblem } from '../packages/core/src/pose/solve/poseProblem.ts';
import { median, timed } from './timed.ts';

/** Lists residuals instead of summing up their squares: what a general-purpose package takes. */
class ResidualList extends NormalEquations {
  values: number[] = [];

  override clear() {
    this.values = [];
  }
  override add(value: number, sigma: number, _levers: readonly Lever[], robust = 0) {
    const r = value / sigma;
    const size = robust > 0 ? robust * Math.sqrt(Math.log(1 + (r / robust) ** 2)) : Math.abs(r);
    this.values.push(Math.sign(r) * size);
  }
  override addAngle(_who: number, _unknown: number, value: number, sigma: number) {
    this.values.push(value / sigma);
  }
}

const AVERAGE = [AVERAGE_BUILD, AVERAGE_BUILD] as const;
const ITERATIONS = 30;
/** More residuals than any pose has: those that are not there are nothing. */
const ROOM = 1500;

/** Back to a pose from one that is a little off, without flesh, by our own minimiser and by a general-purpose one. */
function compare(position: ReturnType<typeof readDemo>['positions'][number]) {
  const problem = poseProblem(position, AVERAGE);
  const { bodies, energy } = problem;
  const [bottom, top] = poseStart(solvePose(position, { kicks: 0 }));
  const off = ({ place, turn, angles }: PairState[number]) => ({
    place: [place[0] + 0.04, place[1] - 0.03, place[2] + 0.05] as typeof place,
    turn,
    angles: angles.map((angle, i) => angle + 0.12 * Math.sin(i + 1)),
  });
  const start: PairState = [off(bottom), off(top)];
  const begin = () => {
    for (const [who, body] of bodies.entries()) body.load(start[who]!);
  };

  const { minimise } = createMinimiser(bodies, energy);
  let ours = 0;
  const ourTime = timed(() => {
    begin();
    ours = minimise(ITERATIONS, 1e-2);
  }, 1);

  const list = new ResidualList(bodies);
  const residuals = (move: ArrayLike<number>): number[] => {
    begin();
    for (const [who, body] of bodies.entries()) body.move(Float64Array.from(move), who * UNKNOWNS, 1);
    list.clear();
    energy(list);
    return list.values;
  };
  let theirs = 0;
  const theirTime = timed(() => {
    const { parameterValues } = levenbergMarquardt(
      { x: Array.from({ length: ROOM }, (_, i) => i), y: new Array<number>(ROOM).fill(0) },
      (move: number[]) => {
        const values = residuals(move);
        return (i: number) => values[i] ?? 0;
      },
      {
        initialValues: new Array<number>(ALL_UNKNOWNS).fill(0),
        damping: 1e-2,
        gradientDifference: 1e-5,
        maxIterations: ITERATIONS,
        errorTolerance: 1e-9,
      },
    );
    theirs = residuals(parameterValues).reduce((sum, r) => sum + r * r, 0);
  }, 1);
  return { ours, theirs, ourTime, theirTime };
}

const some = readDemo().positions.filter((_, i) => i % 20 === 0);
const runs = some.map(compare);
console.log('\nLeast squares of a pose, ours beside a general-purpose package on the same residuals');
for (const [i, { ours, theirs, ourTime, theirTime }] of runs.entries())
  console.log(
    `  ${some[i]!.id}: down to ${ours.toFixed(1)} in ${ourTime.toFixed(0)} ms; to ${theirs.toFixed(1)} in ${theirTime.toFixed(0)} ms`,
  );
console.log(
  `  the general one takes ${median(runs.map(({ ourTime, theirTime }) => theirTime / ourTime)).toFixed(0)} times as long`,
);
