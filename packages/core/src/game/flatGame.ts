import type { StochasticGame } from './stochasticGame.ts';

/** A stochastic game laid out in a row, so that a sweep over it makes nothing new. Look l has the cells from `cell[l]`. */
export interface FlatGame {
  size: number;
  /** −∞ where a state has no rest. */
  rest: Float64Array;
  /** State s has the looks from `look[s]` to `look[s + 1]`. */
  look: Int32Array;
  rows: Int32Array;
  columns: Int32Array;
  seen: Uint8Array;
  /** Trust in the known mix of a look, and where that begins in `known`. */
  trust: Float64Array;
  knownAt: Int32Array;
  known: Float64Array;
  cell: Int32Array;
  payoff: Float64Array;
  /** A cell leads to the targets from `next[c]` to `next[c + 1]`, each with probability × discount. */
  next: Int32Array;
  target: Int32Array;
  weight: Float64Array;
  /** The most rows, columns and cells of a look. */
  most: { rows: number; columns: number; cells: number };
}

/**
 * Lays a game out flat.
 * @throws RangeError where the discount is not in (0, 1), a state has neither a look nor a rest, a look is ragged, or
 * probabilities are none.
 */
export function flatGame({ discount, states }: StochasticGame): FlatGame {
  if (!(discount > 0 && discount < 1)) throw new RangeError('the discount has to lie between 0 and 1');
  let [looks, cells, arrows, columns] = [0, 0, 0, 0];
  for (const [s, state] of states.entries()) {
    if (state.looks.length === 0 && state.rest === undefined)
      throw new RangeError(`state ${s} has neither a look nor a rest`);
    looks += state.looks.length;
    for (const { payoff, next, against } of state.looks) {
      const width = payoff[0]?.length ?? 0;
      if (width === 0) throw new RangeError(`a look of state ${s} has no cell`);
      columns += width;
      cells += payoff.length * width;
      if (against && against.column.length !== width)
        throw new RangeError(`the known mix of a look of state ${s} needs ${width} shares`);
      for (const [i, line] of payoff.entries()) {
        if (line.length !== width || next[i]?.length !== width)
          throw new RangeError(`a look of state ${s} is ragged`);
        for (let j = 0; j < width; j++) arrows += next[i]![j]!.length;
      }
    }
  }
  const flat: FlatGame = {
    size: states.length,
    rest: new Float64Array(states.length),
    look: new Int32Array(states.length + 1),
    rows: new Int32Array(looks),
    columns: new Int32Array(looks),
    seen: new Uint8Array(looks),
    trust: new Float64Array(looks),
    knownAt: new Int32Array(looks),
    known: new Float64Array(columns),
    cell: new Int32Array(looks + 1),
    payoff: new Float64Array(cells),
    next: new Int32Array(cells + 1),
    target: new Int32Array(arrows),
    weight: new Float64Array(arrows),
    most: { rows: 1, columns: 1, cells: 1 },
  };
  let [l, c, k, q] = [0, 0, 0, 0];
  for (const [s, state] of states.entries()) {
    flat.rest[s] = state.rest ?? Number.NEGATIVE_INFINITY;
    for (const { timing, payoff, next, against } of state.looks) {
      const [m, n] = [payoff.length, payoff[0]!.length];
      flat.rows[l] = m;
      flat.columns[l] = n;
      flat.seen[l] = timing === 'seen' ? 1 : 0;
      flat.trust[l] = against?.trust ?? 0;
      flat.knownAt[l] = q;
      if (against) flat.known.set(against.column, q);
      q += n;
      flat.most.rows = Math.max(flat.most.rows, m);
      flat.most.columns = Math.max(flat.most.columns, n);
      flat.most.cells = Math.max(flat.most.cells, m * n);
      for (let i = 0; i < m; i++) {
        for (let j = 0; j < n; j++) {
          flat.payoff[c] = payoff[i]![j]!;
          let sum = 0;
          const arrows = next[i]![j]!;
          for (let at = 0; at < arrows.length; at++) {
            const arrow = arrows[at]!;
            if (!(arrow[1] >= 0) || !(arrow[0] < states.length))
              throw new RangeError(`a cell of state ${s} leads nowhere`);
            sum += arrow[1];
            flat.target[k] = arrow[0];
            flat.weight[k] = discount * arrow[1];
            k++;
          }
          if (sum > 1 + 1e-9)
            throw new RangeError(`probabilities of a cell of state ${s} sum to more than 1`);
          c++;
          flat.next[c] = k;
        }
      }
      l++;
      flat.cell[l] = c;
    }
    flat.look[s + 1] = l;
  }
  return flat;
}
