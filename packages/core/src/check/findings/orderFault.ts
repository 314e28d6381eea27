import { contactName, joinWords } from '../../body/words.ts';
import { edit } from '../../documents/edit.ts';
import type { Contact } from '../../model/contacts.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move, Step } from '../../model/move.ts';
import { stepsOf } from '../../model/seconds.ts';
import { signOf } from '../../model/signs.ts';
import { checkMoves } from '../checkEach.ts';
import type { Check, Finding } from '../finding.ts';
import { walksOf } from '../walks.ts';

/** A step before one it must come after, and legs that open while an own heel or knee line is exposed. */
export const orderFault: Check = checkMoves((map, move) => [
  ...wrongOrder(move, move.steps),
  ...move.variants.flatMap((variant) => wrongOrder(move, variant.steps, variant.id)),
  ...opensExposed(map, move),
]);

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

const LEGS: readonly Contact[] = ['footL', 'footR', 'legL', 'legR'];
const EXPOSED = [
  ['own.heelL', 'exposed', 'own left heel is exposed'],
  ['own.heelR', 'exposed', 'own right heel is exposed'],
  ['own.kneeLineL', 'caught', 'own left knee line is caught'],
  ['own.kneeLineR', 'caught', 'own right knee line is caught'],
] as const;

/** In whatever moment the move begins, its steps let go with a leg while one's own leg is in danger. */
function opensExposed(map: GuardMap, move: Move): Finding[] {
  const position = indexMap(map).position.get(move.position);
  const opens = stepsOf(move).some((step) => step.release.some((contact) => LEGS.includes(contact)));
  if (!position || !opens) return [];
  const dangers = walksOf(map, position, move).map(({ start, after }) => {
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
      mend: 'Clear the own knee line or hide the heel in a step before.',
    },
  ];
}
