import { Router, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What this build of the application is called: its page names every file of it by its content. */
export const buildOf = (folder: string): string =>
  createHash('sha256')
    .update(readFileSync(join(folder, 'index.html')))
    .digest('hex')
    .slice(0, 16);

/** Serves the built web application, as it was compressed when it was built; every path that is no file is one of its own routes. */
export const webApplication = (folder: string): Router => {
  const router = Router();
  // An address that cannot be read is refused by the router, in the words of every other refusal.
  router.get('/{*path}', (_request, _response, next) => next());
  router.use(
    expressStaticGzip(folder, {
      index: false,
      enableBrotli: true,
      orderPreference: ['br'],
      serveStatic: {
        setHeaders: (response, path) => {
          const hashed = /-[A-Z0-9]{8}\.(js|css|woff2?)(\.br)?$/.test(path);
          response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }) as RequestHandler,
  );
  router.get('/{*path}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
  return router;
};
