import { fieldErrors } from '@grey-keel/core';
import { idSchema } from '@grey-keel/model';
import type { Request, RequestHandler, Response } from 'express';
import * as z from 'zod';
import { badInput, sendProblem } from './problem.ts';

/** Checks an input against its schema; answers the problem itself and gives null when it does not obey. */
export const validated = <S extends z.ZodType>(schema: S, input: unknown, response: Response): z.output<S> | null => {
  const parsed = schema.safeParse(input);
  if (parsed.success) return parsed.data;
  sendProblem(response, badInput(fieldErrors(parsed.error, schema)));
  return null;
};

/** A handler for a path with a boat's id in it. */
export const withId =
  (handle: (id: string, request: Request, response: Response) => Promise<void>): RequestHandler =>
  async (request, response) => {
    const id = validated(z.strictObject({ id: idSchema }), { id: request.params['id'] }, response);
    if (id) await handle(id.id, request, response);
  };
