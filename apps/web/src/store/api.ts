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
  tagTypes: ['Maps', 'Classes'],
  endpoints: (build) => ({
    maps: build.query<MapSummary[], void>({ query: () => 'maps', providesTags: ['Maps'] }),
    createMap: build.mutation<StoredMap, { id: string; name: string }>({
      query: (body) => ({ url: 'maps', method: 'POST', body }),
      invalidatesTags: ['Maps'],
    }),
    map: build.query<StoredMap, string>({ query: (id) => `maps/${id}`, keepUnusedDataFor: 0 }),
    changeMap: build.mutation<
      { revision: number; inverse: Command },
      { id: string; revision: number; commands: Command[] }
    >({
      query: ({ id, ...body }) => ({ url: `maps/${id}/changes`, method: 'POST', body }),
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
