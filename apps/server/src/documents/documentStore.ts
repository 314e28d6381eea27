import { addressKey, type DocumentAddress } from '@aftersquall/core/contract';
import {
  type AnyDocument,
  type Applied,
  DOCUMENT_KINDS,
  type DocumentKindName,
  isOrder,
  RefusedError,
  zodIssues,
} from '@aftersquall/core/documents';
import { type EntityManager, IsNull } from 'typeorm';
import { DocumentRow, EntityRow } from '../database/rows/documentRows.ts';
import { placeNumbers } from './listOrder.ts';

/** A document in use, kept in memory with the numbers of its places. */
export interface OpenDocument {
  revision: number;
  /** When it was first kept. */
  born: string;
  document: AnyDocument;
  /** `ord` of every entity, by kind and id. */
  places: ReadonlyMap<string, number>;
}

const placeKey = (kind: string, id: string): string => `${kind}/${id}`;
const now = () => new Date().toISOString();
const asRecord = (document: AnyDocument) => document as unknown as Record<string, unknown>;
const entityLists = (kind: DocumentKindName) =>
  Object.entries(DOCUMENT_KINDS[kind].entities).map(([name, { list }]) => ({ name, list }));

/** A document without its lists and without what its address says. */
function headOf(kind: DocumentKindName, document: AnyDocument): DocumentRow['head'] {
  const lists = new Set(entityLists(kind).map(({ list }) => list));
  const { id: _, format: __, version: ___, ...fields } = asRecord(document);
  const head = Object.fromEntries(Object.entries(fields).filter(([key]) => !lists.has(key)));
  return { ...head, name: document.name };
}

const entitiesOf = (document: AnyDocument, list: string) => asRecord(document)[list] as { id: string }[];

/** Reads a document; undefined when there is none, or it was removed. Throws when what is kept is none. */
export async function loadDocument(
  manager: EntityManager,
  address: DocumentAddress,
): Promise<OpenDocument | undefined> {
  const row = await manager.findOneBy(DocumentRow, { key: addressKey(address), removedAt: IsNull() });
  if (!row) return undefined;
  const rows = await manager.find(EntityRow, {
    where: { document: row.key },
    order: { kind: 'ASC', ord: 'ASC' },
  });
  const kind = DOCUMENT_KINDS[address.kind];
  const lists = entityLists(address.kind).map(({ name, list }) => [
    list,
    rows.filter((entity) => entity.kind === name).map(({ body }) => body),
  ]);
  const document = kind.schema.parse({
    format: kind.format,
    version: 1,
    id: address.id,
    ...row.head,
    ...Object.fromEntries(lists),
  });
  const places = new Map(rows.map((entity) => [placeKey(entity.kind, entity.id), entity.ord]));
  return { revision: row.revision, born: row.createdAt, document, places };
}

/** Writes a new document whole, at revision 1. */
export async function insertDocument(
  manager: EntityManager,
  kind: DocumentKindName,
  document: AnyDocument,
): Promise<OpenDocument> {
  const key = addressKey({ kind, id: document.id });
  const born = now();
  await manager.insert(DocumentRow, {
    key,
    kind,
    id: document.id,
    head: headOf(kind, document),
    revision: 1,
    createdAt: born,
    updatedAt: born,
  });
  const places = new Map<string, number>();
  for (const { name, list } of entityLists(kind)) {
    for (const [ord, body] of entitiesOf(document, list).entries()) {
      places.set(placeKey(name, body.id), ord);
      await writeEntity(manager, key, name, body, ord);
    }
  }
  return { revision: 1, born, document, places };
}

/** Writes what a change touched, and nothing else. Gives the document as it is kept now. */
export async function saveChange(
  manager: EntityManager,
  address: DocumentAddress,
  open: OpenDocument,
  { document, touched }: Applied<AnyDocument>,
): Promise<OpenDocument> {
  const key = addressKey(address);
  const revision = open.revision + 1;
  await manager.query('UPDATE document SET head = ?, revision = ?, updated_at = ? WHERE key = ?', [
    JSON.stringify(headOf(address.kind, document)),
    revision,
    now(),
    key,
  ]);
  let { places } = open;
  for (const { name, list } of entityLists(address.kind)) {
    const fields = touched.filter(({ kind }) => kind === name);
    if (fields.length === 0) continue;
    const entities = entitiesOf(document, list);
    const changed = new Set(fields.filter(({ id }) => id !== '').map(({ id }) => id));
    const moved = fields.some(isOrder) ? newPlaces(name, entities, places) : new Map<string, number>();
    const written = entities.filter(({ id }) => changed.has(id) || moved.has(id));
    const gone = [...changed].filter((id) => !written.some((entity) => entity.id === id));
    if (moved.size + gone.length > 0) {
      const next = new Map(places);
      for (const id of gone) next.delete(placeKey(name, id));
      for (const [id, ord] of moved) next.set(placeKey(name, id), ord);
      places = next;
    }
    for (const id of gone)
      await manager.query('DELETE FROM entity WHERE document = ? AND kind = ? AND id = ?', [key, name, id]);
    for (const body of written)
      await writeEntity(manager, key, name, body, places.get(placeKey(name, body.id))!);
  }
  return { revision, born: open.born, document, places };
}

/** Numbers for the places of what is new in a list or has moved. */
function newPlaces(
  kind: string,
  entities: readonly { id: string }[],
  places: ReadonlyMap<string, number>,
): Map<string, number> {
  const known = new Map<string, number>();
  for (const { id } of entities) {
    const place = places.get(placeKey(kind, id));
    if (place !== undefined) known.set(id, place);
  }
  return placeNumbers(
    entities.map(({ id }) => id),
    known,
  );
}

function writeEntity(
  manager: EntityManager,
  document: string,
  kind: string,
  body: { id: string },
  ord: number,
) {
  return manager.query(
    `INSERT INTO entity (document, kind, id, ord, body) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT (document, kind, id) DO UPDATE SET ord = excluded.ord, body = excluded.body`,
    [document, kind, body.id, ord, JSON.stringify(body)],
  );
}

/** Deletes whatever was removed before a moment, with its history. */
export async function purgeRemoved(manager: EntityManager, before: string): Promise<void> {
  const gone = 'SELECT key FROM document WHERE removed_at IS NOT NULL AND removed_at < ?';
  for (const table of ['entity', 'change'])
    await manager.query(`DELETE FROM ${table} WHERE document IN (${gone})`, [before]);
  await manager.query('DELETE FROM document WHERE removed_at IS NOT NULL AND removed_at < ?', [before]);
}

/** A document of a kind from data of any origin. @throws RefusedError with the path of every problem. */
export function parseDocument(kind: DocumentKindName, data: unknown): AnyDocument {
  const parsed = DOCUMENT_KINDS[kind].schema.safeParse(data);
  if (!parsed.success) throw new RefusedError(zodIssues(parsed.error));
  return parsed.data;
}
