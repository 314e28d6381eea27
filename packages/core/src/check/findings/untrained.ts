import { indexMap } from '../../model/indexMap.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Check, Finding } from '../finding.ts';

/** A reaction that nobody can feel coming cannot be trained; one without a script cannot be given. */
export const untrained: Check = (map) =>
  map.reactions.flatMap((reaction): Finding[] => {
    const missing = [
      !reaction.feel.trim() && 'how bottom feels it coming',
      !reaction.script.trim() && 'how a partner gives it safely',
    ].filter(Boolean);
    if (missing.length === 0) return [];
    return [
      {
        code: 'untrained-reaction',
        severity: 'note',
        place: { kind: 'reaction', id: reaction.id, path: 'feel' },
        sentence: `"${reaction.name}" does not say ${missing.join(', nor ')}.`,
        mend: 'Write it down. Nobody can train the reaction without it.',
      },
    ];
  });

/** A move that is only answered for when nobody opposes it. */
export const unopposedOnly: MoveCheck = (map, move): Finding[] => {
  const index = indexMap(map);
  const exchanges = index.exchangesOf(move.id);
  if (exchanges.length === 0 || exchanges.some(({ reaction }) => reaction !== 'none')) return [];
  const look = index.position.get(move.position)?.looks.find(({ id }) => id === move.look);
  // Reactions that are listed and not answered are holes, and say so themselves.
  if (!look || look.reactions.length > 0) return [];
  return [
    {
      code: 'unopposed-only',
      severity: 'note',
      place: { kind: 'move', id: move.id },
      sentence: `"${move.name}" has no answer to any reaction yet.`,
      mend: 'Add what top does about it.',
    },
  ];
};
