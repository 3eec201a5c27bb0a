import { HttpErrorResponse, type HttpInterceptorFn } from '@angular/common/http';
import { catchError, from, of, switchMap, throwError, type Observable } from 'rxjs';
import { problemIn, RequestFailed } from './problem.ts';

/** Whatever does not end well ends as one kind of error, with words for the user. */
export const plainProblems: HttpInterceptorFn = (request, next) =>
  next(request).pipe(
    catchError((error: unknown) => {
      if (!(error instanceof HttpErrorResponse)) return throwError(() => error);
      // What was asked for as a file says what is wrong as a file, too.
      const text: Observable<string | null> = error.error instanceof Blob ? from(error.error.text()) : of(null);
      return text.pipe(switchMap((body) => throwError(() => new RequestFailed(problemIn(error, body)))));
    }),
  );
