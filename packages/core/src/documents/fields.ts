import type { BatchCommand, Command, FieldChange } from './command.ts';

/**
 * One field of a document, the unit in which two people's changes meet: of an entity (an empty path is the whole
 * of it), or of the head.
 */
export interface Field {
  kind: string;
  id: string;
  path: string[];
}

/** The kind and id under which the head fields of a document go. */
export const HEAD = 'head';
/** Stands for the order of a list, in place of an id. No id is empty. */
const ORDER = '';

/** The order of a document's list of one kind. */
export const orderField = (kind: string): Field => ({ kind, id: ORDER, path: [] });
/** Whether a field is the order of a list. Orders never conflict: the server's order of changes settles them. */
export const isOrder = ({ id, path }: Field): boolean => id === ORDER || path.at(-1) === ORDER;

/** The fields that a list of field changes touches: what comes or goes in an inner list touches its order too. */
function fieldsOfChanges(kind: string, id: string, changes: readonly FieldChange[]): Field[] {
  return changes.flatMap(({ path, value, at }) => {
    const field = { kind, id, path };
    return value === undefined || at !== undefined
      ? [field, { kind, id, path: [...path.slice(0, -1), ORDER] }]
      : [field];
  });
}

/** What a command touches as far as it says so itself; what a removal takes along is said by its inverse. */
export function fieldsOf(command: Command): Field[] {
  switch (command.do) {
    case 'put':
      return [{ kind: command.kind, id: command.value.id, path: [] }, orderField(command.kind)];
    case 'remove':
      return [{ kind: command.kind, id: command.id, path: [] }, orderField(command.kind)];
    case 'set':
      return fieldsOfChanges(command.kind, command.id, command.changes);
    case 'place':
      return [orderField(command.kind)];
    case 'describe':
      return fieldsOfChanges(HEAD, HEAD, command.changes);
    case 'batch':
      return command.commands.flatMap(fieldsOf);
  }
}

/** Everything that a change touched, by the command and the inverse that are kept of it. */
export const fieldsOfChange = ({ command, inverse }: { command: Command; inverse: Command }): Field[] => [
  ...fieldsOf(command),
  ...fieldsOf(inverse),
];

const isPrefix = (short: readonly string[], long: readonly string[]): boolean =>
  short.length <= long.length && short.every((part, i) => part === long[i]);

/** Whether two fields are one, or one is part of the other. */
export const meet = (a: Field, b: Field): boolean =>
  a.kind === b.kind && a.id === b.id && (isPrefix(a.path, b.path) || isPrefix(b.path, a.path));

/** The fields that both sides touched, each once and as narrow as either side names it; orders left aside. */
export function overlap(mine: readonly Field[], theirs: readonly Field[]): Field[] {
  const byEntity = new Map<string, Field[]>();
  for (const field of theirs) {
    if (isOrder(field)) continue;
    const key = `${field.kind}/${field.id}`;
    byEntity.set(key, [...(byEntity.get(key) ?? []), field]);
  }
  const found = new Map<string, Field>();
  for (const field of mine) {
    if (isOrder(field)) continue;
    for (const other of byEntity.get(`${field.kind}/${field.id}`) ?? []) {
      if (!meet(field, other)) continue;
      const narrow = other.path.length > field.path.length ? other : field;
      found.set(JSON.stringify(narrow), narrow);
    }
  }
  // Where a field and a part of it were both named, the part says enough.
  const all = [...found.values()];
  return all.filter(
    (field) =>
      !all.some((other) => other !== field && meet(field, other) && other.path.length > field.path.length),
  );
}

/**
 * A command without what it does to some fields; undefined where nothing is left of it. Its inverse says what a
 * removal takes along.
 */
export function withoutFields(
  { command, inverse }: { command: Command; inverse: Command },
  fields: readonly Field[],
): Command | undefined {
  const hit = (field: Field) => !isOrder(field) && fields.some((other) => meet(field, other));
  switch (command.do) {
    case 'batch': {
      const commands = partsOf(command, inverse).flatMap((part) => withoutFields(part, fields) ?? []);
      return commands.length > 0 ? { ...command, commands } : undefined;
    }
    case 'set':
    case 'describe': {
      const [kind, id] = command.do === 'set' ? [command.kind, command.id] : [HEAD, HEAD];
      const changes = command.changes.filter(({ path }) => !hit({ kind, id, path }));
      return changes.length > 0 ? { ...command, changes } : undefined;
    }
    default:
      return fieldsOfChange({ command, inverse }).some(hit) ? undefined : command;
  }
}

/** The commands of a batch, each with its own inverse: those stand in the opposite order. */
export function partsOf(command: BatchCommand, inverse: Command): { command: Command; inverse: Command }[] {
  const inverses = inverse.do === 'batch' ? inverse.commands.toReversed() : [];
  return command.commands.map((part, i) => ({ command: part, inverse: inverses[i] ?? inverse }));
}
