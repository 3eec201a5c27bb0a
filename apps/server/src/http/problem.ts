import type { FieldError } from '@grey-keel/core';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import * as z from 'zod';

/** An error as RFC 9457 wants it: what happened, for a person, with the fields at fault. */
export const problemSchema = z.looseObject({
  type: z.literal('about:blank'),
  status: z.number().int(),
  title: z.string(),
  detail: z.string(),
  errors: z.array(z.strictObject({ field: z.string(), message: z.string(), range: z.string() })).optional(),
});

export interface Problem {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly errors?: readonly FieldError[];
  readonly [extension: string]: unknown;
}

export const sendProblem = (response: Response, problem: Problem): void => {
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', ...problem }));
};

export const notFound = (what: string): Problem => ({
  status: 404,
  title: 'Not found',
  detail: `There is no ${what}.`,
});

export const badInput = (errors: readonly FieldError[]): Problem => ({
  status: 422,
  title: 'Input refused',
  detail: errors.map(({ message, range }) => (range ? `${message} (${range})` : message)).join(' ') || 'Bad input.',
  errors,
});

interface BodyError {
  readonly type?: string;
  readonly status?: number;
  readonly limit?: number;
}

const fromBody = (error: BodyError): Problem | null => {
  switch (error.type) {
    case 'entity.parse.failed':
      return {
        status: 400,
        title: 'Not JSON',
        detail: 'What was sent is not JSON, or was cut short. Export or copy it again, whole.',
      };
    case 'entity.too.large':
      return {
        status: 413,
        title: 'Too large',
        detail: `At most ${Math.round((error.limit ?? 0) / 1024)} kB are taken here.`,
      };
    case 'encoding.unsupported':
    case 'charset.unsupported':
      return { status: 415, title: 'Encoding not supported', detail: 'Send plain JSON in UTF-8.' };
    default:
      return null;
  }
};

/** Turns whatever a handler threw into problem details; what is nobody's input is logged and told without its insides. */
export const problemHandler =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, request, response, next) => {
    if (response.headersSent) return next(error);
    const problem = typeof error === 'object' && error !== null ? fromBody(error) : null;
    if (problem) {
      // What is still coming is read and dropped, so that the client lives to read the answer.
      request.resume();
      return sendProblem(response, problem);
    }
    log.error({ err: error, method: request.method, path: request.path }, 'request failed');
    sendProblem(response, {
      status: 500,
      title: 'The server failed',
      detail: 'Something went wrong in the server; nothing was changed. Its log says more.',
    });
  };
