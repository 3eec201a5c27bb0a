import type { BoatNews } from '@grey-keel/model';
import { createChannel, createSession } from 'better-sse';
import { Router, type Response } from 'express';
import type { BoatStore } from '../fleet/boat-store.ts';
import { sendProblem } from './problem.ts';

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
  const channel = createChannel();
  const open = new Set<Response>();
  const tell = (news: BoatNews): void => {
    channel.broadcast(news, 'boat');
  };
  boats.news.on('boat', tell);
  const router = Router();
  router.get('/', async (request, response) => {
    if (open.size >= mostStreams)
      return sendProblem(response, {
        status: 429,
        title: 'Too many listen',
        detail: `At most ${mostStreams} browsers are told of changes at once. Close some.`,
      });
    open.add(response);
    response.once('close', () => open.delete(response));
    const session = await createSession(request, response, { keepAlive: 15_000, retry: 1000 });
    channel.register(session);
    session.push('listening', 'hello');
  });
  const again = (): void => {
    for (const response of open) response.end();
  };
  return {
    router,
    again,
    end: () => {
      boats.news.off('boat', tell);
      again();
    },
  };
};
