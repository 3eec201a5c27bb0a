import type { RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

const loopback = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostOf = (authority: string): string => authority.replace(/:\d+$/, '');

const originIsHere = (origin: string): boolean => {
  try {
    return loopback.has(new URL(origin).hostname);
  } catch {
    return false;
  }
};

/**
 * Answers only to its own names, so that no page from elsewhere can reach it through the user's browser: by the name it
 * was asked under, by the page that asks, and by what the browser itself says of the request. A page of another port of
 * this machine is another site's. Only the address typed or followed by the user may come from anywhere: it shows pages.
 */
export const onlyFromHere: RequestHandler = (request, response, next) => {
  const { host = '', origin, 'sec-fetch-site': site = 'none', 'sec-fetch-mode': mode } = request.headers;
  const named = loopback.has(hostOf(host));
  const ofOurs = origin === undefined || (originIsHere(origin) && new URL(origin).host === host);
  // Routes are found in letters of any size.
  const isDoor = /^\/api(\/|$)/i.test(request.path);
  const visited = mode === 'navigate' && request.method === 'GET' && !isDoor;
  if (named && ofOurs && (site === 'same-origin' || site === 'none' || visited)) return next();
  sendProblem(response, {
    status: 403,
    title: 'Not from here',
    detail: 'This server answers only to pages of its own on this machine.',
  });
};
