import { batch, type Command, set } from './command.ts';
import type { Entities, EntityKindName } from './entities.ts';
import { diffFields } from './fieldChanges.ts';

/** What turns an entity into another version of itself: just the fields that differ, the others are left alone. */
export function edit<K extends EntityKindName>(kind: K, before: Entities[K], after: Entities[K]): Command {
  const changes = diffFields(before, after);
  return changes.length > 0 ? set(kind, before.id, changes) : batch([]);
}

/** Whether a command does nothing at all. */
export const isEmpty = (command: Command): boolean =>
  command.do === 'batch' && command.commands.every(isEmpty);
