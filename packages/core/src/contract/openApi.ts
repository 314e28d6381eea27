import { z } from 'zod';
import { isText, type Route } from './route.ts';
import { ROUTES } from './routes.ts';
import { RefusalSchema } from './shapes.ts';

const jsonSchema = (schema: z.ZodType, io: 'input' | 'output') =>
  z.toJSONSchema(schema, { target: 'draft-2020-12', io, unrepresentable: 'any' });

/** The whole contract as an OpenAPI 3.1 description. */
export function printOpenApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const [name, route] of Object.entries<Route>(ROUTES)) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operation(name, route) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Aftersquall', version: '1', description: 'A map of guard systems that computes.' },
    paths,
    components: { schemas: { Refusal: jsonSchema(RefusalSchema, 'output') } },
  };
}

function operation(name: string, route: Route): object {
  const refusal = (description: string) => ({
    description,
    content: { 'application/json': { schema: { $ref: '#/components/schemas/Refusal' } } },
  });
  return {
    operationId: name,
    summary: route.summary,
    parameters: [...parameters(route.params, 'path'), ...parameters(route.query, 'query')],
    ...(route.body && {
      requestBody: {
        required: true,
        content: { 'application/json': { schema: jsonSchema(route.body, 'input') } },
      },
    }),
    responses: {
      [route.status]: { description: 'Done.', ...contentOf(route) },
      400: refusal('What was sent is not as it has to be; the issues say where.'),
      ...Object.fromEntries(Object.entries(route.errors).map(([status, why]) => [status, refusal(why)])),
    },
  };
}

function contentOf({ response }: Route): object {
  if (!response) return {};
  if (isText(response)) return { content: { [response.text]: { schema: { type: 'string' } } } };
  return { content: { 'application/json': { schema: jsonSchema(response, 'output') } } };
}

function parameters(schema: z.ZodObject, place: 'path' | 'query'): object[] {
  const { properties = {}, required = [] } = jsonSchema(schema, 'input') as {
    properties?: Record<string, object>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, shape]) => ({
    name,
    in: place,
    required: place === 'path' || required.includes(name),
    schema: shape,
  }));
}
