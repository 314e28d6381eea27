import {
  type AnswerOf,
  addressKey,
  addressOf,
  type CallOf,
  type DocumentSummary,
  isText,
  type RefusalBody,
  ROUTES,
  type RouteName,
} from '@aftersquall/core/contract';
import { type FieldOverlap, type Issue } from '@aftersquall/core/documents';
import { createApi, type FetchArgs, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Engine } from './documents/engine.ts';
import { say } from './words.ts';

type Call<N extends RouteName> = CallOf<(typeof ROUTES)[N]>;
type Answer<N extends RouteName> = AnswerOf<(typeof ROUTES)[N]>;

/** A request for a route of the contract. */
const request =
  <N extends RouteName>(name: N) =>
  (call: Call<N>): FetchArgs => {
    const route = ROUTES[name];
    const body = 'body' in call ? call.body : undefined;
    return {
      url: addressOf(route, call),
      method: route.method,
      ...(body !== undefined && { body }),
      ...('response' in route && isText(route.response) && { responseHandler: 'text' }),
    };
  };

const baseQuery = fetchBaseQuery({ baseUrl: '/' });

/**
 * Asks the server for a route of the contract once, without keeping the answer: for documents, which are kept as sessions.
 * (As queries each answer stayed in the store for ever, and thousands of changes were sent more and more slowly.)
 */
export async function ask<N extends RouteName>(
  name: N,
  call: Call<N>,
): Promise<{ data: Answer<N>; error?: undefined } | { data?: undefined; error: unknown }> {
  const signal = new AbortController().signal;
  const common = { signal, abort: () => undefined, dispatch: (() => undefined) as never };
  const { data, error } = await baseQuery(
    request(name)(call),
    { ...common, getState: () => undefined, extra: undefined, endpoint: name, type: 'query' },
    {},
  );
  return error ? { error } : { data: data as Answer<N> };
}

/** The server, by its contract. */
export const api = createApi({
  baseQuery,
  tagTypes: ['Documents', 'History', 'Practice'],
  endpoints: (build) => ({
    listDocuments: build.query<Answer<'listDocuments'>, Call<'listDocuments'>>({
      // Without the server the list is the one that this device saw last.
      async queryFn(call, { extra }, _, ask) {
        const { documents } = (extra as Pick<Engine, 'device'>).device;
        const answer = await ask(request('listDocuments')(call));
        const { kind } = call.params;
        if (answer.data) {
          void documents.keepList(kind, answer.data as DocumentSummary[]).catch(() => undefined);
          return { data: answer.data as DocumentSummary[] };
        }
        const offline = answer.error?.status === 'FETCH_ERROR';
        const kept = offline ? await documents.list(kind).catch(() => undefined) : undefined;
        return kept ? { data: [...kept] } : { error: answer.error! };
      },
      providesTags: (_, __, { params }) => [{ type: 'Documents', id: params.kind }],
    }),
    createDocument: build.mutation<Answer<'createDocument'>, Call<'createDocument'>>({
      query: request('createDocument'),
      invalidatesTags: (_, __, { params }) => [{ type: 'Documents', id: params.kind }],
    }),
    listHistory: build.query<Answer<'listHistory'>, Call<'listHistory'>>({
      query: request('listHistory'),
      providesTags: (_, __, { params }) => [{ type: 'History', id: addressKey(params) }],
    }),
    getRevision: build.query<Answer<'getRevision'>, Call<'getRevision'>>({ query: request('getRevision') }),
    getRecall: build.query<Answer<'getRecall'>, Call<'getRecall'>>({
      query: request('getRecall'),
      keepUnusedDataFor: 0,
    }),
    sumPractice: build.query<Answer<'sumPractice'>, Call<'sumPractice'>>({
      query: request('sumPractice'),
      keepUnusedDataFor: 0,
      providesTags: (_, __, { query }) => [{ type: 'Practice', id: query?.map }],
    }),
    listRecords: build.query<Answer<'listRecords'>, Call<'listRecords'>>({
      query: request('listRecords'),
      keepUnusedDataFor: 0,
      providesTags: ['Practice'],
    }),
    listRemoved: build.query<Answer<'listRemoved'>, Call<'listRemoved'>>({
      query: request('listRemoved'),
      keepUnusedDataFor: 0,
      providesTags: ['Documents'],
    }),
    removeDocument: build.mutation<Answer<'removeDocument'>, Call<'removeDocument'>>({
      query: request('removeDocument'),
      invalidatesTags: (_, __, { params }) => [{ type: 'Documents', id: params.kind }],
    }),
    restoreDocument: build.mutation<Answer<'restoreDocument'>, Call<'restoreDocument'>>({
      query: request('restoreDocument'),
      invalidatesTags: (_, __, { params }) => [{ type: 'Documents', id: params.kind }],
    }),
  }),
});

export const {
  useListDocumentsQuery,
  useListHistoryQuery,
  useListRemovedQuery,
  useListRecordsQuery,
  useGetRecallQuery,
  useSumPracticeQuery,
  useLazyGetRevisionQuery,
  useRemoveDocumentMutation,
  useRestoreDocumentMutation,
} = api;

/** What the server says when it does not do what was asked. */
export interface Refusal {
  status: number | string;
  message: string;
  issues: Issue[];
  overlaps: FieldOverlap[];
}

/** Reads a failed request as a refusal, whatever kind of failure it was. */
export function refusalOf(error: unknown): Refusal {
  const { status = 'unknown', data } = (error ?? {}) as { status?: number | string; data?: unknown };
  const body = (typeof data === 'object' && data !== null ? data : {}) as Partial<RefusalBody>;
  const offline = status === 'FETCH_ERROR';
  return {
    status,
    message: body.message ?? (offline ? say.serverDoesNotAnswer : say.serverCouldNotDo),
    issues: body.issues ?? [],
    overlaps: body.overlaps ?? [],
  };
}
