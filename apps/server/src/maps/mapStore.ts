import {
  type Applied,
  ENTITY_KINDS,
  type EntityKind,
  type EntityOf,
  type GuardMap,
  LIST_OF,
  MAP_FORMAT,
  MAP_VERSION,
  parseMap,
} from '@aftersquall/core';
import { type EntityManager, In, IsNull } from 'typeorm';
import { fromRow, toRow } from './rows/convert.ts';
import { ENTITY_ROWS } from './rows/entityRows.ts';
import { MapRow } from './rows/map.row.ts';

const listOf = (map: GuardMap, kind: EntityKind) => map[LIST_OF[kind]] as EntityOf<EntityKind>[];
const now = () => new Date().toISOString();

/** Reads a map from its rows; undefined when there is none, or it was removed. Throws when the rows are not a map. */
export async function loadMap(
  manager: EntityManager,
  id: string,
): Promise<{ revision: number; map: GuardMap } | undefined> {
  const row = await manager.findOneBy(MapRow, { id, removedAt: IsNull() });
  if (!row) return undefined;
  const { name, note, settings, revision } = row;
  const document: Record<string, unknown> = {
    format: MAP_FORMAT,
    version: MAP_VERSION,
    id,
    name,
    note,
    settings,
  };
  for (const kind of ENTITY_KINDS) {
    const rows = await manager.find(ENTITY_ROWS[kind], { where: { mapId: id }, order: { ord: 'ASC' } });
    document[LIST_OF[kind]] = rows.map((entity) => fromRow(kind, entity));
  }
  return { revision, map: parseMap(document) };
}

/** Writes a new map whole, at revision 1. */
export async function insertMap(manager: EntityManager, map: GuardMap): Promise<void> {
  const { id, name, note, settings } = map;
  await manager.insert(MapRow, { id, name, note, settings, revision: 1, createdAt: now(), updatedAt: now() });
  for (const kind of ENTITY_KINDS) {
    const rows = listOf(map, kind).map((value, ord) => toRow(id, ord, kind, value));
    for (const some of chunks(rows)) await manager.insert(ENTITY_ROWS[kind], some);
  }
}

/** Writes what a command changed, and nothing else. */
export async function saveChange(
  manager: EntityManager,
  { map, touched }: Applied,
  revision: number,
): Promise<void> {
  const { id, name, note, settings } = map;
  await manager.update(MapRow, { id }, { name, note, settings, revision, updatedAt: now() });
  for (const kind of new Set(touched.map((thing) => thing.kind))) {
    await saveList(
      manager,
      map,
      kind,
      touched.filter((thing) => thing.kind === kind).map((thing) => thing.id),
    );
  }
}

async function saveList(
  manager: EntityManager,
  map: GuardMap,
  kind: EntityKind,
  ids: string[],
): Promise<void> {
  const row = ENTITY_ROWS[kind];
  const list = listOf(map, kind);
  const wanted = new Set(ids);
  const place = new Map<string, number>();
  list.forEach(({ id }, i) => {
    if (wanted.has(id)) place.set(id, i);
  });
  const gone = ids.filter((id) => !place.has(id));
  for (const some of chunks(gone)) await manager.delete(row, { mapId: map.id, id: In(some) });
  const kept = ids.filter((id) => place.has(id)).sort((a, b) => place.get(a)! - place.get(b)!);
  const ords = new Map<string, number>();
  for (const some of chunks(kept)) {
    const known = await manager.find(row, {
      where: { mapId: map.id, id: In(some) },
      select: { id: true, ord: true },
    });
    for (const { id, ord } of known) ords.set(id, ord);
  }
  const added = kept.filter((id) => !ords.has(id));
  if (added.length > 0) {
    const last = (await manager.maximum(row, 'ord', { mapId: map.id })) ?? -1;
    added.forEach((id, i) => {
      ords.set(id, last + 1 + i);
    });
  }
  for (const some of chunks(kept)) {
    const rows = some.map((id) => toRow(map.id, ords.get(id)!, kind, list[place.get(id)!]!));
    await manager.upsert(row, rows, ['mapId', 'id']);
  }
  // What was added stands at the end of the rows; if it stands elsewhere in the list, the order is written anew.
  const atEnd = added.every((id, i) => place.get(id) === list.length - added.length + i);
  if (!atEnd) await renumber(manager, map, kind);
}

/** Gives every row its place in the list, where it has another one. */
async function renumber(manager: EntityManager, map: GuardMap, kind: EntityKind): Promise<void> {
  const row = ENTITY_ROWS[kind];
  const rows = await manager.find(row, { where: { mapId: map.id }, select: { id: true, ord: true } });
  const ords = new Map(rows.map(({ id, ord }) => [id, ord]));
  for (const [ord, { id }] of listOf(map, kind).entries()) {
    if (ords.get(id) !== ord) await manager.update(row, { mapId: map.id, id }, { ord });
  }
}

/** So many at a time that no statement has more variables than SQLite takes. */
function chunks<T>(items: readonly T[]): T[][] {
  const size = 200;
  return Array.from({ length: Math.ceil(items.length / size) }, (_, i) =>
    items.slice(i * size, (i + 1) * size),
  );
}
