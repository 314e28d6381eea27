import type { Pair, Who } from '../bodies/pair.ts';
import { UNKNOWNS } from '../bodies/skeleton.ts';
import { scale, type Vec3 } from '../bodies/vec3.ts';

/** Unknowns of both bodies. */
export const ALL_UNKNOWNS = 2 * UNKNOWNS;

/** How a residual moves with a point, or a direction, of a body: its gradient there. */
export interface Lever {
  who: Who;
  frame: number;
  at: Vec3;
  gradient: Vec3;
  /** `at` is a direction that turns with the frame, no point. */
  turns?: boolean;
}

export const lever = (who: Who, frame: number, at: Vec3, gradient: Vec3): Lever => ({
  who,
  frame,
  at,
  gradient,
});
export const turning = (who: Who, frame: number, at: Vec3, gradient: Vec3): Lever => ({
  who,
  frame,
  at,
  gradient,
  turns: true,
});

/**
 * Sums squares of residuals, each a value over its σ, and the normal equations of their Gauss–Newton step: `matrix` is JᵀJ
 * (its lower triangle), `right` is Jᵀr.
 */
export class NormalEquations {
  readonly matrix = new Float64Array(ALL_UNKNOWNS * ALL_UNKNOWNS);
  readonly right = new Float64Array(ALL_UNKNOWNS);
  energy = 0;
  private readonly row = new Float64Array(ALL_UNKNOWNS);
  private readonly used = new Int32Array(ALL_UNKNOWNS);

  constructor(readonly bodies: Pair) {}

  clear(): void {
    this.matrix.fill(0);
    this.right.fill(0);
    this.energy = 0;
  }

  /**
   * Adds a residual.
   * @param robust from so many σ on it counts less and less: r² becomes c²·ln(1 + (r/c)²)
   */
  add(value: number, sigma: number, levers: readonly Lever[], robust = 0): void {
    const r = value / sigma;
    let weight = 1;
    if (robust > 0) {
      const t = (r / robust) ** 2;
      this.energy += robust * robust * Math.log(1 + t);
      weight = 1 / (1 + t);
    } else this.energy += r * r;
    const row = this.row;
    row.fill(0);
    for (const { who, frame, at, gradient, turns } of levers) {
      const g = scale(gradient, 1 / sigma);
      if (turns) this.bodies[who].addDirection(row, who * UNKNOWNS, frame, at, g);
      else this.bodies[who].addPoint(row, who * UNKNOWNS, frame, at, g);
    }
    this.addRow(r, weight);
  }

  /** Adds three residuals, a vector that ought to be nothing; every lever has its share of it. */
  addVector(
    value: Vec3,
    sigma: number,
    parts: readonly (readonly [Who, frame: number, at: Vec3, share: number])[],
    robust = 0,
  ): void {
    for (let i = 0; i < 3; i++)
      this.add(
        value[i]!,
        sigma,
        parts.map(([who, frame, at, share]) =>
          lever(who, frame, at, [i === 0 ? share : 0, i === 1 ? share : 0, i === 2 ? share : 0]),
        ),
        robust,
      );
  }

  /** Adds a residual of one joint angle. */
  addAngle(who: Who, unknown: number, value: number, sigma: number): void {
    const r = value / sigma;
    const n = who * UNKNOWNS + unknown;
    this.energy += r * r;
    this.matrix[n * ALL_UNKNOWNS + n] = this.matrix[n * ALL_UNKNOWNS + n]! + 1 / (sigma * sigma);
    this.right[n] = this.right[n]! + r / sigma;
  }

  private addRow(r: number, weight: number): void {
    const row = this.row;
    const used = this.used;
    const { matrix, right } = this;
    let count = 0;
    for (let i = 0; i < ALL_UNKNOWNS; i++) if (row[i] !== 0) used[count++] = i;
    for (let a = 0; a < count; a++) {
      const i = used[a]!;
      const weighed = row[i]! * weight;
      right[i] = right[i]! + weighed * r;
      const base = i * ALL_UNKNOWNS;
      for (let b = 0; b <= a; b++) {
        const at = base + used[b]!;
        matrix[at] = matrix[at]! + weighed * row[used[b]!]!;
      }
    }
  }
}
