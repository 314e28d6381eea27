import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import { isOutcomeWord, type Named, printLine } from './lineSyntax.ts';

const named = (text: string, mirrored = false): Named => ({ text, mirrored, column: 0 });

/** The name of a position as a result: quoted where it would be read as an outcome. */
const placed = (text: string, mirrored?: boolean): Named => ({
  ...named(text, mirrored),
  ...(isOutcomeWord(text) && { quoted: true as const }),
});

/** A thing's name, or its id where the name is not its alone. */
export function callName(
  thing: { id: string; name: string },
  others: readonly { id: string; name: string; aliases?: string[] }[],
): string {
  const name = thing.name.toLowerCase();
  const shared = others.some(
    (other) =>
      other.id !== thing.id &&
      (other.id.toLowerCase() === name ||
        other.name.toLowerCase() === name ||
        other.aliases?.some((alias) => alias.toLowerCase() === name)),
  );
  return shared ? thing.id : thing.name;
}

/** The exchanges of a map, or of some of its positions, one a line, in the map's order. */
export function printLines(map: GuardMap, positions?: readonly string[]): string {
  const index = indexMap(map);
  const positionName = (id: string): string => callName(index.position.get(id)!, map.positions);
  const landing = (to: Landing): Named =>
    isOutcome(to) ? named(to.outcome) : placed(positionName(to.position), to.mirrored);
  const lines: string[] = [];
  for (const position of map.positions) {
    if (positions && !positions.includes(position.id)) continue;
    const moves = index.movesOf(position.id);
    for (const move of moves) {
      for (const exchange of index.exchangesOf(move.id)) {
        const { reaction, otherwise, seconds, chance } = exchange;
        const variant = move.variants.find(({ id }) => id === exchange.variant);
        lines.push(
          printLine({
            position: named(positionName(position.id)),
            move: named(callName(move, moves)),
            ...(variant && { variant: named(callName(variant, move.variants)) }),
            ...(reaction !== 'none' && {
              reaction: named(callName(index.reaction.get(reaction.id)!, map.reactions), reaction.mirrored),
            }),
            to: landing(exchange.to),
            chance,
            ...(otherwise && { otherwise: landing(otherwise) }),
            ...(seconds !== undefined && { seconds }),
          }),
        );
      }
    }
  }
  return lines.length > 0 ? `${lines.join('\n')}\n` : '';
}
