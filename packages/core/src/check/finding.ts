import type { Command } from '../documents/command.ts';
import type { EntityKind, GuardMap } from '../model/map.ts';
import type { Outcome } from '../model/outcome.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';

export type Severity = 'error' | 'warning' | 'note';

/** One thing worth a coach's look, with where it is and how it could be mended. */
export interface Finding {
  code: string;
  severity: Severity;
  place: { kind: EntityKind | 'map'; id: string; path?: string };
  sentence: string;
  mend: string;
  /** The mend as a change to the map, where one is sure to be meant. */
  command?: Command;
}

/** What a check may take into account beside the map. */
export interface CheckContext {
  /** The profile in use; without one nothing is barred. */
  rules?: RulesProfile;
  /** What things are worth, points, where the map has been weighed; without it worths are not asked about. */
  weighed?: {
    positions: Readonly<Record<string, number>>;
    outcomes: Readonly<Record<Outcome, number>>;
    /** Positions in which waiting is the best plan. */
    waiting: readonly string[];
  };
}

export type Check = (map: GuardMap, context: CheckContext) => Finding[];
