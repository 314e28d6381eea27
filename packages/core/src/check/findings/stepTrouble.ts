import type { StepTrouble } from '../../body/followSteps.ts';
import { contactName, targetName, type WordContext, wordContext } from '../../body/words.ts';
import type { Command } from '../../documents/command.ts';
import { edit } from '../../documents/edit.ts';
import type { Move } from '../../model/move.ts';
import { stepsOf } from '../../model/seconds.ts';
import type { Finding } from '../finding.ts';
import type { WalkCheck } from '../walks.ts';

/**
 * A step that lets go of what was not held, lets go too early of a hold marked to be kept, or takes with a limb that is
 * busy. A move may be meant for after a reaction, so only what goes wrong in every way it can begin counts.
 */
export const stepTrouble: WalkCheck = (move, position, walks) => {
  const steps = stepsOf(move);
  if (!steps.some((step) => step.take.length + step.release.length > 0)) return [];
  const context = wordContext(position);
  // The last step is where the position ends: there a kept hold may go.
  const early = (trouble: StepTrouble) =>
    trouble.trouble !== 'keep-released' || trouble.step !== steps.at(-1)?.id;
  const runs = walks().map(({ troubles }) => troubles);
  const [first = [], ...others] = runs;
  return first
    .filter(
      (trouble) => early(trouble) && others.every((run) => run.some((other) => sameTrouble(trouble, other))),
    )
    .map((trouble) => describe(move, trouble, context));
};

const sameTrouble = (a: StepTrouble, b: StepTrouble): boolean =>
  a.step === b.step && a.trouble === b.trouble && a.contact === b.contact;

function describe(move: Move, trouble: StepTrouble, context: WordContext): Finding {
  const limb = contactName(trouble.contact);
  const place = { kind: 'move' as const, id: move.id, path: `steps.${trouble.step}` };
  switch (trouble.trouble) {
    case 'not-held':
      return {
        code: 'release-not-held',
        severity: 'warning',
        place,
        sentence: `"${move.name}" lets go with the ${limb}, which holds nothing.`,
        mend: 'Remove the release, or add the grip to the position.',
        ...withoutRelease(move, trouble),
      };
    case 'keep-released':
      return {
        code: 'keep-released',
        severity: 'warning',
        place,
        sentence: `"${move.name}" lets go of ${targetName(trouble.hold.target, context)}, a grip you must not lose.`,
        mend: 'Keep it until the position ends, or remove the mark.',
      };
    case 'busy':
      return {
        code: 'limb-conflict',
        severity: 'error',
        place,
        sentence: `In "${move.name}" the ${limb} takes ${targetName(trouble.wanted.target, context)} while it holds ${targetName(trouble.hold.target, context)}.`,
        mend: 'Let go first, or use another limb.',
      };
  }
}

/** The move without that release, where the step is one of its own. */
function withoutRelease(move: Move, { step: id, contact }: StepTrouble): { command?: Command } {
  if (!move.steps.some((step) => step.id === id)) return {};
  const steps = move.steps.map((step) =>
    step.id === id ? { ...step, release: step.release.filter((other) => other !== contact) } : step,
  );
  return { command: edit('move', move, { ...move, steps }) };
}
