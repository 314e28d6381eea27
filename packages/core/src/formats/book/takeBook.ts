import { applyCommand } from '../../documents/applyCommand.ts';
import { type BatchCommand, remove } from '../../documents/command.ts';
import { diffDocuments } from '../../documents/diffDocuments.ts';
import { badReferences } from '../../documents/documentIssues.ts';
import { diffFields } from '../../documents/fieldChanges.ts';
import type { Issue } from '../../documents/issue.ts';
import type { GuardMap } from '../../model/map.ts';
import { LIST_OF } from '../../model/map.ts';
import type { GuardBook } from './parseGuardBook.ts';

/** What of a map a book says, in the order in which one thing rests on another. */
const KINDS = ['system', 'mechanic', 'reaction', 'position', 'move', 'exchange', 'ending'] as const;
type Kind = (typeof KINDS)[number];

export interface BookChange {
  kind: Kind;
  id: string;
  /** Empty for an exchange, which is called by its move and reaction. */
  name: string;
  change: 'new' | 'changed' | 'gone';
}

/**
 * What taking a book into a map would do: things of the same id are as the book says, new ones come behind those there
 * are. With `whole` the map is to hold what the book says and nothing else: what it does not name goes, with whatever
 * hangs on it. One command does it; nothing is done where an id leads nowhere.
 */
export function takeBook(
  map: GuardMap,
  book: GuardBook,
  { whole = false } = {},
): { changes: BookChange[]; command: BatchCommand; issues: BookIssue[] } {
  const next = { ...(whole ? withoutOthers(map, book) : map) };
  for (const kind of KINDS) Object.assign(next, { [LIST_OF[kind]]: listAfter(next, book, kind, whole) });
  const changes = KINDS.flatMap((kind) => changesOf(map, next, kind));
  const issues = badReferences(next).map((issue) => ({ ...issue, at: thingAt(next, issue.path) }));
  const command = issues.length > 0 ? { do: 'batch' as const, commands: [] } : diffDocuments(map, next);
  return { changes, command: { ...command, label: 'Guard book' }, issues };
}

/** An id that leads nowhere, with the thing that has it: its kind and id, as `parseGuardBook` knows its place. */
export interface BookIssue extends Issue {
  at: string;
}

function thingAt(map: GuardMap, [list, place]: Issue['path']): string {
  const kind = KINDS.find((one) => LIST_OF[one] === list);
  const thing = kind && listOf(map, kind)[Number(place)];
  return thing ? `${kind} ${thing.id}` : '';
}

type Thing = { id: string; name?: string };
const listOf = (map: GuardBook, kind: Kind): readonly Thing[] => map[LIST_OF[kind]];

function listAfter(map: GuardMap, book: GuardBook, kind: Kind, whole: boolean): readonly Thing[] {
  const said = listOf(book, kind);
  if (whole) return said;
  const byId = new Map(said.map((thing) => [thing.id, thing]));
  const kept = listOf(map, kind).map((thing) => byId.get(thing.id) ?? thing);
  const known = new Set(kept.map(({ id }) => id));
  return [...kept, ...said.filter(({ id }) => !known.has(id))];
}

/** The map without what the book does not name; chains, habits and what-ifs lose what hung on it. */
function withoutOthers(map: GuardMap, book: GuardBook): GuardMap {
  let left = map;
  for (const kind of [...KINDS].reverse()) {
    const said = new Set(listOf(book, kind).map(({ id }) => id));
    for (const { id } of listOf(map, kind))
      if (!said.has(id) && listOf(left, kind).some((thing) => thing.id === id))
        left = applyCommand(left, remove(kind, id)).document;
  }
  return left;
}

function changesOf(before: GuardMap, after: GuardMap, kind: Kind): BookChange[] {
  const was = new Map(listOf(before, kind).map((thing) => [thing.id, thing]));
  const is = new Map(listOf(after, kind).map((thing) => [thing.id, thing]));
  const change = ({ id, name = '' }: Thing, how: BookChange['change']): BookChange => ({
    kind,
    id,
    name,
    change: how,
  });
  return [
    ...[...is.values()].flatMap((thing) => {
      const old = was.get(thing.id);
      if (!old) return [change(thing, 'new')];
      return diffFields(old, thing).length === 0 ? [] : [change(thing, 'changed')];
    }),
    ...[...was.values()].filter(({ id }) => !is.has(id)).map((thing) => change(thing, 'gone')),
  ];
}
