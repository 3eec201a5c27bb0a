import type { RestoredBackup } from '@grey-keel/model';
import { Router, type RequestHandler } from 'express';
import { randomUUID } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { backUp, unfinished } from '../database/backup.ts';
import type { Backups } from '../database/backups.ts';
import type { Database } from '../database/open-database.ts';
import { notFound, sendProblem } from './problem.ts';

/** The whole shop as one file, taken while it is used. */
export const backupRoutes = (
  { database, backups, now }: { database: Database; backups: Backups; now: () => Date },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.get('/', costly, async (_request, response, next) => {
    // Beside the other backups, and under a name that the next start clears away after a kill.
    const file = unfinished(join(backups.folder, `handed-out-${randomUUID()}.sqlite`));
    const clear = (): Promise<void> => rm(file, { force: true });
    try {
      await backUp(database, file);
    } catch (error) {
      await clear();
      throw error;
    }
    const day = now().toISOString().slice(0, 10);
    response.type('application/vnd.sqlite3');
    response.download(file, `grey-keel-${day}.sqlite`, { cacheControl: false, dotfiles: 'allow' }, (error) => {
      void clear();
      if (error && !response.headersSent) next(error);
    });
  });
  return router;
};

/** Goes back to a backup; null where there is none of that name. */
export type RestoreBackup = (
  name: string,
) => Promise<
  { readonly ok: true; readonly ended: RestoredBackup } | { readonly ok: false; readonly detail: string } | null
>;

/** The backups the program makes by itself: which there are, another now, and going back to one. */
export const backupsRoutes = (
  { backups, restore }: { backups: Backups; restore: RestoreBackup },
  costly: RequestHandler,
): Router => {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json(backups.list());
  });
  router.post('/', costly, async (_request, response) => {
    await backups.make();
    response.status(201).json(backups.list());
  });
  router.post('/:name/restore', costly, async (request, response) => {
    const answer = await restore(String(request.params['name']));
    if (answer === null) return sendProblem(response, notFound('backup of that name'));
    if (!answer.ok) return sendProblem(response, { status: 409, title: 'Not restored', detail: answer.detail });
    response.json(answer.ended);
  });
  return router;
};
