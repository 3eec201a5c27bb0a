import { largestPhotographBytes } from '@grey-keel/model';
import express, { Router, type RequestHandler } from 'express';
import { cleanedPhotograph, type Photographs } from '../photographs/photographs.ts';
import { notFound, sendProblem } from './problem.ts';
import { withId } from './validated.ts';

/** It never changes under its id, so that it has to be fetched only once. */
const forGood = 'private, max-age=31536000, immutable';

/** Photographs: stored as JPEG under an id, and shown. */
export const photographRoutes = (
  { photographs }: { readonly photographs: Photographs },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.put(
    '/:id',
    costly,
    express.raw({ type: 'image/jpeg', limit: largestPhotographBytes }),
    withId(async (id, request, response) => {
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes))
        return sendProblem(response, { status: 415, title: 'No JPEG', detail: 'A photograph is sent as image/jpeg.' });
      const taken = cleanedPhotograph(bytes);
      if (!taken.ok) return sendProblem(response, { status: 422, title: 'Photograph refused', detail: taken.fault });
      if ((await photographs.put(id, taken.bytes)) === 'stored') response.status(204).end();
      else sendProblem(response, { status: 409, title: 'There already', detail: 'Another photograph has this id.' });
    }),
  );
  router.get(
    '/:id',
    withId(async (id, _request, response) => {
      const bytes = await photographs.get(id);
      if (bytes) response.type('image/jpeg').set('Cache-Control', forGood).send(bytes);
      else sendProblem(response, notFound(`photograph "${id}"`));
    }),
  );
  return router;
};
