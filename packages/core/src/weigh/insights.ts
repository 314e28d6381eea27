import { solveMatrixGame } from '../game/solveMatrixGame.ts';
import type { HoldPattern } from '../model/hold.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { toStochasticGame, type WeighOptions } from './mapGame.ts';
import { type MapSolution, solveMap, stageOf } from './solveMap.ts';

export interface StakedHole {
  position: string;
  look: string;
  move: string;
  /** Undefined where nobody has said what top does about the look. */
  reaction?: ReactionRef;
  /** How often its position comes up in a round. */
  visits: number;
  /** What answering it would be worth, in points of a round. */
  stake: number;
}

/** Holes by what they cost: visits × what the look would be worth with that cell as good as its mean, over the value. */
export function findHoles(solution: MapSolution): StakedHole[] {
  const { game, values, positions } = solution;
  const built = toStochasticGame(game, 'as-mapped', new Set());
  return game.states
    .flatMap(({ position, looks }, s) =>
      looks.flatMap((look, l) => {
        const matrix = stageOf(built, values, s, l);
        const answered = matrix.flatMap((line, m) => line.filter((_, r) => look.cells[m]![r]!.exchange));
        const mean = answered.reduce((sum, a) => sum + a, 0) / Math.max(1, answered.length);
        return look.cells.flatMap((line, m) =>
          line.flatMap((cell, r): StakedHole[] => {
            if (cell.exchange || answered.length === 0) return [];
            const filled = matrix.map((row, i) => (i === m ? row.with(r, mean) : row));
            const { visits } = positions[s]!;
            const reaction = look.reactions[r];
            return [
              {
                position: position.id,
                look: look.look.id,
                move: look.moves[m]!.id,
                ...(reaction && { reaction }),
                visits,
                stake: visits * Math.max(0, lookValue(filled, look.look.timing) - values[s]!),
              },
            ];
          }),
        );
      }),
    )
    .sort((a, b) => b.stake - a.stake || b.visits - a.visits || (a.move < b.move ? -1 : 1));
}

function lookValue(matrix: number[][], timing: 'hidden' | 'seen'): number {
  if (timing === 'hidden') return solveMatrixGame(matrix).value;
  return Math.min(...matrix[0]!.map((_, r) => Math.max(...matrix.map((line) => line[r]!))));
}

export interface Dependence {
  /** Value at the entries with everything, and without what rests on the hold. */
  whole: number;
  without: number;
  difference: number;
  /** Share of the game that is left; only where the whole is worth more than waiting. */
  left?: number;
}

/** How much of the game is left without a class of holds. Entry weights stay as they are. */
export function holdDependence(map: GuardMap, holds: HoldPattern, options: WeighOptions = {}): Dependence {
  const whole = solveMap(map, options);
  const without = solveMap(
    map,
    { ...options, forbiddenHolds: [...(options.forbiddenHolds ?? []), holds] },
    whole.values,
  ).entry;
  const rest = whole.game.rest;
  return {
    whole: whole.entry,
    without,
    difference: whole.entry - without,
    ...(whole.entry > rest && { left: (without - rest) / (whole.entry - rest) }),
  };
}

export interface Sensitivity {
  exchange: string;
  /** Points of a round for a chance that is higher by 1. */
  slope: number;
}

/** Which chances move the value at the entries most, per unit of chance; the steepest first. */
export function sensitivity(solution: MapSolution, count = 5): Sensitivity[] {
  const { game, values, visits } = solution;
  const worth = (landing: Landing | undefined, here: number, gamma: number): number => {
    if (landing && isOutcome(landing)) return gamma * game.points[landing.outcome];
    return gamma * values[landing ? game.place.get(landing.position)! : here]!;
  };
  return game.states
    .flatMap(({ looks }, s) =>
      looks.flatMap(({ cells }) =>
        cells.flat().flatMap(({ exchange, gamma }): Sensitivity[] => {
          const rate = exchange && visits.get(exchange.id);
          if (!exchange || !rate) return [];
          return [
            {
              exchange: exchange.id,
              slope: rate * (worth(exchange.to, s, gamma) - worth(exchange.otherwise, s, gamma)),
            },
          ];
        }),
      ),
    )
    .sort((a, b) => Math.abs(b.slope) - Math.abs(a.slope) || (a.exchange < b.exchange ? -1 : 1))
    .slice(0, count);
}
