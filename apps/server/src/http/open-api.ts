import { calculations } from '@grey-keel/core';
import {
  backupsSchema,
  bundleSchema,
  catalogueEntrySchema,
  catalogueImportSchema,
  catalogueItemSchema,
  fleetPageSchema,
  fleetQuerySchema,
  helmSchema,
  idSchema,
  instrumentSourceSchema,
  instrumentsSchema,
  importedBundleSchema,
  savedRevisionSchema,
  newBoatSchema,
  openedBoatSchema,
  planSchema,
  recordingPartSchema,
  recordingQuerySchema,
  recordingSchema,
  recordingsSchema,
  revisionRequestSchema,
  revisionSchema,
} from '@grey-keel/model';
import * as z from 'zod';
import { copySchema } from './boats.ts';
import { cardQuerySchema } from './cards.ts';
import { wantSchema } from './instruments.ts';
import { importQuerySchema, recordSchema } from './recordings.ts';
import { problemSchema } from './problem.ts';
import type { Route } from './routes.ts';

interface Door {
  /** The route it is one case of, where that is not its own path. */
  readonly route?: string;
  readonly method: 'get' | 'put' | 'post' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** What a good answer holds: JSON by its schema, or a file of a media type. */
  readonly answer: z.ZodType | string | null;
  readonly refusals?: readonly number[];
}

const health = z.strictObject({ status: z.literal('ok'), at: z.iso.datetime(), address: z.url() });
const jsonSchema = z.looseObject({});
const described = z.strictObject({
  name: z.string(),
  purpose: z.string(),
  input: jsonSchema,
  output: jsonSchema,
});
const named = z.array(z.strictObject({ name: z.string(), purpose: z.string() }));

