import { HttpErrorResponse } from '@angular/common/http';

/** What went wrong in talking to the server, as a person can read it. */
export interface ServerProblem {
  readonly status: number;
  readonly detail: string;
  readonly body: unknown;
}

/** Whether the server says that the boat was deleted, not that it never was or that there is no server. */
export const saysDeleted = ({ body }: ServerProblem): boolean =>
  typeof body === 'object' && body !== null && 'deleted' in body && body.deleted === true;

/** 0 is the status of a server that did not answer at all. */
export const offline = 0;

export const problemOf = (error: unknown): ServerProblem => {
  if (!(error instanceof HttpErrorResponse)) return { status: -1, detail: String(error), body: null };
  if (error.status === offline)
    return {
      status: offline,
      detail: 'The server does not answer. Start it again; nothing typed is lost.',
      body: null,
    };
  let body: unknown = error.error;
  if (typeof body === 'string')
    try {
      body = JSON.parse(body);
    } catch {
      body = null;
    }
  const detail =
    typeof body === 'object' && body !== null && 'detail' in body && typeof body.detail === 'string'
      ? body.detail
      : `The server answered ${error.status}.`;
  return { status: error.status, detail, body };
};
