import { type InputOf, isText, type ROUTES, type Route, type RouteName } from '@aftersquall/core/contract';
import { zodIssues } from '@aftersquall/core/documents';
import {
  applyDecorators,
  BadRequestException,
  createParamDecorator,
  Delete,
  type ExecutionContext,
  Get,
  Header,
  HttpCode,
  Post,
  SetMetadata,
} from '@nestjs/common';
import type { Request } from 'express';
import type { z } from 'zod';

const ROUTE = 'contract:route';
const METHODS = { GET: Get, POST: Post, DELETE: Delete };

/** What a handler of a route is called with. */
export type InputFor<N extends RouteName> = InputOf<(typeof ROUTES)[N]>;

/** The method that answers a route of the contract: its address, method, status and kind of answer. */
export const Answers = (route: Route): MethodDecorator =>
  applyDecorators(
    METHODS[route.method](route.path),
    HttpCode(route.status),
    SetMetadata(ROUTE, route),
    ...(isText(route.response) ? [Header('Content-Type', route.response.text)] : []),
  );

/** The route that a handler answers; undefined for what is not of the contract. */
export const routeOf = (context: ExecutionContext): Route | undefined =>
  Reflect.getMetadata(ROUTE, context.getHandler());

/** Parameters, query and body of a request, validated by the route: 400 with the path of every problem. */
export const Input = createParamDecorator((_: unknown, context: ExecutionContext): InputOf<Route> => {
  const route = routeOf(context)!;
  const { params, query, body } = context.switchToHttp().getRequest<Request>();
  return {
    params: validated(route.params, params),
    query: validated(route.query, query),
    body: route.body && validated(route.body, body),
  } as InputOf<Route>;
});

function validated<T>(schema: z.ZodType<T>, value: unknown): T {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  throw new BadRequestException({
    message: 'The server cannot do this as it is. Nothing was changed.',
    issues: zodIssues(parsed.error),
  });
}
