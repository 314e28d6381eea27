export interface StochasticLook {
  /** `hidden`: both choose at once. `seen`: the row is chosen knowing the column. */
  timing?: 'hidden' | 'seen' | undefined;
  payoff: readonly (readonly number[])[];
  /** For every cell the states it leads to with their probabilities; they may sum to less than 1. */
  next: readonly (readonly (readonly (readonly [state: number, probability: number])[])[])[];
  /** The column is taken to be drawn from this mix with a chance of `trust`, else to be chosen as well as it can be. */
  against?: { column: readonly number[]; trust: number } | undefined;
}
export interface StochasticGame {
  /** In (0, 1). */
  discount: number;
  states: readonly { rest?: number | undefined; looks: readonly StochasticLook[] }[];
}
