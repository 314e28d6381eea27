import type { Lesson } from '../../model/classPlan.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Grade } from '../../model/practiceRecord.ts';
import { type Memory, practised, retained } from './memory.ts';
import type { ReturnOf } from './returnBlocks.ts';

/** What is likely to be gone falls under this: it comes back. */
export const FADING = 0.85;

/** A move that was practised; the exchange where it is known which one, the coach's word where there is one. */
export interface PractisedMove {
  move: string;
  name: string;
  exchange?: string | undefined;
  grade?: Grade | undefined;
}

/** What a day of practice left behind. */
export interface TaughtOn {
  date: string;
  moves: readonly PractisedMove[];
  /** Exchanges that found no time on it. */
  leftOver?: readonly string[] | undefined;
}

/** What a class practises by its plan: the moves it teaches and those that come back. */
export const movesOfLesson = ({ steps, returns }: Pick<Lesson, 'steps' | 'returns'>): PractisedMove[] => [
  ...steps,
  ...returns,
];

/** What is known on a day. */
export interface Learnt {
  /** By move. */
  memories: Map<string, Memory>;
  /** Exchanges that found no time and have not come since, with the day of it, the longest ago first. */
  carried: Map<string, string>;
}

export const nothingLearnt = (): Learnt => ({ memories: new Map(), carried: new Map() });

/** Adds a day, which is not before those that were added already. Of several words on a move the worst counts. */
export function learn({ memories, carried }: Learnt, { date, moves, leftOver = [] }: TaughtOn): void {
  const grades = new Map<string, Grade | undefined>();
  for (const { move, exchange, grade } of moves) {
    grades.set(move, worse(grades.get(move), grade));
    if (exchange) carried.delete(exchange);
  }
  for (const [move, grade] of grades) memories.set(move, practised(memories.get(move), date, grade));
  for (const exchange of leftOver) if (!carried.has(exchange)) carried.set(exchange, date);
}

const ORDER: readonly Grade[] = ['lost', 'patchy', 'held', 'sharp'];
const worse = (a: Grade | undefined, b: Grade | undefined): Grade | undefined =>
  a && b ? ORDER[Math.min(ORDER.indexOf(a), ORDER.indexOf(b))] : (a ?? b);

/** What comes back on a date: what was carried over, then what fades, the most faded first. */
export function returnsOn(map: GuardMap, { memories, carried }: Learnt, date: string): ReturnOf[] {
  const index = indexMap(map);
  const fading = [...memories]
    .map(([move, memory]) => ({ move, kept: retained(memory, date) }))
    .filter(({ kept }) => kept < FADING)
    .sort((a, b) => a.kept - b.kept || (a.move < b.move ? -1 : 1));
  const carriedMoves = new Set([...carried.keys()].map((id) => index.exchange.get(id)?.move));
  return [
    ...[...carried.keys()].map((exchange) => ({
      exchange,
      why: 'It was planned before and not reached.',
    })),
    ...fading.flatMap(({ move, kept }) => {
      if (carriedMoves.has(move)) return [];
      const exchange = likeliest(index.exchangesOf(move));
      return exchange
        ? [{ exchange: exchange.id, why: `It is fading: about ${Math.round(kept * 100)} % still fresh.` }]
        : [];
    }),
  ];
}

/** The exchange that is likeliest to work; undefined of none. */
export const likeliest = (exchanges: readonly Exchange[]): Exchange | undefined =>
  exchanges.toSorted((a, b) => b.chance - a.chance)[0];
