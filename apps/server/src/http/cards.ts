import { unitChoiceSchema } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import { Router, type RequestHandler } from 'express';
import * as z from 'zod';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import { packBundle } from '../exchange/bundles.ts';
import type { BoatStore } from '../fleet/boat-store.ts';
import { cardPdf } from '../handover/card-pdf.ts';
import type { PrintOptions } from '../handover/sheet.ts';
import { shoppingPdf } from '../handover/shopping-pdf.ts';
import { reportPdf } from '../handover/report-pdf.ts';
import { wiringPdf } from '../handover/wiring-pdf.ts';
import { notFound, sendProblem } from './problem.ts';
import { validated, withId } from './validated.ts';

export const cardQuerySchema = unitChoiceSchema.extend({ paper: z.enum(['A4', 'LETTER']).default('A4') });

const fileName = (name: string, ending: string): string =>
  `attachment; filename="${name.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'boat'}${ending}"`;

/** What leaves the program about one boat: the dash cards and the report as PDF, and the bundle. */
export const cardRoutes = (
  { boats, catalogue, now }: { boats: BoatStore; catalogue: CatalogueStore; now: () => Date },
  costly: RequestHandler,
): Router => {
  const router = Router();
  const shopping = async (plan: Plan, options: PrintOptions): Promise<Buffer> =>
    shoppingPdf(plan, await catalogue.list(), options);
  for (const [sheet, print] of Object.entries({ card: cardPdf, report: reportPdf, shopping, wiring: wiringPdf }))
    router.get(
      `/:id/${sheet}.pdf`,
      costly,
      withId(async (id, request, response) => {
        const query = validated(cardQuerySchema, request.query, response);
        if (!query) return;
        const boat = await boats.open(id);
        if (!boat) return sendProblem(response, notFound('boat of that id in the fleet'));
        const { paper, ...units } = query;
        const pdf = await print(boat.plan, { units, paper, at: now(), revision: boat.number });
        response
          .type('application/pdf')
          .set('Content-Disposition', fileName(boat.plan.boat.name, `-${sheet}.pdf`))
          .send(pdf);
      }),
    );
  router.get(
    '/:id/bundle',
    withId(async (id, _request, response) => {
      const boat = await boats.open(id);
      if (!boat) return sendProblem(response, notFound('boat of that id in the fleet'));
      response
        .set('Content-Disposition', fileName(boat.plan.boat.name, '.grey-keel.json'))
        .json(await packBundle(boat.plan, catalogue, now()));
    }),
  );
  return router;
};
