import loadHighs from 'highs';
import { coverArcs, coverBound } from '../packages/core/dist/lesson/index.js';
import { coverLp } from '../packages/core/src/test/coverLp.ts';
import { randomCover } from '../packages/core/src/test/randomCover.ts';
import { median, timed } from './timed.ts';

interface Solver {
  solve(lp: string): { ObjectiveValue: number };
}
const highs = await (loadHighs as unknown as () => Promise<Solver>)();

console.log('\nChain cover: the flow bound against the same linear program in highs');
for (const [exchanges, positions] of [
  [100, 25],
  [300, 70],
  [1000, 220],
] as const) {
  const seeds = Array.from({ length: 7 }, (_, i) => i + 1);
  const inputs = seeds.map((seed) => randomCover(seed, { positions, arcs: exchanges, chosen: 0.5 }));
  const texts = inputs.map(coverLp);
  // One round each to warm up, then the median of the rounds.
  const ours = median(inputs.map((input) => timed(() => coverBound(input), 5)));
  const theirs = median(texts.map((text) => timed(() => highs.solve(text), 2)));
  for (const [i, input] of inputs.entries()) {
    const difference = Math.abs(coverBound(input) - highs.solve(texts[i]!).ObjectiveValue);
    if (difference > 1e-6) throw new Error(`the bounds differ by ${difference} for seed ${i + 1}`);
  }
  console.log(
    `  ${exchanges} exchanges: ${ours.toFixed(2)} ms against ${theirs.toFixed(2)} ms, ${(theirs / ours).toFixed(1)} times faster`,
  );
}

console.log('\nChain cover: how often the optimum is proved (2,000 nodes at most), and in what time');
for (const [exchanges, positions] of [
  [100, 25],
  [300, 70],
  [1000, 220],
] as const) {
  for (const chosen of [0.1, 0.5, 1]) {
    const covers = Array.from({ length: 20 }, (_, i) => {
      const input = randomCover(i + 1, { positions, arcs: exchanges, chosen });
      const start = performance.now();
      const cover = coverArcs(input);
      return { ...cover, ms: performance.now() - start };
    });
    const proved = covers.filter((cover) => cover.proved).length;
    const worst = Math.max(...covers.map(({ ms }) => ms));
    console.log(
      `  ${exchanges} exchanges, ${chosen * 100} % chosen: ${proved} of 20 proved, median ${median(covers.map(({ ms }) => ms)).toFixed(1)} ms, slowest ${worst.toFixed(1)} ms`,
    );
  }
}
