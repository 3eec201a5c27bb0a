import { idSchema } from '@grey-keel/model';
import express, { Router, type RequestHandler } from 'express';
import * as z from 'zod';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { readBundle } from '@grey-keel/core';
import type { BoatStore } from '../fleet/boat-store.ts';
import { sendProblem } from './problem.ts';
import { validated } from './validated.ts';

/** The largest bundle taken. A boat of 50 transducers with 200 readings each stays well under it. */
const largestBundle = '8mb';

export const bundleRoutes = (
  { boats, catalogue }: { boats: BoatStore; catalogue: CatalogueStore },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.put('/:id', costly, express.json({ limit: largestBundle }), async (request, response) => {
    const wanted = validated(z.strictObject({ id: idSchema }), { id: request.params['id'] }, response);
    if (!wanted) return;
    const read = readBundle(request.body);
    if (!read.ok) {
      sendProblem(response, { status: 422, title: 'Bundle refused', detail: read.detail, errors: read.errors });
      return;
    }
    for (const { id, item, shipped } of read.bundle.catalogue) if (!shipped) await catalogue.put(id, item);
    const made = await boats.create(wanted.id, read.bundle.plan);
    response.status(made === 'made' ? 201 : 200).json(await boats.open(wanted.id));
  });
  return router;
};
