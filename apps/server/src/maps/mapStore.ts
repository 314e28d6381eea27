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
import type { EntityManager } from 'typeorm';
import { fromRow, toRow } from './rows/convert.ts';
import { ENTITY_ROWS } from './rows/entityRows.ts';
import { MapRow } from './rows/map.row.ts';

const listOf = (map: GuardMap, kind: EntityKind) => map[LIST_OF[kind]] as EntityOf<EntityKind>[];
const now = () => new Date().toISOString();

/** Reads a map from its rows; undefined when there is none. Throws when the rows are not a map. */
export async function loadMap(
  manager: EntityManager,
  id: string,
): Promise<{ revision: number; map: GuardMap } | undefined> {
  const row = await manager.findOneBy(MapRow, { id });
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
    for (let i = 0; i < rows.length; i += 200)
      await manager.insert(ENTITY_ROWS[kind], rows.slice(i, i + 200));
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
  for (const id of ids) {
    const place = list.findIndex((item) => item.id === id);
    if (place < 0) {
      await manager.delete(row, { mapId: map.id, id });
      continue;
    }
    const known = await manager.findOne(row, {
      where: { mapId: map.id, id },
      select: { id: true, ord: true },
    });
    const ord = known?.ord ?? ((await manager.maximum(row, 'ord', { mapId: map.id })) ?? -1) + 1;
    await manager.upsert(row, toRow(map.id, ord, kind, list[place]!), ['mapId', 'id']);
    if (!known && place < list.length - 1) await renumber(manager, map, kind);
  }
}

/** After something came back into the middle of a list, every row gets its place in the list anew. */
async function renumber(manager: EntityManager, map: GuardMap, kind: EntityKind): Promise<void> {
  for (const [ord, { id }] of listOf(map, kind).entries()) {
    await manager.update(ENTITY_ROWS[kind], { mapId: map.id, id }, { ord });
  }
}
