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
  /** Of a refused edit: why, for a program. */
  code: z.string().optional(),
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

interface RequestError {
  readonly type?: string;
  readonly status?: number;
  readonly limit?: number;
}

/** What is said of a request that Express or a reader of it refused, by status. */
const refusals: Readonly<Record<number, readonly [title: string, detail: string]>> = {
  400: ['Cannot be read', 'The address or what was sent is garbled: a % sign that starts nothing, or data cut short.'],
  404: ['Not found', 'There is nothing at this address.'],
  408: ['Too slow', 'What was sent did not arrive in time. Send it again.'],
  412: ['Changed meanwhile', 'What is here is not what the request was made for. Load it again.'],
  413: ['Too large', 'That is more than is taken here.'],
  415: ['Encoding not supported', 'Send plain JSON in UTF-8.'],
  416: ['No such part', 'The file is shorter than the part asked for.'],
};

const fromRequest = (error: RequestError): Problem | null => {
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
    default: {
      const { status = 500 } = error;
      const [title, detail] = refusals[status] ?? ['Refused', 'The request cannot be answered as it is.'];
      return Number.isInteger(status) && status >= 400 && status < 500 ? { status, title, detail } : null;
    }
  }
};

const failed: Problem = {
  status: 500,
  title: 'The server failed',
  detail: 'Something went wrong in the server; nothing was changed. Its log says more.',
};

/** No room on the disk: SQLite says so itself, or the file system does. */
const diskIsFull = (error: unknown): boolean => /SQLITE_FULL|ENOSPC|disk is full/.test(String(error));

const full: Problem = {
  status: 507,
  title: 'The disk is full',
  detail: 'Nothing was saved. Make room on the disk of the server; what waits is sent again by itself.',
};

/** Turns whatever a handler threw into problem details; what is nobody's input is logged and told without its insides. */
export const problemHandler =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, request, response, next) => {
    try {
      if (response.headersSent) return next(error);
      const refused = typeof error === 'object' && error !== null ? fromRequest(error) : null;
      if (refused) {
        // What is still coming is read and dropped, so that the client lives to read the answer.
        request.resume();
        return sendProblem(response, refused);
      }
      log.error({ err: error, method: request.method, path: request.path }, 'request failed');
      sendProblem(response, diskIsFull(error) ? full : failed);
    } catch {
      // Whatever failed in telling: the answer is made of nothing but these words.
      if (!response.headersSent) response.statusCode = 500;
      response.end('{"type":"about:blank","status":500,"title":"The server failed","detail":"Its log says more."}');
    }
  };
