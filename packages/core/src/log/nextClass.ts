import { FADING } from '../lesson/practise/learnt.ts';
import type { Practice } from '../model/practice.ts';
import type { Evidence } from './evidence.ts';
import type { Kept } from './fading.ts';
import { type FaultTrend, faultsNow } from './faultTrend.ts';

/** A move with what of it stands out: the first of its answers, and how many there are. */
type OfMove<T> = T & { answers: number };

/** What the next class begins from. */
export interface NextClass {
  /** Planned and not reached, and never come since; by move. */
  carried: OfMove<Practice['missed'][number]>[];
  /** Those that were seen in the last weeks. */
  faults: FaultTrend[];
  /** By move, the most faded of its answers. */
  fading: OfMove<Kept>[];
  /** Tried against resistance, and known least. */
  thin: Evidence[];
}

const SOME = 5;

/** Every move once: a coach teaches moves, and what top does about them comes with it. */
function byMove<T extends { position: string; move: string }>(list: readonly T[]): OfMove<T>[] {
  const moves = new Map<string, OfMove<T>>();
  for (const one of list) {
    const key = `${one.position} ${one.move}`;
    const known = moves.get(key);
    if (known) known.answers++;
    else moves.set(key, { ...one, answers: 1 });
  }
  return [...moves.values()];
}

/** The carry-over, the three faults that matter, what fades and where evidence is thin. */
export function nextClass(
  { missed }: Pick<Practice, 'missed'>,
  trends: readonly FaultTrend[],
  kept: readonly Kept[],
  evidence: readonly Evidence[],
): NextClass {
  const latest = new Map(missed.filter(({ backOn }) => !backOn).map((one) => [one.exchange, one]));
  return {
    carried: byMove([...latest.values()]),
    faults: faultsNow(trends),
    fading: byMove(kept.filter(({ retention }) => retention < FADING)).slice(0, SOME),
    thin: [...evidence].sort((a, b) => b.more - a.more).slice(0, SOME),
  };
}
