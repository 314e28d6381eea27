import { byId } from '../model/indexMap.ts';
import { type BatchCommand, batch, type Command, describe, place, put, removeAlone, set } from './command.ts';
import type { AnyDocument, Entity } from './defineDocument.ts';
import { documentKindOf } from './documentKinds.ts';
import { diffFields, same } from './fieldChanges.ts';
import { entityKind, listIn } from './lists.ts';

/**
 * One command that turns the first document into the second, the order of its lists included. Both are of one
 * kind. What is equal is left alone, and of what is not only the fields that differ are named.
 */
export function diffDocuments<D extends AnyDocument>(from: D, to: D, label?: string): BatchCommand {
  const kind = documentKindOf(from);
  const head = (document: D) =>
    Object.fromEntries(
      Object.keys(kind.head).map((key) => [key, (document as Record<string, unknown>)[key]]),
    );
  const changes = diffFields(head(from), head(to));
  const commands: Command[] = changes.length > 0 ? [describe(changes)] : [];
  for (const name of Object.keys(kind.entities)) {
    const definition = entityKind(kind, name)!;
    commands.push(...diffList(name as never, listIn(from, definition), listIn(to, definition)));
  }
  return batch(commands, label);
}

function diffList(kind: never, from: readonly Entity[], to: readonly Entity[]): Command[] {
  if (from === to) return [];
  const wanted = byId(to);
  const known = byId(from);
  const commands: Command[] = from.filter(({ id }) => !wanted.has(id)).map(({ id }) => removeAlone(kind, id));
  const order = from.map(({ id }) => id).filter((id) => wanted.has(id));
  to.forEach((item, at) => {
    const before = known.get(item.id);
    // The order in which fields were written is no difference.
    const fields = before && !same(before, item) ? diffFields(before, item) : [];
    if (fields.length > 0) commands.push(set(kind, item.id, fields));
    if (order[at] === item.id) return;
    if (before) {
      commands.push(place(kind, item.id, at));
      order.splice(order.indexOf(item.id), 1);
    } else {
      commands.push(put(kind, item as never, at));
    }
    order.splice(at, 0, item.id);
  });
  return commands;
}
