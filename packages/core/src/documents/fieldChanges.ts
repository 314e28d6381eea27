import type { FieldChange } from './command.ts';
import type { Entity } from './defineDocument.ts';
import { RefusedError } from './issue.ts';

type Fields = Record<string, unknown>;

export const same = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === 'object' && typeof b === 'object' && JSON.stringify(a) === JSON.stringify(b));

/** Whether a value is a list of things with ids that all differ: its things are fields of their own then. */
function isEntityList(value: unknown): value is Entity[] {
  if (!Array.isArray(value)) return false;
  const ids = new Set(value.map((item) => (item as Partial<Entity> | null)?.id));
  return ids.size === value.length && value.every((item) => typeof item?.id === 'string');
}

/**
 * The fewest field changes that turn one value into another. A list of things with ids is compared thing by thing
 * as long as those that stay keep their order; any other value is one field.
 */
export function diffFields(before: object, after: object, path: string[] = []): FieldChange[] {
  const [old, next] = [before as Fields, after as Fields];
  return [...new Set([...Object.keys(old), ...Object.keys(next)])].flatMap((key) => {
    if (same(old[key], next[key])) return [];
    const at = [...path, key];
    return (
      diffLists(old[key], next[key], at) ?? [
        next[key] === undefined ? { path: at } : { path: at, value: next[key] },
      ]
    );
  });
}

function diffLists(before: unknown, after: unknown, path: string[]): FieldChange[] | undefined {
  if (!isEntityList(before) || !isEntityList(after)) return undefined;
  const [old, next] = [new Map(before.map((item) => [item.id, item])), new Set(after.map(({ id }) => id))];
  const kept = before.filter(({ id }) => next.has(id)).map(({ id }) => id);
  const keptAfter = after.filter(({ id }) => old.has(id)).map(({ id }) => id);
  if (kept.length === 0 || kept.some((id, i) => keptAfter[i] !== id)) return undefined;
  return [
    ...before.filter(({ id }) => !next.has(id)).map(({ id }) => ({ path: [...path, id] })),
    ...after.flatMap((item, at): FieldChange[] => {
      const known = old.get(item.id);
      return known
        ? diffFields(known, item, [...path, item.id])
        : [{ path: [...path, item.id], value: item, at }];
    }),
  ];
}

/**
 * A value with some of its fields changed, and the changes that take that back.
 * @throws RefusedError when a path leads nowhere, or a thing's id is not the one its path ends in.
 */
export function changeFields<T extends object>(
  value: T,
  changes: readonly FieldChange[],
): { value: T; inverse: FieldChange[] } {
  let current: unknown = value;
  const inverse: FieldChange[] = [];
  for (const change of changes) {
    const changed = changeAt(current, change.path, change);
    current = changed.value;
    inverse.unshift({ path: change.path, ...changed.back });
  }
  return { value: current as T, inverse };
}

interface Changed {
  value: unknown;
  back: Omit<FieldChange, 'path'>;
}

function changeAt(node: unknown, [key = '', ...rest]: readonly string[], change: FieldChange): Changed {
  const nowhere = () =>
    new RefusedError([{ path: change.path, message: `there is no “${key}” here to change` }]);
  if (Array.isArray(node)) {
    const place = node.findIndex((item) => item?.id === key);
    if (rest.length === 0) return changeItem(node, key, place, change, nowhere);
    if (place < 0) throw nowhere();
    const inner = changeAt(node[place], rest, change);
    return { value: node.with(place, inner.value), back: inner.back };
  }
  if (node === null || typeof node !== 'object') throw nowhere();
  const fields = node as Fields;
  if (rest.length > 0) {
    if (fields[key] === undefined) throw nowhere();
    const inner = changeAt(fields[key], rest, change);
    return { value: { ...fields, [key]: inner.value }, back: inner.back };
  }
  const { [key]: old, ...others } = fields;
  return {
    value: change.value === undefined ? others : { ...fields, [key]: change.value },
    back: old === undefined ? {} : { value: old },
  };
}

function changeItem(
  list: readonly unknown[],
  id: string,
  place: number,
  { value, at, path }: FieldChange,
  nowhere: () => RefusedError,
): Changed {
  if (value === undefined) {
    if (place < 0) throw nowhere();
    return { value: list.toSpliced(place, 1), back: { value: list[place], at: place } };
  }
  if ((value as Partial<Entity> | null)?.id !== id)
    throw new RefusedError([{ path, message: `what is put here has to have the id “${id}”` }]);
  if (place >= 0) return { value: list.with(place, value), back: { value: list[place] } };
  return { value: list.toSpliced(at ?? list.length, 0, value), back: {} };
}

/** The value of a field; undefined where there is none. */
export function valueAt(node: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>((at, key) => {
    if (Array.isArray(at)) return at.find((item) => item?.id === key);
    return at === null || typeof at !== 'object' ? undefined : (at as Fields)[key];
  }, node);
}
