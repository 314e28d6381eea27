import { z } from 'zod';
import { ChangeSchema } from '../documents/change.ts';
import { WEIGHING_SHEETS } from '../formats/weighingSheet.ts';
import { PoseRecordSchema } from '../model/poseRecord.ts';
import { PracticeFilterSchema, PracticeSchema, RecallPastSchema } from '../model/practice.ts';
import { PracticeRecordSchema, RecordKeySchema } from '../model/practiceRecord.ts';
import { IdSchema, NameSchema } from '../model/primitives.ts';
import { WhatIfSchema } from '../model/scenario.ts';
import { defineRoute } from './route.ts';
import {
  ChangesPageSchema,
  DocumentAddressSchema,
  DocumentSchema,
  DocumentSummarySchema,
  HistoryLineSchema,
  KindSchema,
  RemovedDocumentSchema,
  StoredDocumentSchema,
} from './shapes.ts';

/** So many changes, and so many lines of history, come at once. */
export const CHANGES_PAGE = 200;
export const HISTORY_PAGE = 100;
/** A removed document can be given back for so many days. */
export const REMOVED_DAYS = 30;

const none = z.strictObject({});
const PoseKeySchema = z.string().regex(/^[0-9a-f]{16}$/, 'sixteen hexadecimal digits');
const mapId = z.strictObject({ id: IdSchema });
const noSuch = 'there is no such document';
const revisionNumber = z.coerce.number().int().min(0);
/** A weighing is computed, never sent in: here stands what scripts read first, the whole in docs/api.md. */
const WeighingSchema = z.looseObject({
  entry: z.number(),
  entryIfAnswered: z.number(),
  gain: z.number(),
  worst: z.number(),
  positions: z.array(z.looseObject({ position: IdSchema, value: z.number() })),
  holes: z.array(z.looseObject({ position: IdSchema, move: IdSchema, stake: z.number() })),
  visits: z.record(IdSchema, z.number()),
});

/** A what-if in an address, written as JSON; nothing means the map as it is. */
const WhatIfQuerySchema = z.strictObject({
  whatIf: z
    .string()
    .default('{}')
    .transform((text, context): unknown => {
      try {
        return JSON.parse(text);
      } catch {
        context.addIssue({ code: 'custom', message: 'the what-if has to be written as JSON' });
        return z.NEVER;
      }
    })
    .pipe(WhatIfSchema),
});

