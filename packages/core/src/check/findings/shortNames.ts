import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Check, Finding } from '../finding.ts';

type Named = { id: string; name: string; short?: string | undefined };

/** Two things of one kind in one place that are called the same: across the mat nobody can tell them apart. */
export const shortClash: Check = (map) => [
  ...clashes(map.positions, 'position'),
  ...clashes(map.reactions, 'reaction'),
  ...clashes(map.mechanics, 'mechanic'),
  ...lookGroups(map).flatMap((moves) => clashes(moves, 'move')),
];

/** Moves that top sees as one are told apart by their names alone. */
const lookGroups = (map: GuardMap): Named[][] =>
  map.positions.flatMap((position) =>
    position.looks.map((look) =>
      indexMap(map)
        .movesOf(position.id)
        .filter((move) => move.look === look.id),
    ),
  );

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

/** A fault that lets a reaction through which top does not do where the fault is made. */
export const letsUnlisted: Check = (map) => {
  const { position: positions, reaction } = indexMap(map);
  const listedIn = new Map(
    map.positions.map(({ id, looks }) => [
      id,
      new Set(looks.flatMap(({ reactions }) => reactions.map((ref) => ref.id))),
    ]),
  );
  const found = (
    kind: 'position' | 'move',
    thing: Named & { faults: { text: string; lets?: string[] | undefined }[] },
    position: string,
  ): Finding[] =>
    thing.faults.flatMap(({ text, lets = [] }, i) =>
      lets
        .filter((id) => !listedIn.get(position)?.has(id))
        .map((id) => ({
          code: 'lets-unlisted',
          severity: 'note',
          place: { kind, id: thing.id, path: `faults.${i}` },
          sentence: `The fault “${text}” of “${thing.name}” lets through “${reaction.get(id)?.name ?? id}”, which no look of “${positions.get(position)?.name ?? position}” lists.`,
          mend: 'List the reaction in the look, or take it out of the fault.',
        })),
    );
  return [
    ...map.positions.flatMap((position) => found('position', position, position.id)),
    ...map.moves.flatMap((move) => found('move', move, move.position)),
  ];
};
