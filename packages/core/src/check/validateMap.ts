import type { GuardMap } from '../model/map.ts';
import { checkArrivals } from './arrivals.ts';
import { checkMoves, checkPositions } from './checkEach.ts';
import type { Check, CheckContext, Finding, Severity } from './finding.ts';
import { absentTrigger } from './findings/absentTrigger.ts';
import { arrivalGap } from './findings/arrivalGap.ts';
import { arrivalStance } from './findings/arrivalStance.ts';
import { attackWithoutHazard, rollWithoutHazard } from './findings/attackWithoutHazard.ts';
import { badReference } from './findings/badReference.ts';
import { bareHandover } from './findings/bareHandover.ts';
import { barredMove } from './findings/barredMove.ts';
import { chance } from './findings/chance.ts';
import { cheapBreak } from './findings/cheapBreak.ts';
import { clothMechanic } from './findings/clothMechanic.ts';
import { clothWithoutJacket } from './findings/clothWithoutJacket.ts';
import { commonReaction } from './findings/commonReaction.ts';
import { deadEnd } from './findings/deadEnd.ts';
import { doseTooLong } from './findings/doseTooLong.ts';
import { endlessLoop } from './findings/endlessLoop.ts';
import { freePost } from './findings/freePost.ts';
import { hole } from './findings/hole.ts';
import { impossibleReaction } from './findings/impossibleReaction.ts';
import { impossibleSigns } from './findings/impossibleSigns.ts';
import { leaningWords } from './findings/leaningWords.ts';
import { limbConflict } from './findings/limbConflict.ts';
import { lossWithoutTap } from './findings/lossWithoutTap.ts';
import { likelierOpposed, sameLanding } from './findings/oddChances.ts';
import { opensExposed } from './findings/opensExposed.ts';
import { orderFault } from './findings/orderFault.ts';
import { repeatedWords } from './findings/repeatedWords.ts';
import { letsUnlisted, moveClash, moveLetsUnlisted, shortClash } from './findings/shortNames.ts';
import { stepTrouble } from './findings/stepTrouble.ts';
import { unmetNeed } from './findings/unmetNeed.ts';
import { unreachable } from './findings/unreachable.ts';
import { unopposedOnly, untrained } from './findings/untrained.ts';
import { waitIsLost } from './findings/waitIsLost.ts';
import { neverPlayed, worthlessHolds, worthlessSuccess } from './findings/worthless.ts';

import { followed } from './walks.ts';

const CHECKS: readonly Check[] = [
  badReference,
  endlessLoop,
  unreachable,
  checkPositions(
    limbConflict,
    impossibleSigns,
    deadEnd,
    unmetNeed,
    impossibleReaction,
    waitIsLost,
    moveClash,
    letsUnlisted,
  ),
  checkMoves(
    orderFault,
    followed(opensExposed, stepTrouble, bareHandover),
    chance,
    attackWithoutHazard,
    hole,
    sameLanding,
    freePost,
    unopposedOnly,
    likelierOpposed,
    leaningWords,
    absentTrigger,
    cheapBreak,
    lossWithoutTap,
    moveLetsUnlisted,
  ),
  checkArrivals(arrivalGap, arrivalStance),
  clothWithoutJacket,
  clothMechanic,
  doseTooLong,
  rollWithoutHazard,
  barredMove,
  untrained,
  commonReaction,
  repeatedWords,
  shortClash,
  worthlessSuccess,
  worthlessHolds,
  neverPlayed,
];
const ORDER: Record<Severity, number> = { error: 0, warning: 1, note: 2 };

/** Everything about a map that deserves a coach's look, errors first; among them the map, its positions, its moves. */
export function validateMap(map: GuardMap, context: CheckContext = {}): Finding[] {
  return CHECKS.flatMap((check) => check(map, context)).sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}
