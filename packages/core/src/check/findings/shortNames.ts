import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import type { Position } from '../../model/position.ts';
import { remember } from '../../model/remember.ts';
import type { MoveCheck, PositionCheck } from '../checkEach.ts';
import type { Check, Finding } from '../finding.ts';

type Named = { id: string; name: string; short?: string | undefined };

/** Two things of one kind that are called the same: across the mat nobody can tell them apart. */
export const shortClash: Check = (map) => [
  ...clashesOf(map.positions, 'position'),
  ...clashesOf(map.reactions, 'reaction'),
  ...clashesOf(map.mechanics, 'mechanic'),
];

/** The same of the moves that top sees as one: only their names tell them apart. */
export const moveClash: PositionCheck = (map, position) =>
  position.looks.flatMap((look) =>
    clashes(
      indexMap(map)
        .movesOf(position.id)
        .filter((move) => move.look === look.id),
      'move',
    ),
  );

const clashesOf = remember(clashes);

function clashes(things: readonly Named[], kind: 'position' | 'reaction' | 'mechanic' | 'move'): Finding[] {
  const first = new Map<string, Named>();
  return things.flatMap((thing): Finding[] => {
    if (!thing.short) return [];
    const key = thing.short.toLowerCase();
    const other = first.get(key);
    first.set(key, other ?? thing);
    if (!other) return [];
    return [
      {
        code: 'short-clash',
        severity: 'note',
        place: { kind, id: thing.id, path: 'short' },
        sentence: `“${other.name}” and “${thing.name}” are both called “${thing.short}”.`,
        mend: 'Give one of them another short name.',
      },
    ];
  });
}

/** A fault of a position that lets a reaction through which top does not do there. */
export const letsUnlisted: PositionCheck = (map, position) => unlistedBy(map, 'position', position, position);

/** The same of the faults of a move. */
export const moveLetsUnlisted: MoveCheck = (map, move) =>
  unlistedBy(map, 'move', move, indexMap(map).position.get(move.position));

function unlistedBy(
  map: GuardMap,
  kind: 'position' | 'move',
  { id: by, name, faults }: Position | Move,
  position: Position | undefined,
): Finding[] {
  const listed = new Set(position?.looks.flatMap(({ reactions }) => reactions.map(({ id }) => id)));
  return faults.flatMap(({ text, lets = [] }, i) =>
    lets
      .filter((id) => !listed.has(id))
      .map((id) => ({
        code: 'lets-unlisted',
        severity: 'note',
        place: { kind, id: by, path: `faults.${i}` },
        sentence: `The fault “${text}” of “${name}” lets top do “${indexMap(map).reaction.get(id)?.name ?? id}”, which “${position?.name ?? 'its position'}” does not list.`,
        mend: 'List the reaction there, or remove it from the fault.',
      })),
  );
}
