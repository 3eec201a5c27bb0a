import { createHash, timingSafeEqual } from 'node:crypto';
import type { RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

const cookieName = 'grey-keel-token';
export const shortestToken = 16;

const same = (a: string, b: string): boolean => {
  const digest = (text: string): Buffer => createHash('sha256').update(text).digest();
  return timingSafeEqual(digest(a), digest(b));
};

const cookieOf = (header: string | undefined): string =>
  (header ?? '')
    .split(';')
    .map((part) => part.trim().split('='))
    .find(([name]) => name === cookieName)?.[1] ?? '';

const orNull = <T>(read: () => T): T | null => {
  try {
    return read();
  } catch {
    return null;
  }
};

/**
 * For a server that listens to more than this machine: only whoever knows the token comes in. It is given once in the
 * address (`/?token=...`) and remembered by the browser, or sent with each request as a bearer's.
 */
export const withToken =
  (token: string): RequestHandler =>
  (request, response, next) => {
    const { authorization = '', cookie, host = '', origin, 'sec-fetch-site': site = 'none' } = request.headers;
    const given = typeof request.query['token'] === 'string' ? request.query['token'] : '';
    const bearer = authorization.startsWith('Bearer ') ? authorization.slice('Bearer '.length) : '';
    const known = [bearer, given, orNull(() => decodeURIComponent(cookieOf(cookie))) ?? ''].some(
      (one) => one !== '' && same(one, token),
    );
    const ofOurs = (origin === undefined || orNull(() => new URL(origin).host) === host) && site !== 'cross-site';
    if (!known || !ofOurs)
      return sendProblem(response, {
        status: 403,
        title: 'Not from here',
        detail: 'This server answers only to whoever has its token. Open it once with ?token= and the token behind it.',
      });
    if (given !== '')
      response.cookie(cookieName, encodeURIComponent(given), { httpOnly: true, sameSite: 'strict', path: '/' });
    next();
  };
