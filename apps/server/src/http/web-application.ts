import express, { Router } from 'express';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What this build of the application is called: its page names every file of it by its content. */
export const buildOf = (folder: string): string =>
  createHash('sha256')
    .update(readFileSync(join(folder, 'index.html')))
    .digest('hex')
    .slice(0, 16);

/** Serves the built web application; every path that is no file is one of its own routes. */
export const webApplication = (folder: string): Router => {
  const router = Router();
  router.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, path) => {
        const hashed = /-[A-Z0-9]{8}\.(js|css|woff2?)$/.test(path);
        response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  router.get('/{*path}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
  return router;
};
