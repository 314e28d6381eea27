import type { AnyDocument, DocumentKind, Entity, EntityKindDefinition } from './defineDocument.ts';
import { documentKindOf } from './documentKinds.ts';
import { RefusedError } from './issue.ts';

/** The definition of one kind of entity, with its types out of the way. */
export type AnyEntityKind = EntityKindDefinition<Entity>;

export const entityKind = (document: DocumentKind, kind: string): AnyEntityKind | undefined =>
  Object.hasOwn(document.entities, kind) ? document.entities[kind] : undefined;

/** The definition of a kind of entity. @throws RefusedError when the document has no such kind. */
export function needEntityKind(
  document: AnyDocument,
  kind: string,
  path: (string | number)[],
): AnyEntityKind {
  const definition = documentKindOf(document);
  const found = entityKind(definition, kind);
  if (found) return found;
  const kinds = Object.keys(definition.entities).join(', ');
  throw new RefusedError([
    { path: [...path, 'kind'], message: `a ${definition.kind} has no “${kind}”; it has ${kinds}` },
  ]);
}

/** The list of one kind of entity in a document. */
export const listIn = (document: AnyDocument, { list }: { list: string }): Entity[] =>
  (document as unknown as Record<string, Entity[]>)[list]!;

export const withList = <D extends AnyDocument>(
  document: D,
  { list }: { list: string },
  items: Entity[],
): D => ({
  ...document,
  [list]: items,
});
