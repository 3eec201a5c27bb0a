import {
  helmSchema,
  instrumentSourceSchema,
  instrumentsSchema,
  overTheSideSchema,
  recordingPartSchema,
  recordingQuerySchema,
  recordingSchema,
  recordingsSchema,
} from '@grey-keel/model';
import * as z from 'zod';
import { wantSchema } from '../instruments.ts';
import { importQuerySchema, recordSchema } from '../recordings.ts';
import type { Door } from './door.ts';

const jsonSchema = z.looseObject({});

/** The instruments and what was recorded of them. */
export const instrumentDoors = (): Door[] => [
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
    refusals: [404, 409, 422],
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
  {
    method: 'get',
    path: '/api/instruments/over-the-side',
    summary: 'What a person aboard the simulated boat reads by lead line, thermometer, eye and plumb line',
    answer: overTheSideSchema,
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
];
