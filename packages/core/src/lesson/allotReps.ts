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
 * brings most per second. As every further rep of an item brings less, no rep moved within the time brings more.
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
    if (best < 0) return items.map(({ id }, i) => ({ id, reps: reps[i]! }));
    reps[best]!++;
    left -= items[best]!.secondsPerRep;
  }
}
