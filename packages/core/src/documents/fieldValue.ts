import { byId } from '../model/indexMap.ts';
import type { AnyDocument } from './defineDocument.ts';
import { documentKindOf } from './documentKinds.ts';
import { valueAt } from './fieldChanges.ts';
import { type Field, HEAD } from './fields.ts';
import { entityKind, listIn } from './lists.ts';

/** What a field of a document holds; undefined where there is nothing. */
export function fieldValue(document: AnyDocument, { kind, id, path }: Field): unknown {
  if (kind === HEAD) return valueAt(document, path);
  const definition = entityKind(documentKindOf(document), kind);
  return definition && valueAt(byId(listIn(document, definition)).get(id), path);
}
