import { z } from 'zod';
import { FieldOverlapSchema, MadeChangeSchema, RevisionSchema } from '../documents/change.ts';
import { DOCUMENT_KIND_NAMES } from '../documents/documentKinds.ts';
import { ClassSchema } from '../model/classPlan.ts';
import { ClubSchema } from '../model/club.ts';
import { MapSchema } from '../model/map.ts';
import { IdSchema } from '../model/primitives.ts';

/** Any document, by its format. */
export const DocumentSchema = z.discriminatedUnion('format', [MapSchema, ClassSchema, ClubSchema]);

export const KindSchema = z.enum(DOCUMENT_KIND_NAMES);
export const DocumentAddressSchema = z.strictObject({ kind: KindSchema, id: IdSchema });
/** Where a document is: its kind and its id. */
export type DocumentAddress = z.infer<typeof DocumentAddressSchema>;
/** An address as one word: `map/kelpwick`. */
export const addressKey = ({ kind, id }: DocumentAddress): string => `${kind}/${id}`;

/** A document with the revision it is at. */
export const StoredDocumentSchema = z.strictObject({
  revision: RevisionSchema,
  /** When it was first kept here: another document under the same id, after a fresh start, has another one. */
  born: z.iso.datetime(),
  document: DocumentSchema,
});
export type StoredDocument = z.infer<typeof StoredDocumentSchema>;

/** What was made of a document after a revision, a page of it. */
export const ChangesPageSchema = z.strictObject({
  revision: RevisionSchema,
  born: z.iso.datetime(),
  changes: z.array(MadeChangeSchema),
});
export type ChangesPage = z.infer<typeof ChangesPageSchema>;

/** A document that was removed and can still be given back. */
export const RemovedDocumentSchema = z.strictObject({
  kind: KindSchema,
  id: IdSchema,
  name: z.string(),
  removedAt: z.iso.datetime(),
  /** After this moment it is gone for good. */
  keptUntil: z.iso.datetime(),
});
export type RemovedDocument = z.infer<typeof RemovedDocumentSchema>;

/** A line in the list of documents: what its kind shows of the head. */
export const DocumentSummarySchema = z.strictObject({
  id: IdSchema,
  revision: RevisionSchema,
  head: z.looseObject({ name: z.string() }),
});
export type DocumentSummary = z.infer<typeof DocumentSummarySchema>;

/** A change with the document it belongs to, as it is told to every open screen. */
export const ChangeEventSchema = MadeChangeSchema.extend(DocumentAddressSchema.shape);
export type ChangeEvent = z.infer<typeof ChangeEventSchema>;

/** One line of a document's history. */
export const HistoryLineSchema = z.strictObject({
  revision: RevisionSchema,
  at: z.iso.datetime(),
  who: z.string(),
  what: z.string(),
});
export type HistoryLine = z.infer<typeof HistoryLineSchema>;

const IssueSchema = z.strictObject({
  path: z.array(z.union([z.string(), z.number()])),
  message: z.string(),
});

/** How every refusal looks: a sentence, and where there are any the paths of what is wrong, or the fields that meet. */
export const RefusalSchema = z.strictObject({
  statusCode: z.number().int(),
  message: z.string(),
  issues: z.array(IssueSchema).optional(),
  /** Of a change that met others: the revision it met them at, and where. */
  revision: RevisionSchema.optional(),
  overlaps: z.array(FieldOverlapSchema).optional(),
});
export type RefusalBody = z.infer<typeof RefusalSchema>;
