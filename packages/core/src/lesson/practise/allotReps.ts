/** Something to be practised: what more reps of it bring, and what one takes. */
export interface RepItem {
  id: string;
  secondsPerRep: number;
  /** What endless practice would bring, and the reps after which about two thirds of that are had. */
  scale: number;
  halfway: number;
  /** Fewer reps than this are not worth beginning, more than this are too many. */
  least: number;
  most?: number | undefined;
}

/** What n reps bring: scale·(1 − e^(−n/halfway)), the exponential law of practice (Heathcote, Brown & Mewhort 2000, from memory). */
export const gainOf = ({ scale, halfway }: Pick<RepItem, 'scale' | 'halfway'>, reps: number): number =>
  scale * (1 - Math.exp(-reps / halfway));

/**
 * Reps within a budget of seconds: every item its least, in order, as long as that fits; then each rep goes where it
 * brings most per second; then reps are moved from one item to another as long as that brings more within the time.
 */
export function allotReps({
  items,
  budget,
}: {
  items: readonly RepItem[];
  budget: number;
}): { id: string; reps: number }[] {
  let left = budget;
  const reps = items.map(({ secondsPerRep, least }) => {
    const seconds = least * secondsPerRep;
    if (seconds > left + 1e-9) return 0;
    left -= seconds;
    return least;
  });
  for (;;) {
    let best = -1;
    let most = 0;
    for (const [i, item] of items.entries()) {
      const next = reps[i]! + 1;
      // An item that was not begun has no room for its least.
      if (item.secondsPerRep > left + 1e-9 || next > (item.most ?? Number.POSITIVE_INFINITY)) continue;
      if (reps[i]! < item.least) continue;
      const rate = (gainOf(item, next) - gainOf(item, reps[i]!)) / item.secondsPerRep;
      if (rate > most) {
        most = rate;
        best = i;
      }
    }
    if (best < 0) break;
    reps[best]!++;
    left -= items[best]!.secondsPerRep;
  }
  for (let move = bestMove(items, reps, left); move; move = bestMove(items, reps, left)) {
    reps[move.from]!--;
    reps[move.to]! += move.reps;
    left += items[move.from]!.secondsPerRep - move.reps * items[move.to]!.secondsPerRep;
  }
  return items.map(({ id }, i) => ({ id, reps: reps[i]! }));
}

/** What is not worth moving a rep for; it also ends the moving where two ways are as good. */
const NO_GAIN = 1e-9;

/** One rep less of an item, and as many more of another as then fit, where that brings most; undefined where it brings nothing. */
function bestMove(
  items: readonly RepItem[],
  reps: readonly number[],
  left: number,
): { from: number; to: number; reps: number } | undefined {
  let best: { from: number; to: number; reps: number } | undefined;
  let most = NO_GAIN;
  for (const [from, giver] of items.entries()) {
    if (reps[from]! <= giver.least) continue;
    const lost = gainOf(giver, reps[from]!) - gainOf(giver, reps[from]! - 1);
    for (const [to, taker] of items.entries()) {
      if (to === from || reps[to]! < taker.least) continue;
      const room = Math.floor((left + giver.secondsPerRep + 1e-9) / taker.secondsPerRep);
      const more = Math.min(room, (taker.most ?? Number.POSITIVE_INFINITY) - reps[to]!);
      if (more < 1) continue;
      const gain = gainOf(taker, reps[to]! + more) - gainOf(taker, reps[to]!) - lost;
      if (gain > most) {
        most = gain;
        best = { from, to, reps: more };
      }
    }
  }
  return best;
}
