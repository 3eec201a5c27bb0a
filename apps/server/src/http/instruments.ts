import { helmSchema, instrumentSourceSchema } from '@grey-keel/model';
import { Router, type Response } from 'express';
import * as z from 'zod';
import type { InstrumentSources } from '../instruments/instruments.ts';
import { jsonBody } from './json-body.ts';
import { Listeners } from './listeners.ts';
import { notFound, sendProblem } from './problem.ts';
import { validated, withId } from './validated.ts';

const mostStreams = 16;
export const wantSchema = z.strictObject({ open: z.boolean() });

const absent = (id: string, response: Response): void => sendProblem(response, notFound(`instrument source "${id}"`));

/** The instruments: their list, what they say as it comes, and the helm of the simulated boat. */
export const instrumentRoutes = ({ instruments }: { instruments: InstrumentSources }): Router => {
  const router = Router();
  const listeners = new Listeners(mostStreams);
  instruments.news.on('status', (status) => listeners.tell(status, 'status'));
  instruments.news.on('samples', (samples) => listeners.tell(samples, 'samples'));
  instruments.news.on('stopped', () => listeners.end());
  router.get('/', (_request, response) => {
    response.json(instruments.status());
  });
  router.get('/stream', (request, response) =>
    listeners.join(request, response, 'pages hear the instruments', [instruments.status(), 'status']),
  );
  router.put(
    '/sources/:id',
    jsonBody('10kb'),
    withId(async (id, request, response) => {
      const source = validated(instrumentSourceSchema, request.body, response);
      if (!source) return;
      const refused = await instruments.put(id, source);
      if (refused) sendProblem(response, { status: 409, ...refused });
      else response.json(instruments.status());
    }),
  );
  router.delete(
    '/sources/:id',
    withId(async (id, _request, response) => {
      if (await instruments.remove(id)) response.json(instruments.status());
      else absent(id, response);
    }),
  );
  router.post(
    '/sources/:id/open',
    jsonBody('1kb'),
    withId(async (id, request, response) => {
      const want = validated(wantSchema, request.body, response);
      if (!want) return;
      const refused = await instruments.want(id, want.open);
      if (refused === undefined) return absent(id, response);
      if (refused) sendProblem(response, { status: 409, ...refused });
      else response.json(instruments.status());
    }),
  );
  router.put('/helm', jsonBody('1kb'), (request, response) => {
    const helm = validated(helmSchema, request.body, response);
    if (!helm) return;
    if (instruments.steer(helm)) response.json(instruments.status());
    else sendProblem(response, notFound('simulated boat under way: open it first'));
  });
  router.get('/hidden', (_request, response) => {
    const hidden = instruments.hidden();
    if (hidden) response.json(hidden);
    else sendProblem(response, notFound('simulated boat under way: open it first'));
  });
  router.get('/over-the-side', (_request, response) => {
    const seen = instruments.overTheSide();
    if (seen) response.json(seen);
    else sendProblem(response, notFound('simulated boat under way: open it first'));
  });
  return router;
};
