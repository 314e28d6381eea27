import { OUTCOME_GOOD, OUTCOME_WORDS } from '../../body/landingWords.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { PositionCheck } from '../checkEach.ts';

const MAY_WAIT = /\byou (?:may|can) (?:wait|rest)\b/i;

/** A cue that says one may wait here, and a drift that says waiting is lost. */
export const waitIsLost: PositionCheck = (_, { id, name, cues, note = '', drift }) => {
  if (!drift || !isOutcome(drift) || OUTCOME_GOOD[drift.outcome] !== 'top') return [];
  const says = [...cues, note].find((text) => MAY_WAIT.test(text));
  if (says === undefined) return [];
  return [
    {
      code: 'wait-is-lost',
      severity: 'note',
      place: { kind: 'position', id, path: 'drift' },
      sentence: `In “${name}” a cue says “${says}”, but if you wait: ${OUTCOME_WORDS[drift.outcome]}.`,
      mend: 'Let waiting lead to a better place, or remove the cue.',
    },
  ];
};
