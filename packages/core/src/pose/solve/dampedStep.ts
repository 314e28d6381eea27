import { ARM, LEG, SIDES, UNKNOWNS } from '../bodies/skeleton.ts';
import { ALL_UNKNOWNS as N } from './normalEquations.ts';

/**
 * The unknowns in the order in which they are eliminated: limb by limb of both bodies, then trunks and places. Limbs that do
 * not touch one another share nothing, so most of the factor stays empty.
 */
const { order, blocks, blockOf } = eliminationOrder();

function eliminationOrder() {
  const limbs = [0, UNKNOWNS].flatMap((body) =>
    SIDES.flatMap((side) => [
      Array.from({ length: 8 }, (_, i) => body + ARM[side].angle + i),
      Array.from({ length: 7 }, (_, i) => body + LEG[side].angle + i),
    ]),
  );
  const core = [0, UNKNOWNS].flatMap((body) => Array.from({ length: 12 }, (_, i) => body + i));
  const groups = [...limbs, core];
  const starts = groups.map((_, b) => groups.slice(0, b).reduce((sum, { length }) => sum + length, 0));
  return {
    order: Int32Array.from(groups.flat()),
    blocks: groups.map(({ length }, b) => [starts[b]!, starts[b]! + length] as const),
    blockOf: Int32Array.from(groups.flatMap((group, b) => group.map(() => b))),
  };
}

const COUNT = blocks.length;
const factor = new Float64Array(N * N);
const step = new Float64Array(N);
const found = new Float64Array(N);
/** Whether a block of the factor, row × column, holds anything. */
const full = new Uint8Array(COUNT * COUNT);

/**
 * The step −(M + damping)⁻¹·b by a Cholesky factor of the damped matrix, block by block, empty blocks left out.
 * @param matrix its lower triangle
 * @returns the step, which the next call overwrites; undefined where the matrix is not positive definite
 */
export function dampedStep(
  matrix: Float64Array,
  right: Float64Array,
  damping: number,
): Float64Array | undefined {
  load(matrix, damping);
  fill();
  for (let i = 0; i < N; i++) {
    const row = i * N;
    const rowBlock = blockOf[i]!;
    for (let c = 0; c <= rowBlock; c++) {
      if (!full[rowBlock * COUNT + c]) continue;
      const [from, to] = blocks[c]!;
      for (let j = from; j < to && j <= i; j++) {
        const other = j * N;
        let sum = factor[row + j]!;
        for (let k = 0; k < c; k++) {
          if (!full[rowBlock * COUNT + k] || !full[c * COUNT + k]) continue;
          const [start, end] = blocks[k]!;
          sum -= product(row + start, other + start, end - start);
        }
        sum -= product(row + from, other + from, j - from);
        if (i !== j) factor[row + j] = sum / factor[other + j]!;
        else if (sum <= 0) return undefined;
        else factor[row + j] = Math.sqrt(sum);
      }
    }
  }
  for (let i = 0; i < N; i++) {
    let sum = -right[order[i]!]!;
    for (let k = 0; k < i; k++) sum -= factor[i * N + k]! * found[k]!;
    found[i] = sum / factor[i * N + i]!;
  }
  for (let i = N - 1; i >= 0; i--) {
    let sum = found[i]!;
    for (let k = i + 1; k < N; k++) sum -= factor[k * N + i]! * found[k]!;
    found[i] = sum / factor[i * N + i]!;
    step[order[i]!] = found[i]!;
  }
  return step;
}

/** The damped matrix in the order of elimination, and which of its blocks hold anything. */
function load(matrix: Float64Array, damping: number): void {
  full.fill(0);
  for (let i = 0; i < N; i++) {
    const a = order[i]!;
    for (let j = 0; j <= i; j++) {
      const b = order[j]!;
      const value = a >= b ? matrix[a * N + b]! : matrix[b * N + a]!;
      factor[i * N + j] = value;
      if (value !== 0) full[blockOf[i]! * COUNT + blockOf[j]!] = 1;
    }
    factor[i * N + i] = factor[i * N + i]! * (1 + damping) + 2 * damping + 1e-6;
    full[blockOf[i]! * COUNT + blockOf[i]!] = 1;
  }
}

/** The blocks that elimination fills: two that are tied to the same one are tied to one another from then on. */
function fill(): void {
  for (let k = 0; k < COUNT; k++)
    for (let i = k + 1; i < COUNT; i++) {
      if (!full[i * COUNT + k]) continue;
      for (let j = k + 1; j <= i; j++) if (full[j * COUNT + k]) full[i * COUNT + j] = 1;
    }
}

/** The inner product of two stretches of the factor, in four sums that do not wait for one another. */
function product(x: number, y: number, count: number): number {
  let a = 0;
  let b = 0;
  let c = 0;
  let d = 0;
  let k = 0;
  for (; k + 3 < count; k += 4) {
    a += factor[x + k]! * factor[y + k]!;
    b += factor[x + k + 1]! * factor[y + k + 1]!;
    c += factor[x + k + 2]! * factor[y + k + 2]!;
    d += factor[x + k + 3]! * factor[y + k + 3]!;
  }
  for (; k < count; k++) a += factor[x + k]! * factor[y + k]!;
  return a + b + (c + d);
}
