/** An arc of a covering problem; `to: null` ends the chain. */
interface CoverArc {
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
  const nodeOf = (position: string, namedBy: string): number => {
    const number = numbers.get(position);
    if (number === undefined)
      throw new RangeError(`"${namedBy}" names the position "${position}", which is not listed`);
    return number;
  };
  const checked = (seconds: number, of: string): number => {
    if (!(seconds >= 0 && Number.isFinite(seconds))) throw new RangeError(`"${of}" takes ${seconds} seconds`);
    return seconds;
  };
  const ends = input.positions.length;
  const reset = checked(input.resetSeconds, 'reset');
  const startCost = new Float64Array(ends).fill(reset + checked(input.coldStartSeconds, 'cold start'));
  for (const entry of input.entries) startCost[nodeOf(entry, 'entries')] = reset;
  const count = input.arcs.length;
  const problem: CoverProblem = {
    nodes: ends,
    ends,
    from: new Int32Array(count),
    to: new Int32Array(count),
    seconds: new Float64Array(count),
    must: new Uint8Array(count),
    startCost,
    whole: startCost.every(Number.isInteger),
  };
  for (let i = 0; i < count; i++) {
    const { id, from, to, seconds, mustCover } = input.arcs[i]!;
    problem.from[i] = nodeOf(from, id);
    problem.to[i] = to === null ? ends : nodeOf(to, id);
    problem.seconds[i] = checked(seconds, id);
    problem.must[i] = Number(mustCover);
    problem.whole &&= Number.isInteger(seconds);
  }
  return problem;
}
