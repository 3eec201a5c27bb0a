import { calculate, calculations } from '@grey-keel/core';
import { Router } from 'express';
import * as z from 'zod';
import { jsonBody } from './json-body.ts';
import { badInput, notFound, sendProblem } from './problem.ts';

/** Every calculation of the core, under the same names as on the command line. */
export const calculationRoutes = (): Router => {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json([...calculations.values()].map(({ name, purpose }) => ({ name, purpose })));
  });
  router.get('/:name', (request, response) => {
    const calculation = calculations.get(request.params.name);
    if (!calculation) return sendProblem(response, notFound(`calculation "${request.params.name}"`));
    const { name, purpose, input, output } = calculation;
    response.json({
      name,
      purpose,
      input: z.toJSONSchema(input, { io: 'input' }),
      output: z.toJSONSchema(output),
    });
  });
  router.post('/:name', jsonBody('1mb'), (request, response) => {
    const calculation = calculations.get(String(request.params['name']));
    if (!calculation) return sendProblem(response, notFound(`calculation "${String(request.params['name'])}"`));
    const result = calculate(calculation, request.body);
    if (result.ok) response.json(result.answer);
    else sendProblem(response, badInput(result.errors));
  });
  return router;
};
