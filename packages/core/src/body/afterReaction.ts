import type { Hold } from '../model/hold.ts';
import { matchesPattern } from '../model/holdPattern.ts';
import type { Reaction } from '../model/reaction.ts';
import type { Moment } from './followSteps.ts';

/**
 * The moment after top's reaction: its sign changes hold, the holds of bottom that it breaks are gone, what top
 * lets go of is gone and what top takes is there (with limbs that leave what they held).
 */
export function afterReaction(moment: Moment, reaction: Reaction): { moment: Moment; broken: Hold[] } {
  const broken =
    reaction.breaks.length === 0
      ? []
      : moment.holds.filter((hold) =>
          reaction.breaks.some((pattern) => matchesPattern(hold, pattern, 'own')),
        );
  const { topTakes, topReleases } = reaction;
  const busy = topTakes.flatMap((hold) => hold.contacts);
  const topHolds = moment.topHolds
    .filter((hold) => !topReleases.some((pattern) => matchesPattern(hold, pattern, 'top')))
    .filter((hold) => !hold.contacts.some((contact) => busy.includes(contact)))
    .concat(topTakes);
  return {
    moment: {
      holds: broken.length > 0 ? moment.holds.filter((hold) => !broken.includes(hold)) : moment.holds,
      topHolds,
      signs: { ...moment.signs, ...reaction.changes },
    },
    broken,
  };
}
