import { contactName, joinWords } from '../../body/words.ts';
import type { Contact } from '../../model/contacts.ts';
import { stepsOf } from '../../model/seconds.ts';
import { signOf } from '../../model/signs.ts';
import type { WalkCheck } from '../walks.ts';

const LEGS: readonly Contact[] = ['footL', 'footR', 'legL', 'legR'];
const EXPOSED = [
  ['own.heelL', 'exposed', 'own left heel is exposed'],
  ['own.heelR', 'exposed', 'own right heel is exposed'],
  ['own.kneeLineL', 'caught', 'own left knee line is caught'],
  ['own.kneeLineR', 'caught', 'own right knee line is caught'],
] as const;

/** In whatever moment the move begins, its steps let go with a leg while one's own leg is in danger. */
export const opensExposed: WalkCheck = (move, _, walks) => {
  const opens = stepsOf(move).some((step) => step.release.some((contact) => LEGS.includes(contact)));
  if (!opens) return [];
  const dangers = walks().map(({ start, after }) => {
    for (const [i, step] of stepsOf(move).entries()) {
      const opened = step.release.filter((contact) => LEGS.includes(contact));
      // What the step itself makes safe counts: the knee goes in as the feet open.
      const signs = { ...(after[i - 1] ?? start).signs, ...step.signs };
      const open = EXPOSED.find(([facet, value]) => signOf(signs, facet) === value);
      if (opened.length > 0 && open) return { step: step.id, words: open[2], opened };
    }
    return undefined;
  });
  const [first] = dangers;
  if (!first || dangers.some((danger) => !danger)) return [];
  return [
    {
      code: 'opens-exposed',
      severity: 'warning',
      place: { kind: 'move', id: move.id, path: `steps.${first.step}` },
      sentence: `"${move.name}" opens the ${joinWords(first.opened.map(contactName))} while ${first.words}.`,
      mend: 'Clear your knee line or hide the heel in an earlier step.',
    },
  ];
};
