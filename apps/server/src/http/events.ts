import type { BoatNews } from '@grey-keel/model';
import { Router } from 'express';
import type { BoatStore } from '../fleet/boat-store.ts';
import { Listeners } from './listeners.ts';

/** Streams held open at once: one a browser is enough, and each costs a connection. */
const mostStreams = 64;

export interface NewsStreams {
  readonly router: Router;
  /** Ends every stream, so that each comes back and asks for all that it missed. */
  readonly again: () => void;
  /** Ends every stream for good, so that a server that stops need not wait for them. */
  readonly end: () => void;
}

/** Tells whoever listens of every change, as server-sent events. What was missed while away is asked for by number. */
export const newsStreams = ({ boats }: { boats: BoatStore }): NewsStreams => {
  const listeners = new Listeners(mostStreams);
  const tell = (news: BoatNews): void => listeners.tell(news, 'boat');
  boats.news.on('boat', tell);
  const router = Router();
  router.get('/', (request, response) =>
    listeners.join(request, response, 'browsers are told of changes', ['listening', 'hello']),
  );
  return {
    router,
    again: () => listeners.end(),
    end: () => {
      boats.news.off('boat', tell);
      listeners.end();
    },
  };
};
