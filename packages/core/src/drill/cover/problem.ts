/** An arc of a covering problem; `to: null` ends the chain. */
export interface CoverArc {
  id: string;
  from: string;
  to: string | null;
  seconds: number;
  mustCover: boolean;
}

export interface CoverInput {
  arcs: readonly CoverArc[];
  positions: readonly string[];
  entries: readonly string[];
  resetSeconds: number;
  coldStartSeconds: number;
  /** How many nodes branch and bound may open before it gives the best cover it has; default 2,000. */
  maxNodes?: number;
}

/** The same in numbers: node `ends` stands for the end of a chain. */
export interface CoverProblem {
  nodes: number;
  ends: number;
  from: Int32Array;
  to: Int32Array;
  seconds: Float64Array;
  must: Uint8Array;
  /** What it costs to begin a chain at each position. */
  startCost: Float64Array;
  /** Whether all costs are whole seconds, so that a bound may be rounded up. */
  whole: boolean;
}

/** @throws RangeError for a negative time, an unknown position or an id used twice. */
export function coverProblem(input: CoverInput): CoverProblem {
  const numbers = new Map(input.positions.map((position, number) => [position, number]));
  if (numbers.size !== input.positions.length) throw new RangeError('a position is named twice');
  const ids = new Set(input.arcs.map((arc) => arc.id));
  if (ids.size !== input.arcs.length) throw new RangeError('an arc id is used twice');
  const nodeOf = (position: string, what: string): number => {
    const number = numbers.get(position);
    if (number === undefined)
      throw new RangeError(`${what} names the position "${position}", which is not listed`);
    return number;
  };
  const seconds = (value: number, what: string): number => {
    if (!(value >= 0 && Number.isFinite(value))) throw new RangeError(`${what} takes ${value} seconds`);
    return value;
  };
  const ends = input.positions.length;
  const cold = seconds(input.coldStartSeconds, 'a cold start');
  const startCost = new Float64Array(ends).fill(seconds(input.resetSeconds, 'a reset') + cold);
  for (const entry of input.entries) startCost[nodeOf(entry, 'an entry')] = input.resetSeconds;
  const problem: CoverProblem = {
    nodes: ends,
    ends,
    from: Int32Array.from(input.arcs, (arc) => nodeOf(arc.from, `arc "${arc.id}"`)),
    to: Int32Array.from(input.arcs, (arc) => (arc.to === null ? ends : nodeOf(arc.to, `arc "${arc.id}"`))),
    seconds: Float64Array.from(input.arcs, (arc) => seconds(arc.seconds, `arc "${arc.id}"`)),
    must: Uint8Array.from(input.arcs, (arc) => Number(arc.mustCover)),
    startCost,
    whole: false,
  };
  problem.whole = [...problem.seconds, ...startCost].every(Number.isInteger);
  return problem;
}
