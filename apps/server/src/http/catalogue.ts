import { catalogueImportSchema, catalogueItemSchema } from '@grey-keel/model';
import { Router, type RequestHandler } from 'express';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { jsonBody } from './json-body.ts';
import { sendProblem } from './problem.ts';
import { validated, withId } from './validated.ts';

/** Five thousand rows of a sheet are about two megabytes. */
const largestImport = '8mb';

export const catalogueRoutes = ({ catalogue }: { catalogue: CatalogueStore }, costly: RequestHandler): Router => {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await catalogue.list());
  });
  router.post('/', costly, jsonBody(largestImport), async (request, response) => {
    const body = validated(catalogueImportSchema, request.body, response);
    if (!body) return;
    const shipped = new Set((await catalogue.list()).flatMap((entry) => (entry.shipped ? [entry.id] : [])));
    const taken = body.items.find(({ id }) => shipped.has(id));
    if (taken)
      return sendProblem(response, {
        status: 409,
        title: 'Shipped with the program',
        detail: `"${taken.item.type === 'transducer' ? taken.item.element.name : taken.item.name}" is shipped with the program and stays as it is. Give yours a name of its own.`,
      });
    response.json(await catalogue.putAll(body.items));
  });
  router.put(
    '/:id',
    jsonBody('100kb'),
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
