import { blockedPosts } from '../../balance/blockedPosts.ts';
import type { Moment } from '../../body/followSteps.ts';
import { contactName } from '../../body/words.ts';
import type { Contact } from '../../model/contacts.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import { signOf } from '../../model/signs.ts';
import type { Check, Finding } from '../finding.ts';
import { walksOf } from '../walks.ts';

/** A sweep that sends top to a side on which the hand can still be put down. */
export const freePost: Check = (map) =>
  map.moves.flatMap((move): Finding[] => {
    const hand = move.kind === 'sweep' ? handOnThatSide(move.direction) : undefined;
    if (!hand || isTaken(map, move, hand)) return [];
    return [
      {
        code: 'free-post',
        severity: 'warning',
        place: { kind: 'move', id: move.id, path: 'direction' },
        sentence: `"${move.name}" sends top towards ${move.direction}°, where top's ${contactName(hand)} is free to post.`,
        mend: 'Take that arm first, or send them the other way.',
      },
    ];
  });

/** The hand top would post when falling that way; none straight ahead or straight back. */
export function handOnThatSide(direction: number | undefined): Contact | undefined {
  if (direction === undefined) return undefined;
  const right = Math.sin((direction * Math.PI) / 180);
  return right > 0.3 ? 'handR' : right < -0.3 ? 'handL' : undefined;
}

function isTaken(map: GuardMap, move: Move, hand: Contact): boolean {
  const position = indexMap(map).position.get(move.position);
  if (!position) return true;
  const taken = ({ holds, signs }: Moment) =>
    signOf(signs, `top.${hand}` as 'top.handL') === 'trapped' ||
    blockedPosts(holds).some(({ post }) => post === hand);
  return walksOf(map, position, move).some(({ start, after }) => taken(start) || after.some(taken));
}
