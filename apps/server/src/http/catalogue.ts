import { catalogueItemSchema } from '@grey-keel/model';
import express, { Router } from 'express';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { sendProblem } from './problem.ts';
import { validated, withId } from './validated.ts';

export const catalogueRoutes = ({ catalogue }: { catalogue: CatalogueStore }): Router => {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await catalogue.list());
  });
  router.put(
    '/:id',
    express.json({ limit: '100kb' }),
    withId(async (id, request, response) => {
      const item = validated(catalogueItemSchema, request.body, response);
      if (!item) return;
      const present = (await catalogue.list()).find((entry) => entry.id === id);
      if (present?.shipped)
        return sendProblem(response, {
          status: 409,
          title: 'Shipped with the program',
          detail: 'Shipped entries stay as they are. Give yours a name of its own.',
        });
      response.json(await catalogue.put(id, item));
    }),
  );
  return router;
};
