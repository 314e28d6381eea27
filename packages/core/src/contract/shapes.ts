import { z } from 'zod';
import { CommandSchema } from '../documents/command.ts';
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

const revision = z.number().int().min(1);

/** A document with the revision it is at. */
export const StoredDocumentSchema = z.strictObject({ revision, document: DocumentSchema });
export type StoredDocument = z.infer<typeof StoredDocumentSchema>;

/** A line in the list of documents: what its kind shows of the head. */
export const DocumentSummarySchema = z.strictObject({
  id: IdSchema,
  revision,
  head: z.looseObject({ name: z.string() }),
});
export type DocumentSummary = z.infer<typeof DocumentSummarySchema>;

/** Made by whoever sends a change, once for each: the same key twice is the same change. */
const KeySchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{8,64}$/, '8 to 64 letters, digits, - and _, new for each change');
const WhoSchema = z.string().trim().max(60, 'at most 60 characters').default('');

export const ChangeSchema = z.strictObject({
  /** The revision that the change was made for. */
  base: revision,
  key: KeySchema,
  commands: z.array(CommandSchema).min(1, 'send at least one command').max(5000),
  who: WhoSchema,
});
export type Change = z.infer<typeof ChangeSchema>;

/** A change as it was made, for those who follow a document. */
export const MadeChangeSchema = z.strictObject({
  revision,
  key: KeySchema,
  command: CommandSchema,
  inverse: CommandSchema,
  at: z.iso.datetime(),
  who: z.string(),
});
export type MadeChange = z.infer<typeof MadeChangeSchema>;

/** A change with the document it belongs to, as it is told to every open screen. */
export const ChangeEventSchema = MadeChangeSchema.extend(DocumentAddressSchema.shape);
export type ChangeEvent = z.infer<typeof ChangeEventSchema>;

/** One line of a document's history. */
export const HistoryLineSchema = z.strictObject({
  revision,
  at: z.iso.datetime(),
  who: z.string(),
  what: z.string(),
});
export type HistoryLine = z.infer<typeof HistoryLineSchema>;

const IssueSchema = z.strictObject({
  path: z.array(z.union([z.string(), z.number()])),
  message: z.string(),
});

/** A field that was changed elsewhere since `base`, with both values; absent where there is none. */
const FieldOverlapSchema = z.strictObject({
  kind: z.string(),
  id: z.string(),
  path: z.array(z.string()),
  theirs: z.unknown().optional(),
  mine: z.unknown().optional(),
});
export type FieldOverlap = z.infer<typeof FieldOverlapSchema>;

/** How every refusal looks: a sentence, and where there are any the paths of what is wrong, or the fields that meet. */
export const RefusalSchema = z.strictObject({
  statusCode: z.number().int(),
  message: z.string(),
  issues: z.array(IssueSchema).optional(),
  /** Of a change that met others: the revision it met them at, and where. */
  revision: revision.optional(),
  overlaps: z.array(FieldOverlapSchema).optional(),
});
export type RefusalBody = z.infer<typeof RefusalSchema>;
