import { joinWords, targetName, wordContext } from '../../body/words.ts';
import type { Step } from '../../model/move.ts';
import { stepsOf } from '../../model/seconds.ts';
import type { Walk, WalkCheck } from '../walks.ts';

/**
 * A handover with nothing in hand: a step that lets the last hold on top go, or two holds at once, and takes
 * nothing. The last step of a move is left out: there the next position, or the finish, says what is held.
 */
export const bareHandover: WalkCheck = (move, position, walks) => {
  const steps = stepsOf(move).slice(0, -1);
  if (!steps.some(onlyReleases)) return [];
  const [first = [], ...others] = walks().map((walk) => bareSteps(walk, steps));
  const context = wordContext(position);
  return first
    .filter(({ step }) => others.every((bare) => bare.some((other) => other.step === step)))
    .map(({ step, gone, last }) => ({
      code: 'bare-handover',
      severity: 'warning',
      place: { kind: 'move', id: move.id, path: `steps.${step}` },
      sentence: `"${move.name}" lets go of ${joinWords(gone.map((hold) => targetName(hold.target, context)))} and takes nothing${last ? ': nothing holds top then' : ''}.`,
      mend: 'Take the next grip first, or in the same step.',
    }));
};

const onlyReleases = (step: Step): boolean => step.take.length === 0 && step.release.length > 0;

function bareSteps({ start, after }: Walk, steps: readonly Step[]) {
  return steps.flatMap((step, i) => {
    if (!onlyReleases(step)) return [];
    const before = after[i - 1] ?? start;
    const gone = before.holds.filter(
      (hold) => hold.target.of === 'top' && hold.contacts.every((contact) => step.release.includes(contact)),
    );
    const last = gone.length > 0 && !after[i]!.holds.some((hold) => hold.target.of === 'top');
    return last || gone.length > 1 ? [{ step: step.id, gone, last }] : [];
  });
}
