import express, { Router } from 'express';
import { join } from 'node:path';

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
