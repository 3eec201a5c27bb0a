import { unitChoiceSchema } from '@grey-keel/core';
import { Router, type RequestHandler } from 'express';
import * as z from 'zod';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { packBundle } from '../exchange/bundles.ts';
import type { BoatStore } from '../fleet/boat-store.ts';
import { printedSheets } from '../handover/print-job.ts';
import { NotPrinted, type Printer } from '../handover/printer.ts';
import type { Photographs } from '../photographs/photographs.ts';
import { notFound, sendProblem } from './problem.ts';
import { validated, withId } from './validated.ts';

export const cardQuerySchema = unitChoiceSchema.extend({
  paper: z.enum(['A4', 'LETTER']).default('A4'),
  /** Shown by the browser before it is saved, or saved at once. */
  as: z.enum(['inline', 'attachment']).default('attachment'),
});

const fileName = (name: string, ending: string, as = 'attachment'): string =>
  `${as}; filename="${name.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'boat'}${ending}"`;

/** What leaves the program about one boat: the dash cards and the report as PDF, and the bundle. */
export const cardRoutes = (
  {
    boats,
    catalogue,
    photographs,
    printer,
    now,
  }: { boats: BoatStore; catalogue: CatalogueStore; photographs: Photographs; printer: Printer; now: () => Date },
  costly: RequestHandler,
): Router => {
  const router = Router();
  for (const sheet of printedSheets)
    router.get(
      `/:id/${sheet}.pdf`,
      costly,
      withId(async (id, request, response) => {
        const query = validated(cardQuerySchema, request.query, response);
        if (!query) return;
        const boat = await boats.open(id);
        if (!boat) return sendProblem(response, notFound('boat of that id in the fleet'));
        const { paper, as, ...units } = query;
        try {
          const pdf = await printer.print({
            sheet,
            plan: boat.plan,
            catalogue: sheet === 'shopping' ? await catalogue.list() : [],
            photographs: sheet === 'photographs' ? await photographs.of(Object.keys(boat.plan.photographs ?? {})) : {},
            options: { units, paper, at: now(), revision: boat.number, practice: boat.plan.practice === true },
          });
          response
            .type('application/pdf')
            .set('Content-Disposition', fileName(boat.plan.boat.name, `-${sheet}.pdf`, as))
            .send(pdf);
        } catch (error) {
          if (!(error instanceof NotPrinted)) throw error;
          sendProblem(response, { status: error.status, title: 'Not printed', detail: error.message });
        }
      }),
    );
  router.get(
    '/:id/bundle',
    withId(async (id, _request, response) => {
      const boat = await boats.open(id);
      if (!boat) return sendProblem(response, notFound('boat of that id in the fleet'));
      response
        .set('Content-Disposition', fileName(boat.plan.boat.name, '.grey-keel.json'))
        .json(await packBundle(boat.plan, catalogue, photographs, now()));
    }),
  );
  return router;
};
