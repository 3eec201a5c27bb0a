import type { HttpErrorResponse } from '@angular/common/http';

/** What went wrong in talking to the server, as a person can read it. */
export interface ServerProblem {
  readonly status: number;
  readonly detail: string;
  readonly body: unknown;
}

/** A request that did not end well. What the server's doors throw, whatever was the cause. */
export class RequestFailed extends Error {
  constructor(readonly problem: ServerProblem) {
    super(problem.detail);
  }
}

/** Whether the server says that the boat was deleted, not that it never was or that there is no server. */
export const saysDeleted = ({ body }: ServerProblem): boolean =>
  typeof body === 'object' && body !== null && 'deleted' in body && body.deleted === true;

/** 0 is the status of a server that did not answer at all. */
export const offline = 0;
/** The status of what is no answer of the server. */
const ours = -1;

const noServer = 'The server does not answer. Start it again; nothing typed is lost.';
const notUnderstood =
  'The server answered something that this page does not understand. Load the page again; if it stays so, the program and its server are not of one version. Nothing typed is lost.';
const unexpected = 'Something went wrong in this page. Load it again; nothing typed is lost.';
const notLoaded =
  'A part of the program could not be loaded. See that the server runs, and load the page again; nothing typed is lost.';

const parsed = (body: unknown): unknown => {
  if (typeof body !== 'string') return body;
  try {
    return JSON.parse(body);
  } catch {
    return null;
  }
};

/** What the server's answer says. `text` is its body where it was asked for as a file. */
export const problemIn = ({ status, error }: HttpErrorResponse, text: string | null = null): ServerProblem => {
  if (status === offline) return { status, detail: noServer, body: null };
  const body = parsed(text ?? error);
  // Its body came whole and was no JSON.
  if (status >= 200 && status < 300) return { status: ours, detail: notUnderstood, body: null };
  return typeof body === 'object' && body !== null && 'detail' in body && typeof body.detail === 'string'
    ? { status, detail: body.detail, body }
    : { status, detail: `The server answered ${status}.`, body };
};

/** An answer that does not fit its schema: what the validator says of it is for nobody on board. */
export const misunderstood = (): RequestFailed =>
  new RequestFailed({ status: ours, detail: notUnderstood, body: null });

/** What to say of anything that was thrown. */
export const problemOf = (error: unknown): ServerProblem => {
  if (error instanceof RequestFailed) return error.problem;
  const lost = error instanceof Error && /dynamically imported module|ChunkLoadError/i.test(error.message);
  return { status: ours, detail: lost ? notLoaded : unexpected, body: null };
};
