import {
  type AnswerOf,
  addressKey,
  addressOf,
  type CallOf,
  type FieldOverlap,
  type Issue,
  isText,
  type RefusalBody,
  ROUTES,
  type RouteName,
} from '@aftersquall/core';
import { createApi, type FetchArgs, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

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

/** The server, by its contract. */
export const api = createApi({
  baseQuery: fetchBaseQuery({ baseUrl: '/' }),
  tagTypes: ['Documents', 'History'],
  endpoints: (build) => ({
    listDocuments: build.query<Answer<'listDocuments'>, Call<'listDocuments'>>({
      query: request('listDocuments'),
      providesTags: (_, __, { params }) => [{ type: 'Documents', id: params.kind }],
    }),
    createDocument: build.mutation<Answer<'createDocument'>, Call<'createDocument'>>({
      query: request('createDocument'),
      invalidatesTags: (_, __, { params }) => [{ type: 'Documents', id: params.kind }],
    }),
    getDocument: build.query<Answer<'getDocument'>, Call<'getDocument'>>({
      query: request('getDocument'),
      keepUnusedDataFor: 0,
    }),
    changeDocument: build.mutation<Answer<'changeDocument'>, Call<'changeDocument'>>({
      query: request('changeDocument'),
    }),
    listChanges: build.query<Answer<'listChanges'>, Call<'listChanges'>>({
      query: request('listChanges'),
      keepUnusedDataFor: 0,
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
    }),
    listRecords: build.query<Answer<'listRecords'>, Call<'listRecords'>>({
      query: request('listRecords'),
      keepUnusedDataFor: 0,
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
    message: body.message ?? (offline ? 'The server cannot be reached.' : 'The server could not do that.'),
    issues: body.issues ?? [],
    overlaps: body.overlaps ?? [],
  };
}
