import { exchangeKey } from '../model/exchange.ts';
import { ENTITY_KINDS, type EntityKind, type EntityOf, type GuardMap, LIST_OF } from '../model/map.ts';
import { entityIssues } from './badReferences.ts';
import { batch, type Command, put, remove } from './command.ts';
import { type Issue, RefusedError } from './issue.ts';
import { referencesOf, resolves } from './references.ts';

export interface Applied {
  map: GuardMap;
  /** The command that takes the change back. */
  inverse: Command;
  /** What was written and what was taken out, each once, for whoever stores the map in rows. */
  touched: { kind: EntityKind; id: string }[];
}

/**
 * The map after a command. A batch is checked as a whole, so its parts may mention each other in any order.
 * @throws RefusedError when a thing to remove is missing, a reference would dangle, or the same move would
 * meet the same reaction twice; the map given is untouched.
 */
export function applyCommand(map: GuardMap, command: Command): Applied {
  const touched = new Map<string, { kind: EntityKind; id: string; path: (string | number)[] }>();
  const { map: next, inverse } = run(map, command, [], (kind, id, path) =>
    touched.set(`${kind}/${id}`, { kind, id, path }),
  );
  const issues = check(map, next, [...touched.values()]);
  if (issues.length > 0) throw new RefusedError(issues);
  return { map: next, inverse, touched: [...touched.values()].map(({ kind, id }) => ({ kind, id })) };
}

type Touch = (kind: EntityKind, id: string, path: (string | number)[]) => void;

function run(
  map: GuardMap,
  command: Command,
  path: (string | number)[],
  touch: Touch,
): { map: GuardMap; inverse: Command } {
  switch (command.do) {
    case 'put': {
      touch(command.kind, command.value.id, [...path, 'value']);
      return putInto(map, command.kind, command.value, command.at);
    }
    case 'remove': {
      touch(command.kind, command.id, [...path, 'id']);
      return removeFrom(map, command.kind, command.id, path);
    }
    case 'describe': {
      const { do: _, ...changes } = command;
      const before = { name: map.name, note: map.note, settings: map.settings };
      const given = Object.keys(changes) as (keyof typeof before)[];
      const old = Object.fromEntries(given.map((key) => [key, before[key]]));
      return { map: { ...map, ...changes }, inverse: { do: 'describe', ...old } };
    }
    case 'batch': {
      const inverses: Command[] = [];
      let current = map;
      command.commands.forEach((part, i) => {
        const applied = run(current, part, [...path, 'commands', i], touch);
        current = applied.map;
        inverses.unshift(applied.inverse);
      });
      return { map: current, inverse: batch(inverses, command.label) };
    }
  }
}

function putInto(map: GuardMap, kind: EntityKind, value: EntityOf<EntityKind>, at?: number) {
  const list = map[LIST_OF[kind]] as EntityOf<EntityKind>[];
  const place = list.findIndex((item) => item.id === value.id);
  if (place >= 0) {
    const next = list.with(place, value);
    return { map: { ...map, [LIST_OF[kind]]: next }, inverse: put(kind, list[place] as never) };
  }
  const next = list.toSpliced(at ?? list.length, 0, value);
  return { map: { ...map, [LIST_OF[kind]]: next }, inverse: remove(kind, value.id) };
}

function removeFrom(map: GuardMap, kind: EntityKind, id: string, path: (string | number)[]) {
  const list = map[LIST_OF[kind]] as EntityOf<EntityKind>[];
  const place = list.findIndex((item) => item.id === id);
  if (place < 0)
    throw new RefusedError([{ path: [...path, 'id'], message: `there is no ${kind} "${id}" to remove` }]);
  return {
    map: { ...map, [LIST_OF[kind]]: list.toSpliced(place, 1) },
    inverse: put(kind, list[place] as never, place),
  };
}

/** Checks what the change touched, and, where it took something away, whoever still mentions it. */
function check(
  before: GuardMap,
  map: GuardMap,
  touched: { kind: EntityKind; id: string; path: (string | number)[] }[],
): Issue[] {
  const issues: Issue[] = [];
  let lost = false;
  for (const { kind, id, path } of touched) {
    const value = find(map, kind, id);
    lost ||= !value || losesParts(find(before, kind, id), value);
    if (!value) continue;
    for (const issue of entityIssues(map, kind, value))
      issues.push({ ...issue, path: [...path, ...issue.path] });
    if (kind === 'exchange') {
      const exchange = value as EntityOf<'exchange'>;
      const key = exchangeKey(exchange);
      // The exchanges are not indexed yet after this change: one look through them is cheaper.
      const twin = map.exchanges.find(
        (other) => other.move === exchange.move && other.id !== id && exchangeKey(other) === key,
      );
      if (twin)
        issues.push({ path, message: `the same move already meets the same reaction in "${twin.id}"` });
    }
  }
  if (lost) issues.push(...stillNeeded(map, touched));
  return issues;
}

function find(map: GuardMap, kind: EntityKind, id: string): EntityOf<EntityKind> | undefined {
  return (map[LIST_OF[kind]] as EntityOf<EntityKind>[]).find((item) => item.id === id);
}

/** Whether a position has lost a look, or a move a variant, that others may mention. */
function losesParts(before: EntityOf<EntityKind> | undefined, after: EntityOf<EntityKind>): boolean {
  const parts = (value: EntityOf<EntityKind>): { id: string }[] =>
    'looks' in value ? value.looks : 'variants' in value ? value.variants : [];
  if (!before) return false;
  const left = new Set(parts(after).map(({ id }) => id));
  return parts(before).some(({ id }) => !left.has(id));
}

/** Mentions of what is gone, by things that the change did not touch. */
function stillNeeded(map: GuardMap, touched: { kind: EntityKind; id: string }[]): Issue[] {
  const seen = new Set(touched.map(({ kind, id }) => `${kind}/${id}`));
  return ENTITY_KINDS.flatMap((kind) =>
    (map[LIST_OF[kind]] as EntityOf<typeof kind>[])
      .filter((item) => !seen.has(`${kind}/${item.id}`))
      .flatMap((item) =>
        referencesOf(kind, item)
          .filter((reference) => !resolves(map, reference))
          .map((reference) => ({
            path: [],
            message: `${kind} "${item.id}" still needs the ${reference.kind} "${reference.id}"`,
          })),
      ),
  );
}
