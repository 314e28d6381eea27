/** Milliseconds of one call, the best of some rounds after one to warm up. */
export function timed(work: () => unknown, rounds: number): number {
  work();
  let best = Number.POSITIVE_INFINITY;
  for (let round = 0; round < rounds; round++) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

/** The middle one of some numbers. */
export function median(numbers: readonly number[]): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
