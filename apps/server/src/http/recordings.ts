import { idSchema, nameSchema, recordingQuerySchema } from '@grey-keel/model';
import { type RequestHandler, Router, type Request, type Response } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import * as z from 'zod';
import type { InstrumentSources } from '../instruments/instruments.ts';
import { asCsv, asGpx, asNmea } from '../recordings/exports.ts';
import { BrokenOff, type Recordings } from '../recordings/recordings.ts';
import { jsonBody } from './json-body.ts';
import { notFound, sendProblem, type Problem } from './problem.ts';
import { validated, withId } from './validated.ts';

/** A day's log is about 60 MB; a week's fits. */
const largestLog = 500e6;

export const importQuerySchema = z.strictObject({ name: nameSchema });
export const recordSchema = z.strictObject({ name: nameSchema });
const pathSchema = z.strictObject({ id: idSchema });

const absent = (id: string, response: Response): void => sendProblem(response, notFound(`recording "${id}"`));

const thereAlready: Problem = {
  status: 409,
  title: 'There already',
  detail: 'There is a recording of that id, or there was one and it was deleted. Use another id.',
};
const tooMany: Problem = {
  status: 429,
  title: 'Too many at once',
  detail: 'Ten logs are being taken in or wait for their turn. Send this one when some are done.',
};

/** Bytes as they come in, up to what is taken; a connection that breaks off is an error. */
async function* bodyOf(request: Request): AsyncGenerator<Buffer> {
  let taken = 0;
  for await (const piece of request) {
    taken += (piece as Buffer).length;
    if (taken > largestLog) throw new TooLarge();
    yield piece as Buffer;
  }
}
class TooLarge extends Error {}

const exportsBy = {
  nmea: { write: asNmea, type: 'text/plain', ending: '.nmea' },
  csv: { write: asCsv, type: 'text/csv', ending: '.csv' },
  gpx: { write: asGpx, type: 'application/gpx+xml', ending: '.gpx' },
} as const;

/** Recordings: taken in from logs, recorded from the instruments, looked at in parts, handed out and deleted. */
export const recordingRoutes = (
  { recordings, instruments }: { recordings: Recordings; instruments: InstrumentSources },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await recordings.list());
  });
  router.put('/:id', costly, async (request, response) => {
    const path = validated(pathSchema, request.params, response);
    const query = path && validated(importQuerySchema, request.query, response);
    if (!query) return;
    try {
      const done = await recordings.importLog(path.id, query.name, query.name, bodyOf(request));
      if (done === 'done') response.status(201).json(await recordings.find(path.id));
      else sendProblem(response, done === 'taken' ? thereAlready : tooMany);
    } catch (error) {
      if (error instanceof TooLarge)
        return sendProblem(response, {
          status: 413,
          title: 'Too large',
          detail: 'A log of more than 500 MB is not taken at once. Cut it into days.',
        });
      if (error instanceof BrokenOff)
        return sendProblem(response, {
          status: 409,
          title: 'Broken off',
          detail: 'The log was not taken in, for a backup was restored or the program ended. Take it in again.',
        });
      // Whoever sent it has gone: what was read is deleted already.
      if (!request.complete) return void response.destroy();
      throw error;
    }
  });
  router.post(
    '/:id/record',
    jsonBody('1kb'),
    withId(async (id, request, response) => {
      const wanted = validated(recordSchema, request.body, response);
      if (!wanted) return;
      const sources = instruments.status().sources.filter(({ wanted: open }) => open);
      if (sources.length === 0)
        return sendProblem(response, {
          status: 409,
          title: 'Nothing to record',
          detail: 'No instruments are open. Open a source first.',
        });
      const names = sources.map(({ name }) => name).join(', ');
      const begun = await recordings.record(
        id,
        wanted.name,
        names,
        () => instruments.simulated(),
        (take) => instruments.hear(take),
      );
      if (!begun) return sendProblem(response, thereAlready);
      response.status(201).json(await recordings.find(id));
    }),
  );
  router.post(
    '/:id/stop',
    withId(async (id, _request, response) => {
      if (await recordings.stop(id)) response.json(await recordings.find(id));
      else absent(id, response);
    }),
  );
  router.get(
    '/:id/part',
    withId(async (id, request, response) => {
      const query = validated(recordingQuerySchema, request.query, response);
      if (!query) return;
      const part = await recordings.part(id, query.channel, query.fromS, query.toS, query.points);
      if (part) response.json(part);
      else absent(id, response);
    }),
  );
  for (const [format, { write, type, ending }] of Object.entries(exportsBy))
    router.get(
      `/:id/export.${format}`,
      costly,
      withId(async (id, _request, response) => {
        const recording = await recordings.find(id);
        if (!recording) return absent(id, response);
        const name = recording.name.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'recording';
        response.type(type).set('Content-Disposition', `attachment; filename="${name}${ending}"`);
        await pipeline(Readable.from(write(recordings, recording)), response);
      }),
    );
  router.delete(
    '/:id',
    withId(async (id, _request, response) => {
      if (await recordings.remove(id)) response.status(204).end();
      else absent(id, response);
    }),
  );
  router.post(
    '/:id/recall',
    withId(async (id, _request, response) => {
      if (await recordings.recall(id)) response.json(await recordings.find(id));
      else absent(id, response);
    }),
  );
  return router;
};
