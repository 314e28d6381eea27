import { doseSeconds } from '../../model/dose.ts';
import type { Check, Finding } from '../finding.ts';

/** A movement of the set-up is given this long at most, seconds. Common practice, no published source. */
const MAX_DOSE_SECONDS = 120;

/** A movement whose dose cannot be done in the time that a set-up has for one. */
export const doseTooLong: Check = ({ mechanics }) =>
  mechanics.flatMap(({ id, name, dose = '' }): Finding[] => {
    const seconds = doseSeconds(dose);
    if (seconds === undefined || seconds <= MAX_DOSE_SECONDS) return [];
    return [
      {
        code: 'dose-too-long',
        severity: 'note',
        place: { kind: 'mechanic', id, path: 'dose' },
        sentence: `“${name}” takes at least ${Math.round(seconds / 30) / 2} minutes (${dose}); a warm-up has two for it.`,
        mend: 'Give fewer reps or rounds.',
      },
    ];
  });
