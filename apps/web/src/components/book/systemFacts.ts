import { type WordContext, wordContext } from '@aftersquall/core/body';
import { type GuardBook } from '@aftersquall/core/formats';
import { type Position, type System } from '@aftersquall/core/model';

export interface SystemFacts {
  system: System;
  /** The position it begins with. */
  first: Position | undefined;
  context: WordContext;
  positions: number;
  answers: number;
  /** "novice to expert". */
  level: string;
  wear: string;
}

const LEVELS = ['novice', 'intermediate', 'expert'] as const;

/** What there is to know of each system of a book before it is chosen. */
export function systemFacts(book: GuardBook): SystemFacts[] {
  return book.systems.map((system) => {
    const inside = book.positions.filter(({ systems }) => systems.includes(system.id));
    const ids = new Set(inside.map(({ id }) => id));
    const moves = new Set(book.moves.filter(({ position }) => ids.has(position)).map(({ id }) => id));
    const levels = LEVELS.filter((level) => inside.some((position) => position.level === level));
    const bare = inside.filter(({ apparel }) => apparel !== 'gi').length;
    const [first] = inside;
    return {
      system,
      first,
      context: first ? wordContext(first) : { leadSide: 'R' },
      positions: inside.length,
      answers: book.exchanges.filter(({ move }) => moves.has(move)).length,
      level: levels.length > 1 ? `${levels[0]} to ${levels.at(-1)}` : (levels[0] ?? 'novice'),
      wear: bare === inside.length ? 'gi and no-gi' : bare === 0 ? 'gi' : 'mostly gi',
    };
  });
}
