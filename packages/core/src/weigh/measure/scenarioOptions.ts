import type { GuardMap } from '../../model/map.ts';
import { CLUB_LEVEL } from '../../model/playLevel.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import type { WhatIf } from '../../model/scenario.ts';
import type { WeighOptions } from '../game/mapGame.ts';
import { softnessOf } from '../game/softness.ts';

/**
 * A scenario as options of the weighing.
 * @param profiles the rules profiles there are
 * @throws RangeError for a rules profile or an opponent that is not there any more
 */
export function scenarioOptions(
  map: GuardMap,
  whatIf: WhatIf,
  profiles: readonly RulesProfile[],
): WeighOptions {
  const rules = profiles.find(({ id }) => id === whatIf.rules);
  if (whatIf.rules !== undefined && !rules)
    throw new RangeError(`there is no rules profile “${whatIf.rules}” any more: choose another one`);
  const opponent = map.opponents.find(({ id }) => id === whatIf.opponent);
  if (whatIf.opponent !== undefined && !opponent)
    throw new RangeError('the opponent of this what-if is gone: choose another one');
  return {
    rules,
    apparel: whatIf.apparel,
    continuation: whatIf.continuation,
    rest: whatIf.rest,
    submissionWorth: whatIf.submissionWorth,
    outcomeWorth: whatIf.outcomeWorth,
    forbiddenMoves: whatIf.forbiddenMoves,
    forbiddenHolds: whatIf.forbiddenHolds,
    forbiddenReactions: whatIf.forbiddenReactions,
    sparedJoints: whatIf.sparedJoints,
    level: softnessOf(whatIf.level ?? CLUB_LEVEL),
    chances: new Map(whatIf.chances.map(({ exchange, chance }) => [exchange, chance])),
    ...(opponent && { tendencies: opponent.tendencies, trust: whatIf.trust ?? 0 }),
  };
}
