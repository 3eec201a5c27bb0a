import type { RequestHandler, Response } from 'express';
import type { Gate } from '../database/gate.ts';

/** Streams that read nothing of the database, and the exchange itself. */
const passes = /^\/(?:events|instruments\/stream|health|backups\/[^/]*\/restore)\/?$/i;
/** How long an exchange waits for downloads that are under way, ms: a browser that reads slowly must not hold it up. */
export const patienceMs = 8000;

export interface WaitsForExchange {
  readonly handler: RequestHandler;
  /** Breaks off whatever is still being answered. */
  readonly breakOff: () => void;
}

/** Lets requests in while the file is not exchanged; those that come meanwhile wait, instead of failing. */
export const waitsForExchange = (gate: Gate): WaitsForExchange => {
  const open = new Set<Response>();
  return {
    handler: async (request, response, next) => {
      if (passes.test(request.path)) return next();
      const release = await gate.enter();
      if (response.destroyed) return release();
      open.add(response);
      response.once('close', () => {
        open.delete(response);
        release();
      });
      next();
    },
    breakOff: () => {
      for (const response of open) response.destroy();
    },
  };
};
