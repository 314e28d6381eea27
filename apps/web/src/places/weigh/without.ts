import type { GuardMap, WeighOptions } from '@aftersquall/core';
import type { Choice } from '../../components/fields/SelectField.tsx';
import { HOLD_CLASSES } from './holdClasses.ts';

/** What can be taken out of the game: a class of holds, something top does, a move. */
export const withoutChoices = (map: GuardMap): Choice[] => [
  { value: '', name: 'With everything' },
  ...HOLD_CLASSES.map(({ name }) => ({ value: `holds ${name}`, name: `Without ${name}`, group: 'Holds' })),
  ...map.reactions.map(({ id, name }) => ({
    value: `reaction ${id}`,
    name: `Top never: ${name}`,
    group: 'What top does',
  })),
  ...map.moves.map(({ id, name }) => ({ value: `move ${id}`, name: `Without ${name}`, group: 'Moves' })),
];

/** The choice as options of the weighing; nothing for no choice. */
export function withoutOptions(choice: string): WeighOptions {
  const [kind, ...rest] = choice.split(' ');
  const what = rest.join(' ');
  const holds = HOLD_CLASSES.find(({ name }) => name === what)?.holds;
  if (kind === 'holds' && holds) return { forbiddenHolds: [holds] };
  if (kind === 'reaction') return { forbiddenReactions: [what] };
  if (kind === 'move') return { forbiddenMoves: [what] };
  return {};
}