const doors = (): Door[] => [
  { method: 'get', path: '/api/health', summary: 'Whether the server answers', answer: health },
  {
    method: 'get',
    path: '/api/events',
    summary: 'Every change as it happens, as server-sent events',
    answer: 'text/event-stream',
    refusals: [429],
  },
  {
    method: 'get',
    path: '/api/instruments',
    summary: 'The sources of instruments, and what each has to say',
    answer: instrumentsSchema,
  },
  {
    method: 'get',
    path: '/api/instruments/stream',
    summary: 'What the instruments say as it comes, as server-sent events',
    answer: 'text/event-stream',
    refusals: [429],
  },
  {
    method: 'put',
    path: '/api/instruments/sources/{id}',
    summary: 'Add or change a source, and open it',
    body: instrumentSourceSchema,
    answer: instrumentsSchema,
    refusals: [409, 422],
  },
  {
    method: 'delete',
    path: '/api/instruments/sources/{id}',
    summary: 'Close a source and delete it from the list',
    answer: instrumentsSchema,
    refusals: [404],
  },
  {
    method: 'post',
    path: '/api/instruments/sources/{id}/open',
    summary: 'Open a source again, or close it',
    body: wantSchema,
    answer: instrumentsSchema,
    refusals: [404, 422],
  },
  {
    method: 'put',
    path: '/api/instruments/helm',
    summary: 'Steer the simulated boat',
    body: helmSchema,
    answer: instrumentsSchema,
    refusals: [404, 422],
  },
  {
    method: 'get',
    path: '/api/instruments/hidden',
    summary: 'What the simulated boat hides',
    answer: jsonSchema,
    refusals: [404],
  },
  { method: 'get', path: '/api/recordings', summary: 'The recordings', answer: recordingsSchema },
  {
    method: 'put',
    path: '/api/recordings/{id}',
    summary: 'Take in a log of NMEA 0183, sent as it is',
    query: importQuerySchema,
    answer: recordingSchema,
    refusals: [409, 413, 422],
  },
  {
    method: 'delete',
    path: '/api/recordings/{id}',
    summary: 'Delete a recording; it can be restored',
    answer: null,
    refusals: [404],
  },
  {
    method: 'post',
    path: '/api/recordings/{id}/recall',
    summary: 'Restore a deleted recording',
    answer: recordingSchema,
    refusals: [404],
  },
  {
    method: 'post',
    path: '/api/recordings/{id}/record',
    summary: 'Begin to record what the instruments say',
    body: recordSchema,
    answer: recordingSchema,
    refusals: [409, 422],
  },
  {
    method: 'post',
    path: '/api/recordings/{id}/stop',
    summary: 'End a recording',
    answer: recordingSchema,
    refusals: [404],
  },
  {
    method: 'get',
    path: '/api/recordings/{id}/part',
    summary: 'One channel between two times, thinned so that its peaks stay',
    query: recordingQuerySchema,
    answer: recordingPartSchema,
    refusals: [404, 422],
  },
  ...(['nmea', 'csv', 'gpx'] as const).map((format): Door => ({
    method: 'get',
    path: `/api/recordings/{id}/export.${format}`,
    summary: `A recording as ${format.toUpperCase()}`,
    answer: { nmea: 'text/plain', csv: 'text/csv', gpx: 'application/gpx+xml' }[format],
    refusals: [404],
  })),
  {
    method: 'get',
    path: '/api/boats',
    summary: 'A page of the fleet',
    query: fleetQuerySchema,
    answer: fleetPageSchema,
    refusals: [422],
  },
  { method: 'get', path: '/api/boats/{id}', summary: 'One boat', answer: openedBoatSchema, refusals: [404] },
  {
    method: 'put',
    path: '/api/boats/{id}',
    summary: 'Make a boat',
    body: newBoatSchema,
    answer: openedBoatSchema,
    refusals: [409, 422],
  },
  {
    method: 'delete',
    path: '/api/boats/{id}',
    summary: 'Delete a boat; it can be restored',
    answer: null,
    refusals: [404],
  },
  {
    method: 'post',
    path: '/api/boats/{id}/recall',
    summary: 'Restore a deleted boat',
    answer: openedBoatSchema,
    refusals: [404],
  },
  {
    method: 'post',
    path: '/api/boats/{id}/copy',
    summary: 'Start another boat from this one; nothing measured is taken over',
    body: copySchema,
    answer: openedBoatSchema,
    refusals: [404, 409, 422],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/revisions',
    summary: 'The revisions since one',
    query: z.object({ since: z.coerce.number().int().min(0).optional() }),
    answer: z.array(revisionSchema),
    refusals: [422],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/revisions/{number}',
    summary: 'The plan as it was at a revision',
    answer: planSchema,
    refusals: [404, 422],
  },
  {
    method: 'post',
    path: '/api/boats/{id}/revisions',
    summary: 'Append edits, once for each revision id',
    body: revisionRequestSchema,
    answer: savedRevisionSchema,
    refusals: [404, 409, 412, 422],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/card.pdf',
    summary: 'The dash cards, a sheet a station',
    query: cardQuerySchema,
    answer: 'application/pdf',
    refusals: [404, 422, 429],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/report.pdf',
    summary: 'The report on one sheet',
    query: cardQuerySchema,
    answer: 'application/pdf',
    refusals: [404, 422, 429],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/shopping.pdf',
    summary: 'The transducers chosen, why, and what they were compared with',
    query: cardQuerySchema,
    answer: 'application/pdf',
    refusals: [404, 422, 429],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/wiring.pdf',
    summary: 'Circuits, cables and parts, and what each screen listens to',
    query: cardQuerySchema,
    answer: 'application/pdf',
    refusals: [404, 422, 429],
  },
  {
    method: 'get',
    path: '/api/boats/{id}/bundle',
    summary: 'One boat as a file',
    answer: bundleSchema,
    refusals: [404],
  },
  {
    method: 'put',
    path: '/api/bundles/{id}',
    summary: 'Make a boat from a bundle',
    body: bundleSchema,
    answer: importedBundleSchema,
    refusals: [409, 413, 422, 429],
  },
  { method: 'get', path: '/api/catalogue', summary: 'What can be fitted', answer: z.array(catalogueEntrySchema) },
  {
    method: 'post',
    path: '/api/catalogue',
    summary: 'Save many entries of the shop, all or none',
    body: catalogueImportSchema,
    answer: z.array(catalogueEntrySchema),
    refusals: [409, 413, 422, 429],
  },
  {
    method: 'put',
    path: '/api/catalogue/{id}',
    summary: 'Save an entry of the shop',
    body: catalogueItemSchema,
    answer: catalogueEntrySchema,
    refusals: [409, 422],
  },
  {
    method: 'get',
    path: '/api/backup',
    summary: 'The whole database as one file',
    answer: 'application/vnd.sqlite3',
    refusals: [429],
  },
  {
    method: 'get',
    path: '/api/backups',
    summary: 'The backups the program has made by itself, newest first',
    answer: backupsSchema,
  },
  { method: 'post', path: '/api/backups', summary: 'Make one now', answer: backupsSchema, refusals: [429] },
  {
    method: 'post',
    path: '/api/backups/{name}/restore',
    summary: 'Go back to one; what is there is put aside',
    answer: null,
    refusals: [404, 409, 429],
  },
  { method: 'get', path: '/api/calculations', summary: 'The calculations by name', answer: named },
  {
    method: 'get',
    path: '/api/calculations/{name}',
    summary: 'What a calculation takes and gives, as schemas',
    answer: described,
    refusals: [404],
  },
  { method: 'get', path: '/api/openapi.json', summary: 'This document', answer: z.looseObject({}) },
  ...[...calculations.values()].map(({ name, purpose, input, output }): Door => ({
    method: 'post',
    route: '/api/calculations/{name}',
    path: `/api/calculations/${name}`,
    summary: purpose,
    body: input,
    answer: output.loose(),
    refusals: [422],
  })),
];

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
  const all = doors();
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
