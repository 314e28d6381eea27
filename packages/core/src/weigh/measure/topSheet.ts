import { solveLook } from '../../game/solveLook.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import type { Share } from '../game/solveMap.ts';
import type { Weighing } from './weighMap.ts';

/** A reaction of top, and what it leaves to a bottom player who expects it. */
interface TopChoice {
  reaction: ReactionRef;
  leaves: number;
}

/** What top should do about one look: the same solution, read from the other side. */
export interface TopLine {
  position: string;
  look: string;
  name: string;
  /** Whether bottom's plan shows this look. */
  planned: boolean;
  /** How often the position comes up in a round. */
  visits: number;
  /** Top's best reactions and what they leave to bottom. */
  best: Share<ReactionRef>[];
  leaves: number;
  /** Every reaction done all the time, the one that leaves least first. */
  options: TopChoice[];
}

const TINY = 1e-9;

/** Top's sheet: every look of the map, the planned and those that come up most first. Habits are left aside. */
export function topSheet({ positions }: Pick<Weighing, 'positions'>): TopLine[] {
  return positions
    .flatMap(({ position, best, visits, looks }) =>
      looks
        .filter(({ matrix }) => matrix.reactions.length > 0)
        .map(({ look, name, timing, matrix }): TopLine => {
          const { reactions, payoff } = matrix;
          const { value, column } = solveLook(payoff, { timing });
          return {
            position,
            look,
            name,
            planned: look === best,
            visits,
            best: reactions.flatMap((what, r) => (column[r]! > TINY ? [{ what, share: column[r]! }] : [])),
            leaves: value,
            options: reactions
              .map((reaction, r) => ({ reaction, leaves: Math.max(...payoff.map((line) => line[r]!)) }))
              .sort((a, b) => a.leaves - b.leaves),
          };
        }),
    )
    .sort((a, b) => Number(b.planned) - Number(a.planned) || b.visits - a.visits);
}
