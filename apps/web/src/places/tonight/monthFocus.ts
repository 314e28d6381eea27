import { placeName, reactionShort } from '@aftersquall/core/body';
import {
  type GuardMap,
  indexMap,
  lowerFirst,
  type Position,
  reactionKey,
  roundsWords,
} from '@aftersquall/core/model';
import { type RoundStory, smallPointsText } from '@aftersquall/core/weigh';
import { mapAddress } from '../../components/addresses.ts';
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
  const index = indexMap(map);
  const [worst] = hurts;
  if (hole && hole.stake > (worst?.cost ?? 0)) {
    const position = index.position.get(hole.position)!;
    const key = reactionKey(hole.reaction ?? 'none');
    const does = hole.reaction ? lowerFirst(reactionShort(map, hole.reaction, position)) : 'does anything';
    return {
      position,
      what: say.hole(does, index.move.get(hole.move)!.name, placeName(position)),
      cost: say.closing(smallPointsText(hole.stake)),
      answer: {
        address: `${mapAddress(map.id)}?view=board&cell=${hole.move}.${key}&sel=move.${hole.move}`,
        words: 'Write the answer',
      },
    };
  }
  if (!worst) return undefined;
  const position = index.position.get(worst.position)!;
  return {
    position,
    what: say.hurts(
      lowerFirst(reactionShort(map, worst.reaction, position)),
      placeName(position),
      roundsWords(worst.rate),
    ),
    cost: say.costs(smallPointsText(worst.cost)),
    answer: {
      address: `${mapAddress(map.id, 'read')}?at=${worst.position}&met=${reactionKey(worst.reaction)}`,
      words: 'See the answers',
    },
  };
}
