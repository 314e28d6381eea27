import { ENTITY_KINDS, type EntityKind, type EntityOf, type GuardMap, LIST_OF } from '../model/map.ts';
import { type BatchCommand, batch, type Command, put, remove } from './command.ts';

/**
 * One command that turns the first map into the second, the order of its lists included. Both have the same id.
 * Equal things are left alone; a thing that stands elsewhere in its list is taken out and put in again.
 */
export function diffMaps(from: GuardMap, to: GuardMap, label?: string): BatchCommand {
  const commands: Command[] = [];
  const heads = { name: to.name, note: to.note, settings: to.settings };
  if (!same({ name: from.name, note: from.note, settings: from.settings }, heads))
    commands.push({ do: 'describe', ...heads });
  for (const kind of ENTITY_KINDS) commands.push(...diffList(kind, listOf(from, kind), listOf(to, kind)));
  return batch(commands, label);
}

const listOf = (map: GuardMap, kind: EntityKind) => map[LIST_OF[kind]] as EntityOf<EntityKind>[];
const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

function diffList(
  kind: EntityKind,
  from: readonly EntityOf<EntityKind>[],
  to: readonly EntityOf<EntityKind>[],
): Command[] {
  const wanted = new Set(to.map(({ id }) => id));
  const known = new Map(from.map((item) => [item.id, item]));
  const commands: Command[] = from.filter(({ id }) => !wanted.has(id)).map(({ id }) => remove(kind, id));
  const order = from.map(({ id }) => id).filter((id) => wanted.has(id));
  to.forEach((item, place) => {
    const before = known.get(item.id);
    if (order[place] === item.id) {
      if (!same(before, item)) commands.push(put(kind, item as never));
      return;
    }
    if (before) {
      commands.push(remove(kind, item.id));
      order.splice(order.indexOf(item.id), 1);
    }
    commands.push(put(kind, item as never, place));
    order.splice(place, 0, item.id);
  });
  return commands;
}
