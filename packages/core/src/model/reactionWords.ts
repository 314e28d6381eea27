import { indexMap } from './indexMap.ts';
import type { GuardMap } from './map.ts';
import type { Move } from './move.ts';
import { type ReactionRef, reactionKey } from './reaction.ts';

/** The other way round: left and right, near and far, in whatever case. */
export const otherWay = (text: string): string =>
  text.replace(/\b(?:left|right|near|far)\b/gi, (word) => {
    const other = { left: 'right', right: 'left', near: 'far', far: 'near' }[word.toLowerCase()]!;
    if (word === word.toUpperCase()) return other.toUpperCase();
    return word[0] === word[0]!.toUpperCase() ? other[0]!.toUpperCase() + other.slice(1) : other;
  });

/** How a reaction is felt and given where a move meets it: in its look's own words, else in the catalogue's, turned to its side. */
export function reactionWords(
  map: GuardMap,
  move: Pick<Move, 'position' | 'look'>,
  ref: ReactionRef,
): { feel: string; script: string } {
  const index = indexMap(map);
  const look = index.position.get(move.position)?.looks.find(({ id }) => id === move.look);
  const own = look?.reactions.find((one) => reactionKey(one) === reactionKey(ref));
  const general = index.reaction.get(ref.id);
  const turned = (text = '') => (ref.mirrored ? otherWay(text) : text);
  return { feel: own?.feel || turned(general?.feel), script: own?.script || turned(general?.script) };
}
