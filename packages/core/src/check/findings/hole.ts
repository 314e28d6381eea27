import { reactionName } from '../../body/landingWords.ts';
import { lowerFirst } from '../../model/letterCase.ts';
import { reactionKey } from '../../model/reaction.ts';
import type { MoveCheck } from '../checkEach.ts';
import { holesOf } from '../holes.ts';

/** A listed reaction without an answer. */
export const hole: MoveCheck = (map, of) =>
  holesOf(map, of).map(({ position, move, reaction }) => {
    const name = reactionName(map, reaction, position);
    return {
      code: 'hole',
      severity: 'warning',
      place: { kind: 'move', id: move.id, path: reactionKey(reaction) },
      sentence: `In "${position.name}", you have no answer with "${move.name}" when top ${lowerFirst(name)}.`,
      mend: 'Write the answer, or remove the reaction here.',
    };
  });
