import { idSchema } from '@grey-keel/model';
import * as z from 'zod';
import { boatDoors } from './doors/boat-doors.ts';
import type { Door } from './doors/door.ts';
import { instrumentDoors } from './doors/instrument-doors.ts';
import { shopDoors } from './doors/shop-doors.ts';
import { problemSchema } from './problem.ts';
import type { Route } from './routes.ts';

type Json = Record<string, unknown>;

const parametersOf = (path: string, query: z.ZodObject | undefined): Json[] => [
  ...[...path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => ({
    name,
    in: 'path',
    required: true,
    schema: z.toJSONSchema(name === 'id' ? idSchema : name === 'number' ? z.int().min(0) : z.string()),
  })),
  ...Object.entries<z.ZodType>(query?.shape ?? {}).map(([name, schema]) => ({
    name,
    in: 'query',
    required: !schema.safeParse(undefined).success,
    schema: z.toJSONSchema(schema, { io: 'input' }),
  })),
];

/** Schemas by name, as the parts of the document that the doors point to. */
class Components {
  private readonly inward = z.registry<{ id: string }>();
  private readonly outward = z.registry<{ id: string }>();

  private refer(registry: typeof this.inward, schema: z.ZodType, id: string): Json {
    if (!registry.has(schema)) registry.add(schema, { id });
    return { $ref: `#/components/schemas/${registry.get(schema)?.id ?? id}` };
  }
  input(schema: z.ZodType, door: string): Json {
    return this.refer(this.inward, schema, `${door}-input`);
  }
  output(schema: z.ZodType, door: string): Json {
    return this.refer(this.outward, schema, `${door}-answer`);
  }

  schemas(): Json {
    const made = (registry: typeof this.inward, io: 'input' | 'output', shared: string): Json => {
      const { schemas } = z.toJSONSchema(registry, { io, uri: (id) => `#/components/schemas/${id}` });
      const text = JSON.stringify(schemas)
        // What several schemas share stands in a part of its own, told apart by direction.
        .replaceAll('#/components/schemas/__shared#/$defs/', `#/components/schemas/${shared}/$defs/`)
        .replaceAll('"__shared":', `"${shared}":`);
      return JSON.parse(text) as Json;
    };
    return { ...made(this.inward, 'input', 'shared-input'), ...made(this.outward, 'output', 'shared-answer') };
  }
}

const operation = ({ method, path, summary, query, body, answer, refusals = [] }: Door, parts: Components): Json => {
  const door = `${method}${path.replace(/[^A-Za-z]+/g, '-')}`;
  const problem = parts.output(problemSchema, 'problem');
  return {
    operationId: door,
    summary,
    parameters: parametersOf(path, query),
    ...(body
      ? { requestBody: { required: true, content: { 'application/json': { schema: parts.input(body, door) } } } }
      : {}),
    responses: {
      ...(answer === null
        ? { 204: { description: 'Done' } }
        : {
            200: {
              description: 'Done',
              content:
                typeof answer === 'string'
                  ? { [answer]: { schema: { type: 'string', format: 'binary' } } }
                  : { 'application/json': { schema: parts.output(answer, door) } },
            },
          }),
      ...Object.fromEntries(
        refusals.map((status) => [
          status,
          { description: 'Refused', content: { 'application/problem+json': { schema: problem } } },
        ]),
      ),
    },
  };
};

/**
 * The interface of the server as an OpenAPI document, made from its routes and the schemas that check what comes in. Throws
 * for a route that nothing is said of, and for a word about a route that is not there.
 */
export const openApiDocument = (routes: readonly Route[]): Json => {
  const all = [...shopDoors(), ...instrumentDoors(), ...boatDoors()];
  const nameOf = ({ method, path }: Route): string => `${method} ${path}`;
  const said = new Set(all.map(({ method, path, route = path }) => nameOf({ method, path: route })));
  const there = new Set(routes.map(nameOf));
  const odd = [...said].filter((one) => !there.has(one)).concat([...there].filter((one) => !said.has(one)));
  if (odd.length > 0) throw new Error(`The document and the routes differ: ${odd.join(', ')}.`);
  const parts = new Components();
  const paths: Record<string, Json> = {};
  for (const door of all) paths[door.path] = { ...paths[door.path], [door.method]: operation(door, parts) };
  return {
    openapi: '3.1.0',
    info: { title: 'Grey Keel', version: '1' },
    paths,
    components: { schemas: parts.schemas() },
  };
};
