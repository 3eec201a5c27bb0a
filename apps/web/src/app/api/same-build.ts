import { HttpResponse, type HttpInterceptorFn } from '@angular/common/http';
import { InjectionToken, inject } from '@angular/core';
import { tap } from 'rxjs';

/** What the server calls the application it serves. */
const buildHeader = 'Grey-Keel-Build';

/** How the page is loaded anew. */
export const reloadPage = new InjectionToken<() => void>('reloadPage', {
  providedIn: 'root',
  factory: () => () => location.reload(),
});

/** The build this page was loaded with, by the first answer it had. */
class OwnBuild {
  name: string | null = null;
}
const ownBuild = new InjectionToken<OwnBuild>('ownBuild', { providedIn: 'root', factory: () => new OwnBuild() });

/**
 * Loads the page anew when the server has been updated under it: its answers may be none that this page understands.
 * What was typed and not sent waits in the outbox, and is sent by the page that comes.
 */
export const sameBuild: HttpInterceptorFn = (request, next) => {
  const own = inject(ownBuild);
  const reload = inject(reloadPage);
  return next(request).pipe(
    tap((event) => {
      const build = event instanceof HttpResponse ? event.headers.get(buildHeader) : null;
      if (build === null) return;
      own.name ??= build;
      if (own.name !== build) reload();
    }),
  );
};
