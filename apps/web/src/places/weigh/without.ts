import { type GuardMap, type HoldClass, indexMap, type WhatIf } from '@aftersquall/core';
import type { Choice } from '../../components/fields/SelectField.tsx';
import type { Changes } from '../../store/whatIf.ts';
import { holdClassesOf, holdClassName } from './holdClasses.ts';

/** What can be taken out of the game: a class of holds, something top does, a move. */
export const withoutChoices = (map: GuardMap): Choice[] => [
  { value: '', name: 'Nothing more' },
  ...holdClassesOf(map).map(({ name, holds }) => ({
    value: `holds ${JSON.stringify(holds)}`,
    name: `Without ${name}`,
    group: 'Holds',
  })),
  ...map.reactions.map(({ id, name }) => ({
    value: `reaction ${id}`,
    name: `Top never: ${name}`,
    group: 'What top does',
  })),
  ...map.moves.map(({ id, name }) => ({ value: `move ${id}`, name: `Without ${name}`, group: 'Moves' })),
];

const added = <T>(list: readonly T[], item: T): T[] => (list.includes(item) ? [...list] : [...list, item]);

/** The what-if with one thing more taken away. */
export function withoutTaken(whatIf: WhatIf, choice: string): Partial<Changes> {
  const [kind, ...rest] = choice.split(' ');
  const what = rest.join(' ');
  if (kind === 'holds') {
    const holds = JSON.parse(what) as HoldClass;
    const others = whatIf.forbiddenHolds.filter((pattern) => JSON.stringify(pattern) !== what);
    return { forbiddenHolds: [...others, holds] };
  }
  if (kind === 'reaction') return { forbiddenReactions: added(whatIf.forbiddenReactions, what) };
  if (kind === 'move') return { forbiddenMoves: added(whatIf.forbiddenMoves, what) };
  return {};
}

export interface Taken {
  key: string;
  name: string;
  /** What gives it back. */
  back: Partial<Changes>;
}

/** Everything that is taken away, in words. */
export function takenAway(map: GuardMap, whatIf: WhatIf): Taken[] {
  const index = indexMap(map);
  const { forbiddenHolds, forbiddenMoves, forbiddenReactions } = whatIf;
  return [
    ...forbiddenHolds.map((holds) => ({
      key: JSON.stringify(holds),
      name: `Without ${holdClassName(holds)}`,
      back: { forbiddenHolds: forbiddenHolds.filter((one) => one !== holds) },
    })),
    ...forbiddenReactions.map((id) => ({
      key: `reaction ${id}`,
      name: `Top never: ${index.reaction.get(id)?.name ?? id}`,
      back: { forbiddenReactions: forbiddenReactions.filter((one) => one !== id) },
    })),
    ...forbiddenMoves.map((id) => ({
      key: `move ${id}`,
      name: `Without ${index.move.get(id)?.name ?? id}`,
      back: { forbiddenMoves: forbiddenMoves.filter((one) => one !== id) },
    })),
  ];
}
