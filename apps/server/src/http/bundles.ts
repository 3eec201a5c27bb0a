import { readBundle } from '@grey-keel/core';
import { idSchema, largestBundleBytes } from '@grey-keel/model';
import { Semaphore } from 'async-mutex';
import { Router, type RequestHandler } from 'express';
import * as z from 'zod';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { besideWhatIsHere, photographsBeside } from '../exchange/bundles.ts';
import type { BoatStore } from '../fleet/boat-store.ts';
import { cleanedPhotograph, type Photographs } from '../photographs/photographs.ts';
import { idTaken } from './boats.ts';
import { jsonBody } from './json-body.ts';
import { sendProblem } from './problem.ts';
import { validated } from './validated.ts';

/** A long one takes a moment and much memory: so many are read at a time. */
const atOnce = 2;

export const bundleRoutes = (
  { boats, catalogue, photographs }: { boats: BoatStore; catalogue: CatalogueStore; photographs: Photographs },
  costly: RequestHandler,
): Router => {
  const router = Router();
  const turns = new Semaphore(atOnce);
  /** Bodies are read one behind the other, too: what waits stays with whoever sends it. */
  const inTurn: RequestHandler = async (_request, response, next) => {
    const [, release] = await turns.acquire();
    response.once('close', release);
    if (response.destroyed) release();
    else next();
  };
  router.put('/:id', costly, inTurn, jsonBody(largestBundleBytes), async (request, response) => {
    const wanted = validated(z.strictObject({ id: idSchema }), { id: request.params['id'] }, response);
    if (!wanted) return;
    const read = readBundle(request.body);
    if (!read.ok) {
      sendProblem(response, { status: 422, title: 'Bundle refused', detail: read.detail, errors: read.errors });
      return;
    }
    const pictures: Record<string, Buffer> = {};
    for (const [id, text] of Object.entries(read.bundle.photographs ?? {})) {
      const taken = cleanedPhotograph(Buffer.from(text, 'base64'));
      if (!taken.ok) {
        const detail = `Photograph "${id}": ${taken.fault}`;
        return sendProblem(response, { status: 422, title: 'Bundle refused', detail });
      }
      pictures[id] = taken.bytes;
    }
    const { plan, added, beside } = besideWhatIsHere(read.bundle, await catalogue.everyVersion());
    const shown = photographsBeside(plan, pictures, await photographs.of(Object.keys(pictures)));
    const made = await boats.create(wanted.id, shown.plan, undefined, async (transaction) => {
      await catalogue.add(added, transaction);
      await photographs.add(shown.pictures, transaction);
    });
    if (made === 'id taken') return sendProblem(response, idTaken);
    const boat = await boats.open(wanted.id);
    response.status(made === 'made' ? 201 : 200).json({ ...boat, beside: made === 'made' ? beside : [] });
  });
  return router;
};
