import type { Entity } from './defineDocument.ts';
import type { Issue } from './issue.ts';

/** Two things of one inner list with the same id. Paths are from the entity. */
export function repeatedIds(
  lists: readonly [path: (string | number)[], items: readonly Entity[]][],
): Issue[] {
  return lists.flatMap(([path, items]) => {
    const seen = new Set<string>();
    return items.flatMap(({ id }, i) => {
      const twice = seen.has(id);
      seen.add(id);
      return twice ? [{ path: [...path, i, 'id'], message: `the id "${id}" is used twice here` }] : [];
    });
  });
}
