import { exchangeKey } from '../model/exchange.ts';
import { ENTITY_KINDS, type EntityKind, type EntityOf, type GuardMap, LIST_OF } from '../model/map.ts';
import type { Issue } from './issue.ts';
import { referencesOf, resolves } from './references.ts';

/** The lists of things inside an entity whose ids must differ from each other. */
function innerLists(kind: EntityKind, value: EntityOf<EntityKind>): [string, readonly { id: string }[]][] {
  if (kind === 'position') {
    const position = value as EntityOf<'position'>;
    return [
      ['looks', position.looks],
      ['holds', position.holds],
      ['topHolds', position.topHolds],
      ['faults', position.faults],
    ];
  }
  if (kind === 'move') {
    const move = value as EntityOf<'move'>;
    return [
      ['variants', move.variants],
      ['steps', move.steps],
      ['faults', move.faults],
      ...move.variants.map((variant, i): [string, readonly { id: string }[]] => [
        `variants.${i}.steps`,
        variant.steps,
      ]),
    ];
  }
  return [];
}

/** What a thing says twice, or says of something that is not there. Paths are from the thing. */
export function entityIssues<K extends EntityKind>(map: GuardMap, kind: K, value: EntityOf<K>): Issue[] {
  const issues: Issue[] = [];
  for (const [list, items] of innerLists(kind, value)) {
    const seen = new Set<string>();
    items.forEach((item, i) => {
      if (seen.has(item.id)) {
        issues.push({
          path: [...list.split('.'), i, 'id'],
          message: `the id "${item.id}" is used twice here`,
        });
      }
      seen.add(item.id);
    });
  }
  for (const reference of referencesOf(kind, value)) {
    if (!resolves(map, reference)) {
      issues.push({
        path: reference.path,
        message: `there is no ${reference.kind} "${reference.id}"${reference.owner ? ` in "${reference.owner}"` : ''}`,
      });
    }
  }
  return issues;
}

/** Every duplicate id, dangling reference and doubled exchange of a map, with its path in the document. */
export function badReferences(map: GuardMap): Issue[] {
  const issues: Issue[] = [];
  for (const kind of ENTITY_KINDS) {
    const list = map[LIST_OF[kind]] as EntityOf<typeof kind>[];
    const seen = new Set<string>();
    list.forEach((item, i) => {
      const path = [LIST_OF[kind], i];
      if (seen.has(item.id))
        issues.push({ path: [...path, 'id'], message: `the id "${item.id}" is used twice` });
      seen.add(item.id);
      for (const issue of entityIssues(map, kind, item))
        issues.push({ ...issue, path: [...path, ...issue.path] });
    });
  }
  const keys = new Map<string, number>();
  map.exchanges.forEach((exchange, i) => {
    const first = keys.get(exchangeKey(exchange));
    if (first === undefined) keys.set(exchangeKey(exchange), i);
    else
      issues.push({
        path: ['exchanges', i],
        message: `the same move already meets the same reaction in "${map.exchanges[first]!.id}"`,
      });
  });
  return issues;
}
