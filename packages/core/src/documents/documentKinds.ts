import type { AnyDocument, DocumentKind } from './defineDocument.ts';
import { classDocument } from './kinds/classDocument.ts';
import { clubDocument } from './kinds/clubDocument.ts';
import { mapDocument } from './kinds/mapDocument.ts';

/** Every kind of document, by the word in addresses and tables. A new kind is registered here. */
export const DOCUMENT_KINDS = {
  map: mapDocument,
  class: classDocument,
  club: clubDocument,
} as const;
export type DocumentKindName = keyof typeof DOCUMENT_KINDS;
export const DOCUMENT_KIND_NAMES = Object.keys(DOCUMENT_KINDS) as [DocumentKindName, ...DocumentKindName[]];

/** A document of a kind. */
export type DocumentOf<K extends DocumentKindName> =
  (typeof DOCUMENT_KINDS)[K] extends DocumentKind<infer D> ? D : never;

const BY_FORMAT = new Map<string, DocumentKind>(
  Object.values(DOCUMENT_KINDS).map((kind) => [kind.format, kind as unknown as DocumentKind]),
);

/** The kind of a document, by its format. @throws Error for what is no document. */
export function documentKindOf({ format }: AnyDocument): DocumentKind {
  const kind = BY_FORMAT.get(format);
  if (!kind) throw new Error(`“${format}” is no kind of document`);
  return kind;
}
