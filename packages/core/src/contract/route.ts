import type { z } from 'zod';

/** What a route says of itself; server, screens and the printed description are all made of it. */
export interface Route {
  method: 'GET' | 'POST' | 'DELETE';
  /** Parts in `:name` are parameters. */
  path: string;
  /** What it does, in a sentence. */
  summary: string;
  params: z.ZodObject;
  query: z.ZodObject;
  /** What is sent along; absent where nothing is. */
  body?: z.ZodType;
  /** The status of success. */
  status: 200 | 201 | 204;
  /** What comes back: data of a schema, or text of a kind. Absent where nothing does. */
  response?: z.ZodType | { text: string };
  /** Refusals to reckon with beside 400 for bad input, with their reasons. */
  errors: Partial<Record<404 | 409 | 422, string>>;
}

/** A route with its own types kept. */
export const defineRoute = <const R extends Route>(route: R): R => route;

/** What a route is called with, validated. */
export type InputOf<R extends Route> = {
  params: z.output<R['params']>;
  query: z.output<R['query']>;
  body: R['body'] extends z.ZodType ? z.output<R['body']> : undefined;
};

/** What a caller gives: defaults may be left out. */
export type CallOf<R extends Route> = (keyof z.input<R['params']> extends never
  ? { params?: undefined }
  : { params: z.input<R['params']> }) & { query?: z.input<R['query']> } & (R['body'] extends z.ZodType
    ? { body: z.input<R['body']> }
    : { body?: undefined });

/** What a route answers with. */
export type AnswerOf<R extends Route> = R['response'] extends z.ZodType
  ? z.output<R['response']>
  : R['response'] extends { text: string }
    ? string
    : undefined;

/** Whether a response is text rather than data. */
export const isText = (response: Route['response']): response is { text: string } =>
  response !== undefined && 'text' in response;

/** The address of a call: parameters filled in, the query behind `?`. */
export function addressOf(
  route: Route,
  call: { params?: object | undefined; query?: object | undefined },
): string {
  const params = (call.params ?? {}) as Record<string, unknown>;
  const path = route.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(params[name])));
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(call.query ?? {})) {
    if (value !== undefined)
      query.set(name, typeof value === 'object' ? JSON.stringify(value) : String(value));
  }
  return query.size > 0 ? `${path}?${query}` : path;
}
