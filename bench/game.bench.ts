import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { solve } from 'yalps';
import { parseMapFile } from '../packages/core/dist/formats/index.js';
import {
  type StochasticGame,
  solveMatrixGame,
  solveStochasticGame,
} from '../packages/core/dist/game/index.js';
import {
  CLUB_SOFTNESS,
  choosePlan,
  describeWeighing,
  findHoles,
  playMap,
  solveForTrusts,
  solveMap,
} from '../packages/core/dist/weigh/index.js';
import { seeded } from '../packages/core/src/game/seeded.ts';
import { bigMap } from '../packages/core/src/test/bigMap.ts';
import { timed } from './timed.ts';

interface Solver {
  solve(lp: string): { ObjectiveValue: number };
}
const highs = await (loadHighs as unknown as () => Promise<Solver>)();
const random = seeded(3);

/** The value by a general LP package: max Σq with Bq ≤ 1 over payoffs shifted to be at least 1. */
const byYalps = (payoff: readonly (readonly number[])[]): number => {
  const least = Math.min(...payoff.flat());
  const { result } = solve({
    direction: 'maximize',
    objective: 'sum',
    constraints: new Map(payoff.map((_, i) => [`r${i}`, { max: 1 }])),
    variables: new Map(
      payoff[0]!.map((_, j) => [
        `q${j}`,
        new Map([
          ['sum', 1],
          ...payoff.map((line, i) => [`r${i}`, line[j]! - least + 1] as [string, number]),
        ]),
      ]),
    ),
  });
  return 1 / result + least - 1;
};

console.log(
  '\nMatrix games: 3,000 random ones of 6 × 6, against the same linear programs in general packages',
);
const games = Array.from({ length: 3000 }, () =>
  Array.from({ length: 6 }, () => Array.from({ length: 6 }, () => random() * 2 - 1)),
);
const lpOf = (payoff: number[][]): string => {
  const bounds = payoff[0]!.map(
    (_, j) =>
      ` c${j}: ${payoff.map((line, i) => `${line[j]! < 0 ? '-' : '+'} ${Math.abs(line[j]!)} x${i}`).join(' ')} - v >= 0`,
  );
  return `Maximize\n obj: v\nSubject To\n${bounds.join('\n')}\n s: ${payoff.map((_, i) => `x${i}`).join(' + ')} = 1\nBounds\n v free\nEnd`;
};
const some = games.slice(0, 150);
const texts = some.map(lpOf);
for (const [i, text] of texts.entries()) {
  const difference = Math.abs(highs.solve(text).ObjectiveValue - solveMatrixGame(some[i]!).value);
  if (difference > 1e-6) throw new Error(`the values differ by ${difference}`);
}
for (const payoff of games) {
  const difference = Math.abs(byYalps(payoff) - solveMatrixGame(payoff).value);
  if (difference > 1e-6) throw new Error(`the values differ by ${difference}`);
}
const ours = timed(() => games.map(solveMatrixGame), 5) / games.length;
const highsTakes = timed(() => texts.map((text) => highs.solve(text)), 2) / texts.length;
const yalpsTakes = timed(() => games.map(byYalps), 3) / games.length;
console.log(
  `  ${(ours * 1000).toFixed(1)} µs a game, ${(yalpsTakes / ours).toFixed(1)} times faster than yalps (aim: 10), ${(highsTakes / ours).toFixed(0)} times faster than highs`,
);

const game = (size: number): StochasticGame => ({
  discount: 0.92,
  states: Array.from({ length: size }, () => ({
    rest: -1,
    looks: Array.from({ length: 3 }, () => ({
      payoff: Array.from({ length: 2 }, () => Array.from({ length: 4 }, () => random() * 4 - 2)),
      next: Array.from({ length: 2 }, () =>
        Array.from({ length: 4 }, () =>
          Array.from({ length: 3 }, () => [Math.floor(random() * size), random() / 3] as const),
        ),
      ),
    })),
  })),
});
/** A general package gets no closer than 1e-8, so both sides are compared at this residual. */
const AS_CLOSE = 1e-6;
/** Value iteration with any solver of matrix games. */
const iterate = (of: StochasticGame, stageValue: (payoff: number[][]) => number): number => {
  let value = of.states.map(() => 0);
  for (let sweeps = 1; ; sweeps++) {
    const next = of.states.map(({ rest = 0, looks }) =>
      Math.max(
        rest,
        ...looks.map(({ payoff, next: to }) =>
          stageValue(
            payoff.map((line, m) =>
              line.map(
                (a, r) => a + of.discount * to[m]![r]!.reduce((sum, [s, p]) => sum + p * value[s]!, 0),
              ),
            ),
          ),
        ),
      ),
    );
    const residual = Math.max(...next.map((x, s) => Math.abs(x - value[s]!)));
    value = next;
    if (residual <= AS_CLOSE) return sweeps;
  }
};
console.log('\nStochastic games with 3 looks of 2 × 4 and 3 successors a cell, against value iteration');
for (const [size, aim] of [
  [200, 10],
  [2000, 75],
  [20_000, 350],
] as const) {
  const input = game(size);
  const newton = timed(() => solveStochasticGame(input), size > 5000 ? 3 : size > 500 ? 6 : 40);
  const alike = timed(() => solveStochasticGame(input, { tolerance: AS_CLOSE }), size > 500 ? 1 : 40);
  const { iterations } = solveStochasticGame(input);
  const plain = (stageValue: (payoff: number[][]) => number) =>
    size > 500 ? undefined : (timed(() => iterate(input, stageValue), 3) / alike).toFixed(0);
  const [own, general] = [plain((payoff) => solveMatrixGame(payoff).value), plain(byYalps)];
  console.log(
    `  ${size} positions: ${newton.toFixed(0)} ms (aim: ${aim}), ${iterations} stages${own === undefined ? '' : `, ${own} times faster than over our own stages, ${general} times than over yalps (aim: 40)`}`,
  );
}

const map = parseMapFile(readFileSync(new URL('../testing/club/kelpwick.map.json', import.meta.url), 'utf8'));
const solved = solveMap(map);
const cold = timed(() => solveMap(map), 5);
const warm = timed(() => solveMap(map, { submissionWorth: 8.2 }, solved.values), 5);
console.log(
  `\nThe demo map: ${cold.toFixed(1)} ms from nothing, a what-if from a warm start ${warm.toFixed(1)} ms (aim: 16); ${findHoles(solved).length} holes weighed in ${timed(() => findHoles(solved), 5).toFixed(2)} ms`,
);

const large = bigMap({ positions: 2000, reactions: 12 });
const largest = solveMap(large);
const options = { level: CLUB_SOFTNESS };
const whole = timed(() => solveForTrusts(large), 3);
const human = timed(() => playMap(largest, CLUB_SOFTNESS), 3);
console.log(
  `\nOrdinary play on 2,000 positions: ${human.toFixed(0)} ms, ${((human / whole) * 100).toFixed(0)} % of the ${whole.toFixed(0)} ms of solving them (aim: 25 %)`,
);
const again = timed(() => {
  const found = solveForTrusts(map, { ...options, submissionWorth: 8.2 }, solved.values);
  describeWeighing(map, found, choosePlan(found));
}, 20);
console.log(`A what-if at club level with all that is shown of it: ${again.toFixed(1)} ms (aim: 16)`);
