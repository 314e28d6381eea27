import type { z } from 'zod';
import type { Issue } from './issue.ts';

/** Anything that is kept in a document's lists. */
export interface Entity {
  id: string;
}

/** A document: some head fields and lists of entities. Its `format` says of which kind it is. */
export interface AnyDocument {
  format: string;
  id: string;
  name: string;
}

/** A mention of one entity by another. */
export interface Reference {
  /** Where it stands in the entity that makes it. */
  path: (string | number)[];
  kind: string;
  id: string;
  /** A part of the entity that is meant, such as a look of a position: the list that holds it, its id and its word. */
  part?: { list: string; id: string; word: string };
  /**
   * What becomes of the entity that makes the mention when what it mentions is removed: it goes too, or only
   * what stands at this path is taken out of it.
   */
  onLoss: 'remove' | { drop: (string | number)[] };
}

/** One kind of entity of a document. */
export interface EntityKindDefinition<E extends Entity> {
  /** The field of the document that holds the list. */
  list: string;
  schema: z.ZodType<E, unknown>;
  /** What it is called in the history; the name of its kind when absent. */
  word?: string;
  /** What an entity mentions; nothing when absent. */
  references?(value: E): Reference[];
  /** What is wrong inside an entity or between it and others of its list; paths are from the entity. */
  check?(document: AnyDocument, value: E): Issue[];
  /** Makes an entity whole again after mentions were dropped from it. */
  tidy?(value: E): E;
  /** What an entity is called in the history; its `name` when absent. */
  nameOf?(document: AnyDocument, value: E): string;
}

/** All that a new kind of document needs. `defineDocument` checks it by its types. */
export interface DocumentKind<D extends AnyDocument = AnyDocument> {
  /** The word in addresses and tables. */
  kind: string;
  format: string;
  schema: z.ZodType<D, unknown>;
  /** Head fields that may be described anew, with their words in the history. */
  head: Record<string, string>;
  /** Head fields that the list of all documents shows. */
  summary: readonly string[];
  /** Kinds of entities in the order in which a document is written. */
  entities: Record<string, EntityKindDefinition<Entity>>;
  /** Words of a field in the history, where its own name would not do. */
  fieldWords?: Record<string, string>;
  /** A value in words for the history ("45 %"); undefined where it takes too many. */
  valueWords?: (field: string, value: unknown) => string | undefined;
}

/**
 * A kind of document, with the type of its documents said and its kinds of entities inferred:
 * `defineDocument<GuardMap>()({ … })`.
 */
export const defineDocument =
  <D extends AnyDocument>() =>
  <const E extends Record<string, EntityKindDefinition<Entity>>>(
    definition: Omit<DocumentKind<D>, 'entities'> & { entities: E },
  ): DocumentKind<D> & { entities: E } =>
    definition;
