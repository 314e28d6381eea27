import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';
import { joins, matchesPattern } from '../model/holdPattern.ts';
import type { Step } from '../model/move.ts';
import type { Signs } from '../model/signs.ts';
import { releaseContacts } from './releaseContacts.ts';

/** What is held and what can be seen at one moment. */
export interface Moment {
  holds: Hold[];
  topHolds: Hold[];
  signs: Signs;
}

export type StepTrouble =
  | { step: string; trouble: 'not-held'; contact: Contact }
  | { step: string; trouble: 'keep-released'; contact: Contact; hold: Hold }
  | { step: string; trouble: 'busy'; contact: Contact; hold: Hold; wanted: Hold };

/** The moment after one step: what it releases goes first, then what it takes comes. */
export function followStep(moment: Moment, step: Step): { moment: Moment; troubles: StepTrouble[] } {
  const troubles: StepTrouble[] = [];
  for (const contact of step.release) {
    const held = moment.holds.find((hold) => hold.contacts.includes(contact));
    if (!held) troubles.push({ step: step.id, trouble: 'not-held', contact });
    else if (held.keep && held.contacts.every((sharing) => step.release.includes(sharing))) {
      troubles.push({ step: step.id, trouble: 'keep-released', contact, hold: held });
    }
  }
  let holds = step.release.length > 0 ? releaseContacts(moment.holds, step.release) : moment.holds;
  for (const wanted of step.take) {
    holds = holds.filter((hold) => !joins(wanted, hold));
    for (const contact of wanted.contacts) {
      const hold = holds.find((other) => other.contacts.includes(contact));
      if (hold) troubles.push({ step: step.id, trouble: 'busy', contact, hold, wanted });
    }
    holds.push(wanted);
  }
  let { topHolds, signs } = moment;
  if (step.topReleases || step.topTakes) {
    topHolds = topHolds
      .filter((hold) => !step.topReleases?.some((pattern) => matchesPattern(hold, pattern, 'top')))
      .concat(step.topTakes ?? []);
  }
  if (step.signs) signs = { ...signs, ...step.signs };
  return { moment: { holds, topHolds, signs }, troubles };
}

/** The moment after all steps in their order, with everything that could not be done as written. */
export function followSteps(
  moment: Moment,
  steps: readonly Step[],
): { moment: Moment; troubles: StepTrouble[] } {
  const troubles: StepTrouble[] = [];
  let current = moment;
  for (const step of steps) {
    const followed = followStep(current, step);
    current = followed.moment;
    troubles.push(...followed.troubles);
  }
  return { moment: current, troubles };
}
