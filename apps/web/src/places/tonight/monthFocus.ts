import { type GuardMap, indexMap, type Position, reactionKey } from '@aftersquall/core/model';
import { type RoundStory, smallPointsText } from '@aftersquall/core/weigh';
import { mapAddress } from '../../components/addresses.ts';
import { holePhrase, hurtPhrase } from '../../components/roundPhrases.ts';
import { say } from './words.ts';

export interface MonthFocus {
  position: Position;
  /** Why, in two sentences. */
  what: string;
  cost: string;
  /** Where the answer is read or written. */
  answer: { address: string; words: string };
}

/** The one thing to work on: the dearest hole where closing it brings more than the worst hurt costs, else that hurt. */
export function monthFocus(
  map: GuardMap,
  { hurts, hole }: Pick<RoundStory, 'hurts' | 'hole'>,
): MonthFocus | undefined {
  const placeAt = (id: string) => indexMap(map).position.get(id)!;
  const [worst] = hurts;
  if (hole && hole.stake > (worst?.cost ?? 0)) {
    const key = reactionKey(hole.reaction ?? 'none');
    return {
      position: placeAt(hole.position),
      what: say.hole(holePhrase(map, hole)),
      cost: say.closing(smallPointsText(hole.stake)),
      answer: {
        address: `${mapAddress(map.id)}?view=board&cell=${hole.move}.${key}&sel=move.${hole.move}`,
        words: 'Write the answer',
      },
    };
  }
  if (!worst) return undefined;
  return {
    position: placeAt(worst.position),
    what: say.hurts(hurtPhrase(map, worst)),
    cost: say.costs(smallPointsText(worst.cost)),
    answer: {
      address: `${mapAddress(map.id, 'read')}?at=${worst.position}&met=${reactionKey(worst.reaction)}`,
      words: 'See the answers',
    },
  };
}
