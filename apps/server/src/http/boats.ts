import { copyPlan, newPlan } from '@grey-keel/core';
import { fleetQuerySchema, idSchema, nameSchema, newBoatSchema, revisionRequestSchema } from '@grey-keel/model';
import { Router, type Response } from 'express';
import * as z from 'zod';
import type { BoatStore } from '../fleet/boat-store.ts';
import { jsonBody } from './json-body.ts';
import { badInput, notFound, sendProblem, type Problem } from './problem.ts';
import { validated, withId } from './validated.ts';

export const copySchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** A copy to practise on with the simulated boat. */
  practice: z.literal(true).optional(),
});
const numberSchema = z.coerce.number().int().min(0);
const noBoat = notFound('boat of that id in the fleet');
const deletedBoat: Problem = {
  status: 404,
  title: 'Boat deleted',
  detail: 'This boat was deleted. It can be restored from the fleet.',
  deleted: true,
};
export const idTaken: Problem = {
  status: 409,
  title: 'Id taken',
  detail: 'There is another boat of this id, or there was one and it was deleted. Use another id.',
};

/** The fleet, and each boat's plan by edits. */
export const boatRoutes = ({ boats }: { boats: BoatStore }): Router => {
  const router = Router();
  /** Says whether the boat was deleted, which can be undone, or never was. */
  const absent = async (id: string, response: Response): Promise<void> =>
    sendProblem(response, (await boats.isRemoved(id)) ? deletedBoat : noBoat);
  const body = jsonBody('1mb');

  router.get('/', async (request, response) => {
    const query = validated(fleetQuerySchema, request.query, response);
    if (query) response.type('application/json').send(await boats.fleetPage(query));
  });

  router.get(
    '/:id',
    withId(async (id, _request, response) => {
      const boat = await boats.open(id);
      if (boat) response.json(boat);
      else await absent(id, response);
    }),
  );

  router.put(
    '/:id',
    body,
    withId(async (id, request, response) => {
      const wanted = validated(newBoatSchema, request.body, response);
      if (!wanted) return;
      const made = await boats.create(id, newPlan(wanted));
      if (made === 'id taken') return sendProblem(response, idTaken);
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
      if (!from) return absent(id, response);
      const made = await boats.create(
        wanted.id,
        copyPlan(from.plan, wanted.name, wanted.practice ? 'practice' : 'boat'),
      );
      if (made === 'id taken') return sendProblem(response, idTaken);
      response.status(made === 'made' ? 201 : 200).json(await boats.open(wanted.id));
    }),
  );

  router.delete(
    '/:id',
    withId(async (id, _request, response) => {
      if (await boats.remove(id)) response.status(204).end();
      else await absent(id, response);
    }),
  );

  router.post(
    '/:id/recall',
    withId(async (id, _request, response) => {
      if (await boats.recall(id)) response.json(await boats.open(id));
      else await absent(id, response);
    }),
  );

  router.get(
    '/:id/revisions',
    withId(async (id, request, response) => {
      const since = validated(numberSchema, request.query['since'] ?? 0, response);
      if (since === null) return;
      if (!(await boats.isThere(id))) return absent(id, response);
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
          return absent(id, response);
        case 'refused':
          return sendProblem(response, { ...badInput(appended.errors), code: appended.code });
        case 'id used for other edits':
          return sendProblem(response, {
            status: 409,
            title: 'Revision id used before',
            detail: 'This revision id was used for other edits. Send these under a new one.',
          });
        case 'other history':
          return sendProblem(response, {
            status: 409,
            title: 'Made on another file',
            detail: `The edits build on a revision ${wanted.base} that is not here; ${appended.number} is the newest. An older file may have been restored.`,
            number: appended.number,
            otherHistory: true,
          });
        case 'behind':
          return sendProblem(response, {
            status: 412,
            title: 'Behind the server',
            detail: `${appended.missing.length} revisions were saved since revision ${wanted.base}.`,
            number: appended.number,
            missing: appended.missing,
          });
      }
    }),
  );
  return router;
};

/** The boats that were deleted: each can be recalled by its id. */
export const removedBoatRoutes = ({ boats }: { boats: BoatStore }): Router => {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await boats.removed());
  });
  return router;
};
