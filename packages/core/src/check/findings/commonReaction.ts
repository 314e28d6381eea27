import { byId } from '../../model/indexMap.ts';
import type { Move } from '../../model/move.ts';
import type { Position } from '../../model/position.ts';
import type { Reaction } from '../../model/reaction.ts';
import { remember } from '../../model/remember.ts';
import { signOf } from '../../model/signs.ts';
import type { Check, Finding } from '../finding.ts';

/** So many positions like this one must list a reaction, and so great a share of them, before it counts as common. */
const MIN_ALIKE_POSITIONS = 3;
const SHARE = 0.75;

const listed = remember(
  (position: Position): Set<string> =>
    new Set(position.looks.flatMap((look) => look.reactions.map(({ id }) => id))),
);

/** What top does in most positions of the same system and stance, but never here as far as the map says. */
export const commonReaction: Check = ({ positions, moves, reactions }) =>
  findCommon(positions, moves, reactions);

const findCommon = remember(
  (positions: readonly Position[], moves: readonly Move[], reactions: readonly Reaction[]) => {
    const moved = new Set(moves.map(({ position }) => position));
    const names = byId(reactions);
    const lists = new Map(positions.map((position) => [position.id, listed(position)]));
    const groups = new Map<string, Position[]>();
    for (const position of positions) {
      for (const system of position.systems) {
        const key = `${system} ${signOf(position.signs, 'top.stance')}`;
        const group = groups.get(key);
        if (group) group.push(position);
        else groups.set(key, [position]);
      }
    }
    const seen = new Set<string>();
    return [...groups.values()].flatMap((group): Finding[] => {
      const counts = new Map<string, number>();
      for (const { id } of group)
        for (const met of lists.get(id)!) counts.set(met, (counts.get(met) ?? 0) + 1);
      const common = [...counts].filter(
        ([, count]) => count >= MIN_ALIKE_POSITIONS && count >= SHARE * (group.length - 1),
      );
      if (common.length === 0) return [];
      return group.flatMap((position): Finding[] => {
        const own = lists.get(position.id)!;
        if (own.size === 0 || !moved.has(position.id)) return [];
        return common
          .filter(([id]) => !own.has(id))
          .filter(([id]) => !seen.has(`${position.id} ${id}`) && seen.add(`${position.id} ${id}`))
          .map(([id, count]) => ({
            code: 'common-reaction',
            severity: 'note',
            place: { kind: 'position', id: position.id, path: 'looks' },
            sentence: `"${position.name}" does not list "${names.get(id)?.name}"; ${count} of ${group.length - 1} positions like it do.`,
            mend: 'Add it where top can do it. Leave it out where top cannot.',
          }));
      });
    });
  },
);
