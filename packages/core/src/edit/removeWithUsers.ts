import type { EntityKind, GuardMap } from '../model/map.ts';
import { ENTITY_KINDS, type EntityOf, LIST_OF } from '../model/map.ts';
import { batch, type Command, put, remove } from './command.ts';
import { referencesOf } from './references.ts';

/**
 * One undoable command that removes a thing together with whatever cannot stand without it: a position's moves,
 * a move's exchanges, exchanges that lead to it, chains through them; mentions that can be dropped (a system on a
 * position, a reaction on a look, a drift, a prerequisite, a habit of an opponent) are dropped.
 */
export function removeWithUsers(map: GuardMap, kind: EntityKind, id: string): Command {
  const gone = new Set([`${kind}/${id}`]);
  const order: Command[] = [remove(kind, id)];
  for (let grew = true; grew; ) {
    grew = false;
    for (const otherKind of ['move', 'exchange', 'chain'] as const) {
      for (const item of map[LIST_OF[otherKind]]) {
        if (gone.has(`${otherKind}/${item.id}`) || !dependsOn(otherKind, item, gone)) continue;
        gone.add(`${otherKind}/${item.id}`);
        order.unshift(remove(otherKind, item.id));
        grew = true;
      }
    }
  }
  const puts: Command[] = [];
  for (const otherKind of ENTITY_KINDS) {
    for (const item of map[LIST_OF[otherKind]] as EntityOf<typeof otherKind>[]) {
      if (gone.has(`${otherKind}/${item.id}`)) continue;
      const cleaned = withoutMentions(otherKind, item, gone);
      if (cleaned !== item) puts.push(put(otherKind, cleaned as never));
    }
  }
  return batch([...puts, ...order], `Remove ${kind}`);
}

function dependsOn(
  kind: 'move' | 'exchange' | 'chain',
  item: EntityOf<'move'> | EntityOf<'exchange'> | EntityOf<'chain'>,
  gone: Set<string>,
): boolean {
  return referencesOf(kind, item as never).some(
    (reference) =>
      reference.path[0] !== 'requires' &&
      reference.path[0] !== 'otherwise' &&
      gone.has(`${reference.kind}/${reference.id}`),
  );
}

function withoutMentions(
  kind: EntityKind,
  item: EntityOf<EntityKind>,
  gone: Set<string>,
): EntityOf<EntityKind> {
  const hits = referencesOf(kind, item as never).filter((reference) =>
    gone.has(`${reference.kind}/${reference.id}`),
  );
  if (hits.length === 0) return item;
  const lost = (what: EntityKind, id: string) => gone.has(`${what}/${id}`);
  switch (kind) {
    case 'position': {
      const { drift, ...position } = item as EntityOf<'position'>;
      return {
        ...position,
        systems: position.systems.filter((system) => !lost('system', system)),
        looks: position.looks.map((look) => ({
          ...look,
          reactions: look.reactions.filter((ref) => !lost('reaction', ref.id)),
        })),
        ...(drift && !('position' in drift && lost('position', drift.position)) && { drift }),
      };
    }
    case 'move': {
      const move = item as EntityOf<'move'>;
      return {
        ...move,
        requires: move.requires.filter(
          (need) =>
            !('position' in need && lost('position', need.position)) &&
            !('move' in need && lost('move', need.move)),
        ),
      };
    }
    case 'exchange': {
      // Only `otherwise` can be hit here: without it the exchange falls back to its own position.
      const { otherwise: _, ...exchange } = item as EntityOf<'exchange'>;
      return exchange;
    }
    case 'opponent': {
      const opponent = item as EntityOf<'opponent'>;
      return {
        ...opponent,
        tendencies: opponent.tendencies
          .filter((tendency) => !lost('position', tendency.position))
          .flatMap((tendency) => {
            const reactions = tendency.reactions.filter((ref) => !lost('reaction', ref.id));
            if (reactions.length === tendency.reactions.length) return [tendency];
            // What is left is taken for the whole, so that the shares go on summing to one.
            const sum = reactions.reduce((total, { share }) => total + share, 0);
            if (sum === 0) return [];
            return [{ ...tendency, reactions: reactions.map((ref) => ({ ...ref, share: ref.share / sum })) }];
          }),
      };
    }
    case 'scenario': {
      const { opponent, ...scenario } = item as EntityOf<'scenario'>;
      return {
        ...scenario,
        forbiddenMoves: scenario.forbiddenMoves.filter((move) => !lost('move', move)),
        forbiddenReactions: scenario.forbiddenReactions.filter((reaction) => !lost('reaction', reaction)),
        chances: scenario.chances.filter((change) => !lost('exchange', change.exchange)),
        ...(opponent && !lost('opponent', opponent) && { opponent }),
      };
    }
    default:
      return item;
  }
}
