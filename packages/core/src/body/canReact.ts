import type { Contact } from '../model/contacts.ts';
import { matchesPattern } from '../model/holdPattern.ts';
import type { Reaction } from '../model/reaction.ts';
import { conditionMet, type Facet, signOf } from '../model/signs.ts';
import type { Moment } from './followSteps.ts';
import { tiedBy } from './tiedLimbs.ts';

/**
 * Whether top could do this now: what it needs is so, there is something there of what it breaks, and it changes
 * something. Both on the side the moment is on.
 */
export function canReact({ holds, topHolds, signs }: Moment, reaction: Reaction): boolean {
  const { needs, breaks, changes, topTakes } = reaction;
  const isBroken = (hold: (typeof holds)[number]) =>
    breaks.some((pattern) => matchesPattern(hold, pattern, 'own'));
  if (breaks.length > 0 && !holds.some(isBroken)) return false;
  const left = holds.filter((hold) => !isBroken(hold));
  const changed =
    breaks.length > 0 ||
    topTakes.some(({ id }) => !topHolds.some((hold) => hold.id === id)) ||
    Object.entries(changes).some(([facet, value]) => signOf(signs, facet as Facet) !== value);
  return (
    changed &&
    needs.every((need) => {
      if ('facet' in need) return need.mark === 'helps' || conditionMet(need, signs);
      if ('free' in need) return !tiedBy(left, need.free) && !isTrapped(signs, need.free);
      return !holds.some((hold) => matchesPattern(hold, need.not, 'own'));
    })
  );
}

/** Only of hands it is said that they are trapped. */
const isTrapped = (signs: Moment['signs'], limb: Contact): boolean =>
  (limb === 'handL' || limb === 'handR') && signOf(signs, `top.${limb}`) === 'trapped';
