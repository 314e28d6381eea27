import { edit } from '../../documents/edit.ts';
import type { Move, Step } from '../../model/move.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** A step before one it must come after. */
export const orderFault: MoveCheck = (_, move) => [
  ...wrongOrder(move, move.steps),
  ...move.variants.flatMap((variant) => wrongOrder(move, variant.steps, variant.id)),
];

function wrongOrder(move: Move, steps: readonly Step[], variant?: string): Finding[] {
  const place = new Map(steps.map(({ id }, i) => [id, i]));
  return steps.flatMap((step, i) =>
    (step.after ?? []).flatMap((earlier): Finding[] => {
      const at = place.get(earlier);
      if (at !== undefined && at < i) return [];
      const sorted = at === undefined ? undefined : inOrder(steps);
      return [
        {
          code: 'order-fault',
          severity: 'error',
          place: {
            kind: 'move',
            id: move.id,
            path: `${variant ? `variants.${variant}.` : ''}steps.${step.id}`,
          },
          sentence:
            at === undefined
              ? `In "${move.name}" step ${i + 1} must come after a step that is not there.`
              : `In "${move.name}" step ${i + 1} comes before step ${at + 1}, which has to be done first.`,
          mend: 'Put the steps in the safe order.',
          ...(sorted && { command: edit('move', move, withSteps(move, sorted, variant)) }),
        },
      ];
    }),
  );
}

const withSteps = (move: Move, steps: Step[], variant: string | undefined): Move =>
  variant
    ? {
        ...move,
        variants: move.variants.map((other) => (other.id === variant ? { ...other, steps } : other)),
      }
    : { ...move, steps };

/** The steps in the nearest order that keeps every `after`; undefined when they wait for each other. */
function inOrder(steps: readonly Step[]): Step[] | undefined {
  const left = [...steps];
  const done: Step[] = [];
  while (left.length > 0) {
    const next = left.findIndex((step) => (step.after ?? []).every((id) => !left.some((o) => o.id === id)));
    if (next < 0) return undefined;
    done.push(...left.splice(next, 1));
  }
  return done;
}
