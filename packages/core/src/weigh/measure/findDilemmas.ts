import { solveLook } from '../../game/solveLook.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move, Step } from '../../model/move.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import { stepsOf } from '../../model/seconds.ts';
import type { Share } from '../game/solveMap.ts';
import type { Weighing } from './weighMap.ts';

/** Two or three moves that share a look, and no one reaction answers all of them. */
export interface Dilemma {
  position: string;
  look: string;
  name: string;
  /** On a `seen` look bottom feels the reaction first and then picks the move. */
  timing: 'hidden' | 'seen';
  /** The moves with their shares of the mix; on a `seen` look as likely as top's reactions make them. */
  moves: Share<string>[];
  /** What top does best about these moves. */
  reactions: Share<ReactionRef>[];
  /** What the moves are worth together, and over the best of them alone, points. */
  value: number;
  over: number;
  /** How often the position comes up in a round, and whether bottom's plan shows this look. */
  visits: number;
  planned: boolean;
}

/** Less than this over the best single move is no dilemma, points. */
const MIN_DILEMMA_POINTS = 0.005;

/**
 * Pairs and triples of moves in one look that are worth more together than the best of them alone; a triple only where
 * it is worth more than each of its pairs. Those that come up and are worth most first.
 */
export function findDilemmas({ positions }: Pick<Weighing, 'positions'>): Dilemma[] {
  return positions
    .flatMap(({ position, best, visits, looks }) =>
      looks.flatMap(({ look, name, timing, matrix }) => {
        const { moves, payoff, reactions } = matrix;
        if (reactions.length === 0) return [];
        const judge = (rows: readonly number[]) =>
          solveLook(
            rows.map((m) => payoff[m]!),
            { timing },
          );
        const found = subsets(moves.length, 2).flatMap((rows) => {
          const solved = judge(rows);
          return solved.value - solved.single > MIN_DILEMMA_POINTS ? [{ rows, solved }] : [];
        });
        const worth = (rows: readonly number[]) => judge(rows).value;
        for (const rows of subsets(moves.length, 3)) {
          const pairs = rows.map((_, i) => rows.toSpliced(i, 1));
          const solved = judge(rows);
          if (solved.value > Math.max(...pairs.map(worth)) + MIN_DILEMMA_POINTS) found.push({ rows, solved });
        }
        return found.map(({ rows, solved }): Dilemma => {
          const shares = timing === 'seen' ? chosen(rows.length, solved.reply) : solved.row;
          return {
            position,
            look,
            name,
            timing,
            moves: rows.map((m, i) => ({ what: moves[m]!, share: shares[i]! })),
            reactions: reactions.flatMap((what, r) =>
              solved.column[r]! > 1e-9 ? [{ what, share: solved.column[r]! }] : [],
            ),
            value: solved.value,
            over: solved.value - solved.single,
            visits,
            planned: look === best,
          };
        });
      }),
    )
    .sort(
      (a, b) =>
        b.visits * b.over - a.visits * a.over || b.over - a.over || (a.position < b.position ? -1 : 1),
    );
}

/** All ways to choose some of the first n places, in order. */
function subsets(n: number, size: number, from = 0): number[][] {
  if (size === 0) return [[]];
  return Array.from({ length: Math.max(0, n - from) }, (_, i) => from + i).flatMap((first) =>
    subsets(n, size - 1, first + 1).map((rest) => [first, ...rest]),
  );
}

/** In how many of the columns each row is the reply. */
const chosen = (rows: number, reply: readonly number[]): number[] =>
  Array.from({ length: rows }, (_, i) => reply.filter((one) => one === i).length / reply.length);

/** How long some moves look the same, and where they part. */
export interface Parting {
  /** Steps that all of them begin with, in words. */
  same: string[];
  /** The step in which each goes its own way; none where a move has no steps left, or none at all. */
  parts: { move: string; step?: string }[];
}

const alike = (a: Step, b: Step): boolean =>
  a.text === b.text ||
  (a.take.length + a.release.length > 0 &&
    JSON.stringify([a.take, a.release]) === JSON.stringify([b.take, b.release]));

/** What is to be trained so that some moves really look the same: their common beginning, and the step they part in. */
export function partingOf(map: GuardMap, ids: readonly string[]): Parting {
  const { move: moves } = indexMap(map);
  const steps = ids.map((id) => ({ id, steps: stepsOf(moves.get(id) as Move) }));
  const [first] = steps;
  let length = 0;
  while (
    steps.every(({ steps: list }) => {
      const [mine, other] = [list[length], first?.steps[length]];
      return mine !== undefined && other !== undefined && alike(mine, other);
    })
  )
    length++;
  return {
    same: first?.steps.slice(0, length).map(({ text }) => text) ?? [],
    parts: steps.map(({ id, steps: list }) => {
      const step = list[length]?.text;
      return { move: id, ...(step !== undefined && { step }) };
    }),
  };
}
