import type { CoverInput } from '../lesson/cover/coverArcs.ts';

/** The cheapest cover by looking at every state: which arcs are covered, and where the running chain is. */
export function bruteForceCover(input: CoverInput): number {
  const must = input.arcs.filter((arc) => arc.mustCover).map((arc) => arc.id);
  const places = input.positions.length;
  const between = places;
  const width = places + 1;
  const number = new Map(input.positions.map((position, i) => [position, i]));
  const cost = new Float64Array((1 << must.length) * width).fill(Number.POSITIVE_INFINITY);
  const goal = (1 << must.length) - 1;
  cost[between] = 0;
  // Covering only grows, so the masks are settled in order; within a mask, relax until nothing changes.
  for (let mask = 0; mask <= goal; mask++) {
    for (let changed = true; changed; ) {
      changed = false;
      const lower = (state: number, value: number) => {
        if (value < cost[state]! - 1e-12) {
          cost[state] = value;
          changed = true;
        }
      };
      for (let place = 0; place < places; place++) {
        const cold = input.entries.includes(input.positions[place]!) ? 0 : input.coldStartSeconds;
        lower(mask * width + place, cost[mask * width + between]! + input.resetSeconds + cold);
        lower(mask * width + between, cost[mask * width + place]!);
      }
      for (const arc of input.arcs) {
        const from = cost[mask * width + number.get(arc.from)!]!;
        const to = arc.to === null ? between : number.get(arc.to)!;
        const bit = must.indexOf(arc.id);
        lower((bit < 0 ? mask : mask | (1 << bit)) * width + to, from + arc.seconds);
      }
    }
  }
  return cost[goal * width + between]!;
}
