import { copyPlan } from '@grey-keel/core';
import { emptyPlan, idSchema, nameSchema, revisionRequestSchema } from '@grey-keel/model';
import express, { Router } from 'express';
import * as z from 'zod';
import type { BoatStore } from '../fleet/boat-store.ts';
import { badInput, notFound, sendProblem } from './problem.ts';
import { validated, withId } from './validated.ts';

export const newBoatSchema = z.strictObject({ name: nameSchema });
export const copySchema = z.strictObject({ id: idSchema, name: nameSchema });
const numberSchema = z.coerce.number().int().min(0);
const noBoat = notFound('boat of that id in the fleet');

/** The fleet, and each boat's plan by edits. */
export const boatRoutes = ({ boats }: { boats: BoatStore }): Router => {
  const router = Router();
  const body = express.json({ limit: '1mb' });

  router.get('/', async (_request, response) => {
    response.type('application/json').send(await boats.fleetAsJson());
  });

  router.get(
    '/:id',
    withId(async (id, _request, response) => {
      const boat = await boats.open(id);
      if (boat) response.json(boat);
      else sendProblem(response, noBoat);
    }),
  );

  router.put(
    '/:id',
    body,
    withId(async (id, request, response) => {
      const wanted = validated(newBoatSchema, request.body, response);
      if (!wanted) return;
      const made = await boats.create(id, emptyPlan(wanted.name));
      response.status(made === 'made' ? 201 : 200).json(await boats.open(id));
    }),
  );

  router.post(
    '/:id/copy',
    body,
    withId(async (id, request, response) => {
      const wanted = validated(copySchema, request.body, response);
      if (!wanted) return;
      const from = await boats.open(id);
      if (!from) return sendProblem(response, noBoat);
      const made = await boats.create(wanted.id, copyPlan(from.plan, wanted.name));
      response.status(made === 'made' ? 201 : 200).json(await boats.open(wanted.id));
    }),
  );

  router.delete(
    '/:id',
    withId(async (id, _request, response) => {
      if (await boats.remove(id)) response.status(204).end();
      else sendProblem(response, noBoat);
    }),
  );

  router.post(
    '/:id/recall',
    withId(async (id, _request, response) => {
      if (await boats.recall(id)) response.json(await boats.open(id));
      else sendProblem(response, noBoat);
    }),
  );

  router.get(
    '/:id/revisions',
    withId(async (id, request, response) => {
      const since = validated(numberSchema, request.query['since'] ?? 0, response);
      if (since === null) return;
      response.json(await boats.revisionsSince(id, since));
    }),
  );

  router.get(
    '/:id/revisions/:number',
    withId(async (id, request, response) => {
      const number = validated(numberSchema, request.params['number'], response);
      if (number === null) return;
      const plan = await boats.openAt(id, number);
      if (plan) response.json(plan);
      else sendProblem(response, notFound(`revision ${number} of that boat`));
    }),
  );

  router.post(
    '/:id/revisions',
    body,
    withId(async (id, request, response) => {
      const wanted = validated(revisionRequestSchema, request.body, response);
      if (!wanted) return;
      const appended = await boats.append(id, wanted);
      switch (appended.kind) {
        case 'kept':
          response.status(appended.again ? 200 : 201).json(appended.kept);
          return;
        case 'no such boat':
          return sendProblem(response, noBoat);
        case 'refused':
          return sendProblem(response, badInput(appended.errors));
        case 'id used for other edits':
          return sendProblem(response, {
            status: 409,
            title: 'Revision id used before',
            detail: 'This revision id was kept with other edits. Send these under a new one.',
          });
        case 'ahead':
          return sendProblem(response, {
            status: 409,
            title: 'Ahead of what is kept',
            detail: `The edits build on revision ${wanted.base}; ${appended.number} is the newest kept.`,
            number: appended.number,
          });
        case 'behind':
          return sendProblem(response, {
            status: 412,
            title: 'Behind what is kept',
            detail: `${appended.missing.length} revisions were kept since revision ${wanted.base}.`,
            number: appended.number,
            missing: appended.missing,
          });
      }
    }),
  );
  return router;
};
