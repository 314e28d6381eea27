import type { Theme } from './chooseTheme.ts';
import type { Said } from './said.ts';
import { callersOf, countersOf, type Row, type Teachable, type Technique } from './technique.ts';

/** All that the blocks of a class are made of. */
export interface Room {
  teach: Teachable;
  said: Said;
  theme: Theme;
  /** How often top does what, by exchange, against what is taught. */
  shares: ReadonlyMap<string, number>;
  /** How many take a turn, and seconds to change over. */
  turns: number;
  change: number;
  /** The line that stands under everything that is played. */
  limit: string;
  /** It began with a round in which the coach only looked: what it showed comes back in each block. */
  looked: boolean;
  /** Places that people have been in: who holds what is said once. */
  seen: Set<string>;
}

/** Where a block starts: the place, and who holds what the first time that it stands. */
export function startOf({ said, seen }: Room, position: string): string {
  const place = said.place(position);
  if (seen.has(position)) return `${place}.`;
  seen.add(position);
  return `${place}: ${said.start(position)}.`;
}

export const shareOf = ({ shares }: Room, { exchange }: Row): number => shares.get(exchange.id) ?? 0.2;

/** What is taught or comes back in a place, with what calls for it. */
export const taughtAt = (
  { theme }: Room,
  position: string,
): { technique: Technique; call: Row | undefined }[] =>
  [...theme.taught, ...theme.known.map((technique) => ({ technique, call: undefined }))].filter(
    ({ technique }) => technique.at === position,
  );

/** The one technique that answers a reaction in a place tonight: no reaction has two answers in a class. */
export function answerFor(room: Room, position: string, key: string): Technique | undefined {
  const { teach } = room;
  const options = taughtAt(room, position).flatMap(({ technique, call }) => {
    const row = technique.rows.find((one) => one.key === key && one.whole);
    if (!row) return [];
    const rank =
      call?.key === key
        ? 3
        : technique.base === row || callersOf(technique).includes(row)
          ? 2
          : countersOf(technique).includes(row)
            ? 1
            : 0;
    return rank > 0 ? [{ technique, rank, worth: teach.rowWorth(technique, row) + 2 * row.chance }] : [];
  });
  const [best] = options.sort(
    (a, b) => b.rank - a.rank || b.worth - a.worth || (a.technique.id < b.technique.id ? -1 : 1),
  );
  return best?.technique;
}
