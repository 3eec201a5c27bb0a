import { calculations } from '@grey-keel/core';
import {
  backupsSchema,
  catalogueEntrySchema,
  catalogueImportSchema,
  catalogueItemSchema,
  restoredSchema,
} from '@grey-keel/model';
import * as z from 'zod';
import type { Door } from './door.ts';

const health = z.strictObject({ status: z.literal('ok'), at: z.iso.datetime(), address: z.url() });
const jsonSchema = z.looseObject({});
const described = z.strictObject({
  name: z.string(),
  purpose: z.string(),
  input: jsonSchema,
  output: jsonSchema,
});
const named = z.array(z.strictObject({ name: z.string(), purpose: z.string() }));

/** What belongs to no boat: the program itself, the catalogue, backups and calculations. */
export const shopDoors = (): Door[] => [
  { method: 'get', path: '/api/health', summary: 'Whether the server answers', answer: health },
  {
    method: 'get',
    path: '/api/events',
    summary: 'Every change as it happens, as server-sent events',
    answer: 'text/event-stream',
    refusals: [429],
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
    method: 'put',
    path: '/api/photographs/{id}',
    summary: 'Store a photograph, image/jpeg; what the plan says of it is an edit',
    answer: null,
    refusals: [409, 413, 415, 422, 429],
  },
  {
    method: 'get',
    path: '/api/photographs/{id}',
    summary: 'A photograph',
    answer: 'image/jpeg',
    refusals: [404, 422],
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
    answer: restoredSchema,
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
