import { Router, type RequestHandler } from 'express';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backUp } from '../database/backup.ts';
import type { Database } from '../database/open-database.ts';

/** The whole shop as one file, taken while it is used. It is restored with the server stopped: `npm run restore`. */
export const backupRoutes = (
  { database, now }: { database: Database; now: () => Date },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.get('/', costly, async (_request, response, next) => {
    const folder = await mkdtemp(join(tmpdir(), 'grey-keel-backup-'));
    const file = join(folder, 'backup.sqlite');
    const clear = (): Promise<void> => rm(folder, { recursive: true, force: true });
    try {
      await backUp(database, file);
    } catch (error) {
      await clear();
      throw error;
    }
    const day = now().toISOString().slice(0, 10);
    response.type('application/vnd.sqlite3');
    response.download(file, `grey-keel-${day}.sqlite`, { cacheControl: false }, (error) => {
      void clear();
      if (error && !response.headersSent) next(error);
    });
  });
  return router;
};
