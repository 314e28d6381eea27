import { OUTCOME_WORDS } from '@aftersquall/core/body';
import {
  type GuardMap,
  isOutcome,
  type Landing,
  OUTCOMES,
  type Outcome,
  type ReactionRef,
} from '@aftersquall/core/model';
import type { Choice } from './SelectField.tsx';

/** A landing as the value of a select: "position:id", "~position:id" on the other side, "outcome:kind". */
export function landingValue(landing: Landing | undefined): string {
  if (!landing) return '';
  if (isOutcome(landing)) return `outcome:${landing.outcome}`;
  return `${landing.mirrored ? '~' : ''}position:${landing.position}`;
}

export function landingOf(value: string): Landing | undefined {
  const [kind, id = ''] = value.split(':');
  if (kind === 'outcome') return { outcome: id as Outcome };
  if (kind === 'position') return { position: id };
  return kind === '~position' ? { position: id, mirrored: true } : undefined;
}

export function landingChoices(map: GuardMap): Choice[] {
  return [
    ...OUTCOMES.map((outcome) => ({
      value: `outcome:${outcome}`,
      name: OUTCOME_WORDS[outcome],
      group: 'Outcomes',
    })),
    ...map.positions.map(({ id, name }) => ({ value: `position:${id}`, name, group: 'Positions' })),
    ...map.positions.map(({ id, name }) => ({
      value: `~position:${id}`,
      name: `${name}, mirrored`,
      group: 'Mirrored',
    })),
  ];
}

/** What `reactionKey` made one word, as it was. */
export function reactionOf(value: string): ReactionRef | 'none' {
  if (value === 'none') return 'none';
  return value.startsWith('~') ? { id: value.slice(1), mirrored: true } : { id: value };
}

export function reactionChoices(map: GuardMap): Choice[] {
  return [
    ...map.reactions.map(({ id, name, group }) => ({ value: id, name, group })),
    ...map.reactions.map(({ id, name }) => ({
      value: `~${id}`,
      name: `${name}, mirrored`,
      group: 'mirrored',
    })),
  ];
}
