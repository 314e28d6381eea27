import type { ClassPlan, Command, GuardMap, Issue } from '@aftersquall/core';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

export interface MapSummary {
  id: string;
  name: string;
  revision: number;
}
export interface StoredMap {
  revision: number;
  map: GuardMap;
}
/** One line of a map's history. */
export interface MapChange {
  revision: number;
  at: string;
  who: string;
  what: string;
}
export interface StoredClass {
  revision: number;
  plan: ClassPlan;
}

/** What the server says when it does not do what was asked. */
export interface Refusal {
  status: number | string;
  message: string;
  issues: Issue[];
  body: unknown;
}

export const api = createApi({
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['Maps', 'Classes', 'History'],
  endpoints: (build) => ({
    maps: build.query<MapSummary[], void>({ query: () => 'maps', providesTags: ['Maps'] }),
    createMap: build.mutation<StoredMap, { id: string; name: string }>({
      query: (body) => ({ url: 'maps', method: 'POST', body }),
      invalidatesTags: ['Maps'],
    }),
    importMap: build.mutation<StoredMap, unknown>({
      query: (body) => ({ url: 'maps/import', method: 'POST', body }),
      invalidatesTags: ['Maps'],
    }),
    copyMap: build.mutation<StoredMap, { from: string; id: string; name: string }>({
      query: ({ from, ...body }) => ({ url: `maps/${from}/copy`, method: 'POST', body }),
      invalidatesTags: ['Maps'],
    }),
    removeMap: build.mutation<void, string>({
      query: (id) => ({ url: `maps/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Maps'],
    }),
    giveBackMap: build.mutation<StoredMap, string>({
      query: (id) => ({ url: `maps/${id}/give-back`, method: 'POST' }),
      invalidatesTags: ['Maps'],
    }),
    history: build.query<MapChange[], { id: string; before?: number }>({
      query: ({ id, before }) => `maps/${id}/history${before === undefined ? '' : `?before=${before}`}`,
      providesTags: ['History'],
    }),
    revision: build.query<StoredMap, { id: string; revision: number }>({
      query: ({ id, revision }) => `maps/${id}/revisions/${revision}`,
    }),
    map: build.query<StoredMap, string>({ query: (id) => `maps/${id}`, keepUnusedDataFor: 0 }),
    changeMap: build.mutation<
      { revision: number; inverse: Command },
      { id: string; revision: number; commands: Command[]; who: string }
    >({
      query: ({ id, ...body }) => ({ url: `maps/${id}/changes`, method: 'POST', body }),
      invalidatesTags: ['History'],
    }),
    classes: build.query<StoredClass[], void>({ query: () => 'classes', providesTags: ['Classes'] }),
    saveClass: build.mutation<StoredClass, StoredClass>({
      query: (body) => ({ url: `classes/${body.plan.id}`, method: 'PUT', body }),
      invalidatesTags: ['Classes'],
    }),
    removeClass: build.mutation<StoredClass, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `classes/${id}?revision=${revision}`, method: 'DELETE' }),
      invalidatesTags: ['Classes'],
    }),
  }),
});

export const {
  useMapsQuery,
  useCreateMapMutation,
  useImportMapMutation,
  useCopyMapMutation,
  useRemoveMapMutation,
  useGiveBackMapMutation,
  useHistoryQuery,
  useLazyRevisionQuery,
  useClassesQuery,
  useSaveClassMutation,
  useRemoveClassMutation,
} = api;

/** Reads a failed request as a refusal, whatever kind of failure it was. */
export function refusalOf(error: unknown): Refusal {
  const { status = 'unknown', data } = (error ?? {}) as { status?: number | string; data?: unknown };
  const body = (data ?? {}) as { message?: string; issues?: Issue[] };
  const offline = status === 'FETCH_ERROR';
  return {
    status,
    message: body.message ?? (offline ? 'The server cannot be reached.' : 'The server could not do that.'),
    issues: body.issues ?? [],
    body: data,
  };
}
