import {
  type GuardMap,
  HAZARD_TAGS,
  type HazardTag,
  type HoldClass,
  indexMap,
  MOVE_KIND_WORDS,
  MOVE_KINDS,
  type Move,
  remember,
  type WhatIf,
} from '@aftersquall/core/model';
import type { Choice } from '../../components/fields/SelectField.tsx';
import type { Changes } from '../../store/whatIf.ts';
import { holdClassesOf, holdClassName } from './holdClasses.ts';

/** Moves that are taken out in one pick. */
interface MoveClass {
  key: string;
  name: string;
  moves: string[];
}

const LEG_ATTACKS: readonly HazardTag[] = [
  'heel-hook',
  'knee-reap',
  'knee-bar',
  'toe-hold',
  'calf-slicer',
  'straight-ankle',
];

/** The attacks on legs, every caution, kind of move and guard system of the map, with its moves. */
const moveClassesOf = remember((map: GuardMap): MoveClass[] => {
  const all = (key: string, name: string, test: (move: Move) => boolean): MoveClass => ({
    key,
    name,
    moves: map.moves.filter(test).map(({ id }) => id),
  });
  const systemsOf = (move: Move) => indexMap(map).position.get(move.position)?.systems ?? [];
  return [
    all('legs', 'leg attacks', ({ hazards }) => hazards.some((tag) => LEG_ATTACKS.includes(tag))),
    ...HAZARD_TAGS.map((tag) =>
      all(`hazard:${tag}`, `anything with: ${tag.replaceAll('-', ' ')}`, ({ hazards }) =>
        hazards.includes(tag),
      ),
    ),
    ...MOVE_KINDS.map((kind) =>
      all(`kind:${kind}`, `every ${MOVE_KIND_WORDS[kind]}`, (move) => move.kind === kind),
    ),
    ...map.systems.map(({ id, name }) =>
      all(`system:${id}`, `the system ${name}`, (move) => systemsOf(move).includes(id)),
    ),
  ].filter(({ moves }) => moves.length > 0);
});

/** What can be taken out of the game: a whole class of moves, a class of holds, something top does, a move. */
export const withoutChoices = (map: GuardMap): Choice[] => [
  { value: '', name: 'Without …' },
  ...moveClassesOf(map).map(({ key, name, moves }) => ({
    value: `class ${key}`,
    name: `Without ${name} (${moves.length})`,
    group: 'Kinds of moves',
  })),
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
export function withoutTaken(map: GuardMap, whatIf: WhatIf, choice: string): Partial<Changes> {
  const [kind, ...rest] = choice.split(' ');
  const what = rest.join(' ');
  if (kind === 'holds') {
    const holds = JSON.parse(what) as HoldClass;
    const others = whatIf.forbiddenHolds.filter((pattern) => JSON.stringify(pattern) !== what);
    return { forbiddenHolds: [...others, holds] };
  }
  if (kind === 'reaction') return { forbiddenReactions: added(whatIf.forbiddenReactions, what) };
  if (kind === 'class') {
    const moves = moveClassesOf(map).find(({ key }) => key === what)?.moves ?? [];
    return { forbiddenMoves: [...new Set([...whatIf.forbiddenMoves, ...moves])] };
  }
  if (kind === 'move') return { forbiddenMoves: added(whatIf.forbiddenMoves, what) };
  return {};
}

/** Forbidden moves as the fewest whole classes, the largest first, and those that are left over. */
function inClasses(map: GuardMap, forbidden: readonly string[]): { classes: MoveClass[]; single: string[] } {
  const left = new Set(forbidden);
  const classes: MoveClass[] = [];
  for (const one of [...moveClassesOf(map)].sort((a, b) => b.moves.length - a.moves.length)) {
    // One move by itself is called by its own name.
    if (one.moves.length < 2 || !one.moves.every((id) => forbidden.includes(id))) continue;
    if (!one.moves.some((id) => left.has(id))) continue;
    classes.push(one);
    for (const id of one.moves) left.delete(id);
  }
  return { classes, single: forbidden.filter((id) => left.has(id)) };
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
  const { classes, single } = inClasses(map, forbiddenMoves);
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
    ...classes.map(({ key, name, moves }) => ({
      key: `class ${key}`,
      name: `Without ${name} (${moves.length})`,
      back: { forbiddenMoves: forbiddenMoves.filter((one) => !moves.includes(one)) },
    })),
    ...single.map((id) => ({
      key: `move ${id}`,
      name: `Without ${index.move.get(id)?.name ?? id}`,
      back: { forbiddenMoves: forbiddenMoves.filter((one) => one !== id) },
    })),
  ];
}
