import type { GuardMap } from '../model/map.ts';
import type { Check, Finding, Severity } from './finding.ts';
import { badReference } from './findings/badReference.ts';
import { chance } from './findings/chance.ts';
import { clothWithoutJacket } from './findings/clothWithoutJacket.ts';
import { deadEnd } from './findings/deadEnd.ts';
import { hole } from './findings/hole.ts';
import { limbConflict } from './findings/limbConflict.ts';
import { stepTrouble } from './findings/stepTrouble.ts';
import { unreachable } from './findings/unreachable.ts';

const CHECKS: readonly Check[] = [
  badReference,
  limbConflict,
  stepTrouble,
  chance,
  clothWithoutJacket,
  hole,
  deadEnd,
  unreachable,
];
const ORDER: Record<Severity, number> = { error: 0, warning: 1, note: 2 };

/** Everything about a map that deserves a coach's look, errors first, then in the order of the checks. */
export function validateMap(map: GuardMap): Finding[] {
  return CHECKS.flatMap((check) => check(map)).sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}
