import { placeName, reactionShort } from '@aftersquall/core/body';
import { type GuardMap, indexMap, lowerFirst, roundsWords } from '@aftersquall/core/model';
import type { RoundStory } from '@aftersquall/core/weigh';

/** What hurts, to stand in a sentence: "top drives forward in “Knee shield”, once in 13 rounds". */
export function hurtPhrase(map: GuardMap, { position, reaction, rate }: RoundStory['hurts'][number]): string {
  const at = indexMap(map).position.get(position)!;
  return `top ${lowerFirst(reactionShort(map, reaction, at))} in “${placeName(at)}”, ${roundsWords(rate)}`;
}

/** A hole, to stand in a sentence: "“Hip bump” in “Closed guard” when top postures up". */
export function holePhrase(
  map: GuardMap,
  { position, move, reaction }: NonNullable<RoundStory['hole']>,
): string {
  const index = indexMap(map);
  const at = index.position.get(position)!;
  const does = reaction ? lowerFirst(reactionShort(map, reaction, at)) : 'does anything';
  return `“${index.move.get(move)!.name}” in “${placeName(at)}” when top ${does}`;
}
