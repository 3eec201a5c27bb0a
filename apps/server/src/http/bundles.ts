import { readBundle } from '@grey-keel/core';
import { idSchema } from '@grey-keel/model';
import { Router, type RequestHandler } from 'express';
import * as z from 'zod';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { besideWhatIsHere } from '../exchange/bundles.ts';
import type { BoatStore } from '../fleet/boat-store.ts';
import { idTaken } from './boats.ts';
import { jsonBody } from './json-body.ts';
import { sendProblem } from './problem.ts';
import { validated } from './validated.ts';

/** The largest bundle taken. A boat of 50 transducers with 200 readings each stays well under it. */
const largestBundle = '8mb';

export const bundleRoutes = (
  { boats, catalogue }: { boats: BoatStore; catalogue: CatalogueStore },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.put('/:id', costly, jsonBody(largestBundle), async (request, response) => {
    const wanted = validated(z.strictObject({ id: idSchema }), { id: request.params['id'] }, response);
    if (!wanted) return;
    const read = readBundle(request.body);
    if (!read.ok) {
      sendProblem(response, { status: 422, title: 'Bundle refused', detail: read.detail, errors: read.errors });
      return;
    }
    const { plan, added, beside } = besideWhatIsHere(read.bundle, await catalogue.everyVersion());
    const made = await boats.create(wanted.id, plan, undefined, (transaction) => catalogue.add(added, transaction));
    if (made === 'id taken') return sendProblem(response, idTaken);
    const boat = await boats.open(wanted.id);
    response.status(made === 'made' ? 201 : 200).json({ ...boat, beside: made === 'made' ? beside : [] });
  });
  return router;
};