/** Every route of the server, once. */
export const ROUTES = {
  health: defineRoute({
    method: 'GET',
    path: '/api/health',
    summary: 'Whether the server is there.',
    params: none,
    query: none,
    status: 200,
    response: z.strictObject({ ok: z.literal(true) }),
    errors: {},
  }),
  listDocuments: defineRoute({
    method: 'GET',
    path: '/api/documents/:kind',
    summary: 'The documents of a kind that are not removed: maps oldest first, classes newest first.',
    params: z.strictObject({ kind: KindSchema }),
    query: none,
    status: 200,
    response: z.array(DocumentSummarySchema),
    errors: {},
  }),
  createDocument: defineRoute({
    method: 'POST',
    path: '/api/documents/:kind',
    summary:
      'Saves a new document, whole. A map file is one. The server saves nothing unless all of it is right.',
    params: z.strictObject({ kind: KindSchema }),
    query: none,
    body: DocumentSchema,
    status: 201,
    response: z.strictObject({ id: IdSchema, revision: z.literal(1) }),
    errors: { 409: 'there is one with its id, perhaps removed' },
  }),
  getDocument: defineRoute({
    method: 'GET',
    path: '/api/documents/:kind/:id',
    summary: 'A document, whole, with its revision.',
    params: DocumentAddressSchema,
    query: none,
    status: 200,
    response: StoredDocumentSchema,
    errors: { 404: noSuch },
  }),
  changeDocument: defineRoute({
    method: 'POST',
    path: '/api/documents/:kind/:id/changes',
    summary:
      'Makes a change, as one line of history. It may have been made for an older revision as long as nothing that it touches was touched since. Sent again with the same key it gives the same answer and changes nothing.',
    params: DocumentAddressSchema,
    query: none,
    body: ChangeSchema,
    status: 200,
    response: z.strictObject({ revision: z.number().int().min(1) }),
    errors: {
      404: noSuch,
      409: 'the same fields were changed since, or what it needs is gone: see overlaps and issues',
    },
  }),
  listChanges: defineRoute({
    method: 'GET',
    path: '/api/documents/:kind/:id/changes',
    summary: `The changes made after a revision, oldest first, at most ${CHANGES_PAGE}, with the revision that the document is at.`,
    params: DocumentAddressSchema,
    query: z.strictObject({ after: revisionNumber }),
    status: 200,
    response: ChangesPageSchema,
    errors: { 404: noSuch },
  }),
  listHistory: defineRoute({
    method: 'GET',
    path: '/api/documents/:kind/:id/history',
    summary: `Who changed what, in words, newest first, at most ${HISTORY_PAGE}, older than \`before\` where that is given.`,
    params: DocumentAddressSchema,
    query: z.strictObject({ before: revisionNumber.optional() }),
    status: 200,
    response: z.array(HistoryLineSchema),
    errors: { 404: noSuch },
  }),
  getRevision: defineRoute({
    method: 'GET',
    path: '/api/documents/:kind/:id/revisions/:revision',
    summary: 'The document as it was at a revision.',
    params: DocumentAddressSchema.extend({ revision: revisionNumber }),
    query: none,
    status: 200,
    response: StoredDocumentSchema,
    errors: { 404: 'there is no such document, or it has no such revision' },
  }),
  listRemoved: defineRoute({
    method: 'GET',
    path: '/api/removed',
    summary: `The documents that were removed in the last ${REMOVED_DAYS} days, the latest first.`,
    params: none,
    query: none,
    status: 200,
    response: z.array(RemovedDocumentSchema),
    errors: {},
  }),
  removeDocument: defineRoute({
    method: 'DELETE',
    path: '/api/documents/:kind/:id',
    summary: `Removes a document. It can be restored for ${REMOVED_DAYS} days.`,
    params: DocumentAddressSchema,
    query: none,
    status: 204,
    errors: { 404: noSuch },
  }),
  restoreDocument: defineRoute({
    method: 'POST',
    path: '/api/documents/:kind/:id/restore',
    summary: 'Gives a removed document back.',
    params: DocumentAddressSchema,
    query: none,
    status: 200,
    response: z.strictObject({ id: IdSchema, revision: z.number().int().min(1) }),
    errors: { 404: 'there is no such removed document' },
  }),
  followDocuments: defineRoute({
    method: 'GET',
    path: '/api/events',
    summary:
      'Server-sent events for as long as one listens: `change` with every change of every document (a made change with its `kind` and `id`), `documents` with the kind whose list has changed, `records` with the map of which practice was recorded.',
    params: none,
    query: none,
    status: 200,
    response: { text: 'text/event-stream' },
    errors: {},
  }),
  getMapFile: defineRoute({
    method: 'GET',
    path: '/api/maps/:id/file',
    summary: 'A map as the file it is exchanged as.',
    params: mapId,
    query: none,
    status: 200,
    response: { text: 'application/json; charset=utf-8' },
    errors: { 404: noSuch },
  }),
  getGraphml: defineRoute({
    method: 'GET',
    path: '/api/maps/:id/graphml',
    summary: 'Positions and exchanges of a map as GraphML.',
    params: mapId,
    query: none,
    status: 200,
    response: { text: 'application/graphml+xml; charset=utf-8' },
    errors: { 404: noSuch },
  }),
  findPoses: defineRoute({
    method: 'POST',
    path: '/api/poses/find',
    summary:
      'Poses that some screen has solved, by the key of what they hang on; those that are not known are left out.',
    params: none,
    query: none,
    body: z.strictObject({ keys: z.array(PoseKeySchema).max(500) }),
    status: 200,
    response: z.strictObject({ poses: z.record(PoseKeySchema, PoseRecordSchema) }),
    errors: {},
  }),
  keepPoses: defineRoute({
    method: 'POST',
    path: '/api/poses',
    summary: 'Keeps solved poses for other screens. One that is known already stays as it is.',
    params: none,
    query: none,
    body: z.strictObject({ poses: z.record(PoseKeySchema, PoseRecordSchema) }),
    status: 200,
    response: z.strictObject({ kept: z.number().int().min(0) }),
    errors: {},
  }),
  keepRecords: defineRoute({
    method: 'POST',
    path: '/api/records',
    summary:
      'Keeps facts of practice, each exactly once by its key: sent again it is known, and stays as it was first kept.',
    params: none,
    query: none,
    body: z.strictObject({ records: z.array(PracticeRecordSchema).min(1).max(20000) }),
    status: 200,
    response: z.strictObject({ kept: z.number().int().min(0), known: z.number().int().min(0) }),
    errors: {},
  }),
  listRecords: defineRoute({
    method: 'GET',
    path: '/api/records',
    summary: 'All that stands of one session, oldest first; what was taken back is left out.',
    params: none,
    query: z.strictObject({ session: RecordKeySchema }),
    status: 200,
    response: z.strictObject({ records: z.array(PracticeRecordSchema) }),
    errors: {},
  }),
  sumPractice: defineRoute({
    method: 'GET',
    path: '/api/practice',
    summary:
      'What was practised on a map, summed up: trials by exchange and resistance, faults by week, what was taught, missed and graded, and the sessions.',
    params: none,
    query: PracticeFilterSchema,
    status: 200,
    response: PracticeSchema,
    errors: {},
  }),
  getRecall: defineRoute({
    method: 'GET',
    path: '/api/recall',
    summary:
      'What one alias answered in the quiz of a map, and which exchanges were taught; nothing of anybody else.',
    params: none,
    query: z.strictObject({ map: IdSchema, alias: NameSchema }),
    status: 200,
    response: RecallPastSchema,
    errors: {},
  }),
  getTrialsCsv: defineRoute({
    method: 'GET',
    path: '/api/practice/trials.csv',
    summary: 'Every try on a map as CSV, oldest first.',
    params: none,
    query: PracticeFilterSchema,
    status: 200,
    response: { text: 'text/csv; charset=utf-8' },
    errors: {},
  }),
  weighMap: defineRoute({
    method: 'GET',
    path: '/api/maps/:id/weighing',
    summary:
      'What a map is worth: values, plans, visits, holes by what they cost, under a what-if if one is given.',
    params: mapId,
    query: WhatIfQuerySchema,
    status: 200,
    response: WeighingSchema,
    errors: { 404: noSuch, 422: 'the map cannot be weighed so; the sentence says why' },
  }),
  getWeighingSheet: defineRoute({
    method: 'GET',
    path: '/api/maps/:id/weighing/:sheet.csv',
    summary: 'One table of a weighing as CSV.',
    params: mapId.extend({ sheet: z.enum(WEIGHING_SHEETS) }),
    query: WhatIfQuerySchema,
    status: 200,
    response: { text: 'text/csv; charset=utf-8' },
    errors: { 404: noSuch, 422: 'the map cannot be weighed so; the sentence says why' },
  }),
  describeApi: defineRoute({
    method: 'GET',
    path: '/api/openapi.json',
    summary: 'This description, as OpenAPI 3.1.',
    params: none,
    query: none,
    status: 200,
    response: z.looseObject({ openapi: z.literal('3.1.0') }),
    errors: {},
  }),
} as const;
export type RouteName = keyof typeof ROUTES;
