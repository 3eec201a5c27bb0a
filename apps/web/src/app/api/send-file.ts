import { Observable } from 'rxjs';
import { HttpErrorResponse } from '@angular/common/http';
import { problemIn, RequestFailed } from './problem.ts';

/** How far a file has been sent, 0 to 1, and whether the server has taken all of it. */
export interface Sending {
  readonly share: number;
  readonly done: boolean;
}

/**
 * Sends a file as it is, telling how far it has come. The client of the rest goes by `fetch`, which tells no progress of what
 * it sends. Ending the subscription breaks the sending off.
 */
export const sendFile = (url: string, file: Blob): Observable<Sending> =>
  new Observable((listener) => {
    const request = new XMLHttpRequest();
    request.open('PUT', url);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) =>
      listener.next({ share: total > 0 ? loaded / total : 0, done: false });
    const fail = (): void => {
      const { status } = request;
      listener.error(new RequestFailed(problemIn(new HttpErrorResponse({ status }), request.responseText || null)));
    };
    request.onerror = fail;
    request.onload = () => {
      if (request.status >= 300) return fail();
      listener.next({ share: 1, done: true });
      listener.complete();
    };
    request.send(file);
    return () => request.abort();
  });
