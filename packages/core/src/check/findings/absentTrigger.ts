import { sided } from '../../body/mirror.ts';
import type { Hold, HoldAction, Part } from '../../model/hold.ts';
import { matchesPattern } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import { reactionWords } from '../../model/reactionWords.ts';
import { stepsOf } from '../../model/seconds.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** Words of a reaction that speak of a grip, and what has to be held for it to be there. */
const GRIPS: readonly { word: RegExp; parts?: readonly Part[]; actions?: readonly HoldAction[] }[] = [
  { word: /\bsleeves?\b/i, parts: ['sleeve'] },
  { word: /\bcollars?\b/i, parts: ['collar'] },
  { word: /\blapels?\b/i, parts: ['lapel'] },
  { word: /\bunderhook/i, actions: ['underhook'] },
  { word: /\boverhook/i, actions: ['overhook'] },
  { word: /\bbody ?lock\b/i, actions: ['body-lock'] },
];

/**
 * A reaction whose trigger a move does not have: all it does is break holds, and none of them is there or is taken, or its
 * words speak of a grip that nobody has. It belongs to a sister move of the same look.
 */
export const absentTrigger: MoveCheck = (map, move) => {
  const index = indexMap(map);
  const position = index.position.get(move.position);
  if (!position) return [];
  return index.exchangesOf(move.id).flatMap((exchange): Finding[] => {
    const { reaction: ref } = exchange;
    const written = ref === 'none' ? undefined : index.reaction.get(ref.id);
    if (ref === 'none' || !written || exchange.note) return [];
    const reaction = sided('reaction', written, ref.mirrored);
    const steps = stepsOf(move, exchange);
    const own = [...position.holds, ...steps.flatMap(({ take }) => take)];
    const top = [
      ...position.topHolds,
      ...steps.flatMap(({ topTakes = [] }) => topTakes),
      ...reaction.topTakes,
    ];
    // Who takes a hold, steps or leans does so whether or not something else breaks.
    const breaksOnly =
      reaction.topTakes.length === 0 &&
      Object.keys(reaction.changes).every((facet) => /^top\.(?:hand|elbow)/.test(facet));
    const why =
      breaksOnly &&
      reaction.breaks.length > 0 &&
      !own.some((hold) => reaction.breaks.some((one) => matchesPattern(hold, one, 'own')))
        ? 'it breaks a hold that is not there'
        : absentGrip(Object.values(reactionWords(map, move, ref)).join(' '), [...own, ...top]);
    if (!why) return [];
    return [
      {
        code: 'absent-trigger',
        severity: 'note',
        place: { kind: 'exchange', id: exchange.id },
        sentence: `“${move.name}” answers “${written.name}”, but top has no reason to do it: ${why}.`,
        mend: 'Remove the answer, write in its note when it happens, or describe the reaction in your own words here.',
      },
    ];
  });
};

function absentGrip(words: string, holds: readonly Hold[]): string | undefined {
  const missing = GRIPS.find(
    ({ word, parts, actions }) =>
      word.test(words) &&
      !holds.some(({ target, action }) => parts?.includes(target.part) || actions?.includes(action)),
  );
  const said = missing?.word.exec(words)?.[0];
  return said && `its words name “${said}”, and nobody holds that`;
}
